import { readdirSync, readFileSync } from 'node:fs'
import { expect, it } from 'vitest'

// The character map of a TrueType file, segment format 4: what the font can show.
function characters(path: string): Set<number> {
  const file = readFileSync(path)
  const view = new DataView(file.buffer, file.byteOffset, file.byteLength)
  const tables = Array.from({ length: view.getUint16(4) }, (_, n) => 12 + 16 * n)
  const cmap = view.getUint32((tables.find((at) => file.toString('latin1', at, at + 4) === 'cmap') ?? 0) + 8)
  const subtables = Array.from(
    { length: view.getUint16(cmap + 2) },
    (_, n) => cmap + view.getUint32(cmap + 4 + 8 * n + 4),
  )
  const at = subtables.find((start) => view.getUint16(start) === 4) ?? 0
  const segments = view.getUint16(at + 6) / 2
  const found = new Set<number>()
  for (let n = 0; n < segments; n++) {
    const end = view.getUint16(at + 14 + 2 * n)
    const start = view.getUint16(at + 16 + 2 * segments + 2 * n)
    for (let code = start; code <= end && code !== 0xffff; code++) found.add(code)
  }
  return found
}

const sources = (folder: string): string[] =>
  readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.(tsx|ts|cs)$/.test(name) && !/(obj|bin|schema|\.test\.)/.test(name))
    .map((name) =>
      readFileSync(`${folder}/${name}`, 'utf8')
        .replace(/^\s*\/\/.*$/gm, '')
        .replace(/^.*GeneratedRegex.*$/gm, '')
        .replace(/\/\*[\s\S]*?\*\//g, ''),
    )

it.each(['Regular', 'Bold'])('the %s font has every character that the program writes', (weight) => {
  const has = characters(`public/fonts/AtkinsonHyperlegibleNext-${weight}.ttf`)
  const written = new Set(
    [
      ...sources('src'),
      ...sources('../src/Wrapper.Core/Lengths'),
      ...sources('../src/Wrapper.Core/Covers'),
      ...sources('../src/Wrapper.Server'),
    ].join(''),
  )
  // Read, never written: fraction glyphs and marks that people paste into a field.
  const onlyRead = new Set('⅓⅔⅛⅜⅝⅞⅙⅚″′\n\r\t')
  expect(
    [...written].filter((character) => !onlyRead.has(character) && !has.has(character.codePointAt(0) ?? 0)),
  ).toEqual([])
  expect(has.has('×'.codePointAt(0) ?? 0) && has.has('÷'.codePointAt(0) ?? 0)).toBe(true)
})
