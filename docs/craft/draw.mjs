// Draws the pictures of docs/craft: each is drafted by the server that "./wrapper drawings" starts, pieces side by side, cut line solid, stitch line dashed, marks and clips on
// their edges.
import { spawn } from 'node:child_process'
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'

const root = resolve(import.meta.dirname, '../..')
const drawings = {
  'box-cushion-strip': ['box-cushion-strip', { W: '22', L: '20', T: '4', ease: 'exact', cord: 'none' }],
  tapered: ['knife-edge-pad', { shape: 'tapered', W: '18', B: '14', L: '17', stations: '2', f1: '6', w1: '18', f2: '12', w2: '16', sides: 'smooth', ties: '0' }],
  'box-cushion-folded': ['box-cushion-folded', { W: '22', L: '20', T: '4', ease: 'exact' }],
  bolster: ['bolster', { d: '7', L: '18', cord: 'none' }],
  'ottoman-cap': ['ottoman-cap', { W: '20', L: '20', H: '17', capCorners: 'pleated', cord: 'none' }],
  'chair-slipcover': ['chair-slipcover', { cord: 'none' }],
  'contoured-pad': ['contoured-pad', {}],
  'duvet-cover': ['duvet-cover', {}],
  'elastic-cap': ['elastic-cap', { obstacles: '1' }],
}

const port = await new Promise((found) => {
  const probe = createServer().listen(0, '127.0.0.1', () => {
    const { port } = probe.address()
    probe.close(() => found(port))
  })
})
const data = mkdtempSync(join(tmpdir(), 'wrapper-drawings-'))
const server = spawn(
  'dotnet',
  [join(root, 'src/Wrapper.Server/bin/Release/net10.0/Wrapper.Server.dll'), '--port', port, '--data', data, '--web', join(root, 'web/dist')],
  { stdio: 'ignore' },
)
const url = `http://127.0.0.1:${port}`
const ask = async (method, path, body) => {
  const reply = await fetch(url + path, {
    method,
    headers: { 'Content-Type': 'application/json', Origin: url },
    body: body && JSON.stringify(body),
  })
  if (!reply.ok) throw new Error(`${path}: ${reply.status} ${await reply.text()}`)
  return reply.json()
}

try {
  for (let tries = 0; tries < 200 && !(await fetch(`${url}/api/health`).catch(() => undefined))?.ok; tries++)
    await new Promise((wait) => setTimeout(wait, 50))
  const makeUps = new Map((await ask('GET', '/api/make-ups')).map((each) => [each.key, each]))
  mkdirSync(join(root, 'docs/craft/drawings'), { recursive: true })
  for (const [file, [key, changes]] of Object.entries(drawings)) {
    const { measures } = makeUps.get(key)
    const item = await ask('POST', '/api/items', { id: 'a', name: key, makeUp: key, unit: 'in', from: null })
    item.measures = Object.fromEntries(measures.filter(({ optional }) => !optional).map(({ key, usual }) => [key, usual]))
    for (const [field, typed] of Object.entries(changes))
      item[measures.some(({ key }) => key === field) ? 'measures' : 'choices'][field] = { typed, unit: 'in' }
    const { pattern } = await ask('POST', '/api/draft', { item, unit: 'in' })
    writeFileSync(join(root, 'docs/craft/drawings', `${file}.svg`), sheet(pattern.pieces))
  }
} finally {
  server.kill('SIGKILL')
  rmSync(data, { recursive: true, force: true })
}

// Pieces in rows, all to one scale, each with its name below.
function sheet(pieces) {
  const gap = 5000
  const widest = Math.max(...pieces.map(({ box }) => box.width))
  const across = Math.max(widest, Math.sqrt(pieces.reduce((sum, { box }) => sum + (box.width + gap) * (box.height + gap), 0) * 2.2))
  const letter = across / 60
  let [x, y, high] = [0, 0, 0]
  const placed = pieces.map((piece) => {
    if (x > 0 && x + piece.box.width > across) [x, y, high] = [0, y + high + gap + letter * 2, 0]
    const at = { x, y }
    x += piece.box.width + gap
    high = Math.max(high, piece.box.height)
    return { piece, at }
  })
  const whole = `${-gap} ${-gap} ${across + 2 * gap} ${y + high + 2 * gap + letter * 2}`
  const line = ({ x1, y1, x2, y2 }, kind) => `<line class="${kind}" x1="${x1}" y1="${y1}" x2="${x2}" y2="${y2}"/>`
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${whole}" font-family="sans-serif" font-size="${letter}">
<style>path,line{fill:none;stroke:#222;stroke-width:${letter / 9}}.cut{fill:#f3ead8}.stitch{stroke-dasharray:${letter / 2} ${letter / 3}}.clip{stroke:#a33;stroke-width:${letter / 6}}.notch{stroke-width:${letter / 5}}text{fill:#222}</style>
<rect x="${-gap}" y="${-gap}" width="100%" height="100%" fill="#fff"/>
${placed
  .map(
    ({ piece, at }) => `<g transform="translate(${at.x - piece.box.x} ${at.y - piece.box.y})">
<path class="cut" d="${piece.cut}"/><path class="stitch" d="${piece.stitch}"/>
${piece.notches.map((notch) => line(notch.span ?? notch, notch.clip ? 'clip' : 'notch')).join('')}
<text x="${piece.box.x}" y="${piece.box.y + piece.box.height + letter * 1.3}">${piece.name}, cut ${piece.quantity}</text>
</g>`,
  )
  .join('\n')}
</svg>
`
}
