import { readdirSync, readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { expect, it } from 'vitest'

const files = (ending: string) =>
  readdirSync('src', { recursive: true, encoding: 'utf8' })
    .filter((name) => name.endsWith(ending))
    .map((name) => join('src', name))

const camel = (name: string) => name.replace(/-([a-z])/g, (_, letter: string) => letter.toUpperCase())

/** The classes of a style module, as components name them. */
function classes(path: string): Set<string> {
  const selectors = readFileSync(path, 'utf8')
    .replace(/\/\*[^]*?\*\//g, '')
    .replace(/:global\((?:[^()]|\([^()]*\))*\)/g, '')
    .replace(/\{[^{}]*\}/g, ' ')
  return new Set([...selectors.matchAll(/\.([a-z][\w-]*)/g)].map(([, name = '']) => camel(name)))
}

// A class that is misspelt would be undefined, and the part would stand there without its style.
it('every class that a component takes from a style module stands in it, and none stands there for nothing', () => {
  const taken = new Map(files('.module.css').map((path) => [path, new Set<string>()]))
  const open = new Set<string>()
  const missing: string[] = []
  for (const path of files('.tsx')) {
    const source = readFileSync(path, 'utf8')
    for (const [, name = '', from = ''] of source.matchAll(/^import (\w+) from '(.*\.module\.css)'/gm)) {
      const module = join(dirname(path), from)
      if (source.includes(`${name}[`)) open.add(module)
      for (const [, used = ''] of source.matchAll(new RegExp(`\\b${name}\\.(\\w+)`, 'g'))) {
        taken.get(module)?.add(used)
        if (!classes(module).has(used)) missing.push(`${path}: ${used}`)
      }
    }
  }
  expect(missing).toEqual([])
  const idle = [...taken].flatMap(([path, used]) =>
    open.has(path) ? [] : [...classes(path)].filter((name) => !used.has(name)).map((name) => `${path}: ${name}`),
  )
  expect(idle).toEqual([])
})
