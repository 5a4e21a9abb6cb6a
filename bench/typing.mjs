// How much script a key press costs: one field is typed in while a job of 40 items, all of them different, is open. Every frame of a browser trace is
// summed; the budget is 16 ms. Asked for by "./wrapper bench --typing".
import { chromium } from '../web/node_modules/@playwright/test/index.mjs'
import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'

const root = resolve(import.meta.dirname, '..')
const port = await new Promise((found) => {
  const probe = createServer().listen(0, '127.0.0.1', () => {
    const { port } = probe.address()
    probe.close(() => found(port))
  })
})
const data = mkdtempSync(join(tmpdir(), 'wrapper-typing-'))
const server = spawn(
  'dotnet',
  [join(root, 'src/Wrapper.Server/bin/Release/net10.0/Wrapper.Server.dll'), '--port', port, '--data', data, '--web', join(root, 'web/dist')],
  { stdio: 'ignore' },
)
const url = `http://127.0.0.1:${port}`
const json = { 'Content-Type': 'application/json', Origin: url }
const ask = async (method, path, body) => {
  const reply = await fetch(url + path, { method, headers: json, body: body && JSON.stringify(body) })
  if (!reply.ok) throw new Error(`${path}: ${reply.status} ${await reply.text()}`)
  return reply.json()
}

try {
  for (let tries = 0; tries < 200 && !(await fetch(`${url}/api/health`).catch(() => undefined))?.ok; tries++)
    await new Promise((wait) => setTimeout(wait, 50))
  const makeUps = await ask('GET', '/api/make-ups')
  const items = []
  for (let n = 0; n < 40; n++) {
    const makeUp = n === 0 ? makeUps.find((each) => each.measures.some(({ key }) => key === 'T')) : makeUps[n % makeUps.length]
    const item = await ask('POST', '/api/items', { id: `i${n}`, name: `${makeUp.name} ${n + 1}`, makeUp: makeUp.key, unit: 'in', from: null })
    const usual = makeUp.measures.filter(({ optional }) => !optional).map(({ key, usual }) => [key, usual])
    items.push({ ...item, measures: Object.fromEntries(usual) })
  }
  const cloth = await ask('POST', '/api/cloths', { id: 'c', name: 'cloth', unit: 'in' })
  const id = 'typing'
  const { document } = await ask('POST', '/api/jobs', { id, changeId: 'begun', name: 'typing', unit: 'in', document: null })
  await ask('PUT', `/api/jobs/${id}`, { base: 1, changeId: 'typed', step: '', document: { ...document, items, cloths: [cloth] } })

  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-background-networking', '--disable-component-update', '--disable-sync', '--no-first-run'],
  })
  const worst = []
  for (const [stage, field] of [
    ['measure', 'measures.W'],
    ['make-up', 'allowances.s'],
    ['lay', 'cloths.'],
  ]) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await page.goto(`${url}/jobs/${id}/${stage}`)
    // On Make-up what can be chosen is folded away.
    if (stage === 'make-up') await page.locator('summary', { hasText: 'Allowances' }).click()
    const input = page.locator(`[data-field^="${field}"]`).first()
    await input.waitFor()
    await page.waitForTimeout(6000)
    await input.focus()
    // The first keys find script that has never run.
    for (const key of ['2', 'Backspace']) {
      await page.keyboard.press(key)
      await page.waitForTimeout(700)
    }
    const session = await page.context().newCDPSession(page)
    const events = []
    session.on('Tracing.dataCollected', ({ value }) => events.push(...value))
    await session.send('Tracing.start', { transferMode: 'ReportEvents', traceConfig: { includedCategories: ['devtools.timeline', 'devtools.timeline.frame', 'disabled-by-default-devtools.timeline', 'v8.execute', 'blink.user_timing'] } })
    for (const key of ['2', '3', '.', '5', 'Backspace', '2', '5']) {
      await page.keyboard.press(key)
      await page.waitForTimeout(700)
    }
    const done = new Promise((complete) => session.once('Tracing.tracingComplete', complete))
    await session.send('Tracing.end')
    await done
    const frames = scriptByFrame(events)
    worst.push({ stage, frames: frames.length, worst: frames[0] ?? 0, all: frames.slice(0, 12).map(Math.round), over: frames.filter((ms) => ms > 16).length })
    await page.close()
  }
  await browser.close()
  for (const { stage, frames, worst: ms, over, all } of worst)
    console.log(`${stage}: ${frames} frames with script, the longest ${ms.toFixed(1)} ms, ${over} over 16 ms (${all.join(' ')})`)
} finally {
  server.kill('SIGKILL')
  rmSync(data, { recursive: true, force: true })
}

// Script between two frames of the page's main thread, in milliseconds; what runs inside other script is counted once.
function scriptByFrame(events) {
  const main = events.find(({ name, args }) => name === 'thread_name' && args.name === 'CrRendererMain')
  const own = events.filter(({ pid, tid, ph }) => pid === main?.pid && tid === main?.tid && ph === 'X')
  const frames = events
    .filter(({ name, pid, tid }) => name === 'BeginCommitCompositorFrame' && pid === main?.pid && tid === main?.tid)
    .map(({ ts }) => ts)
    .sort((a, b) => a - b)
  const script = own
    .filter(({ name }) => ['FunctionCall', 'EvaluateScript', 'RunMicrotasks', 'TimerFire', 'EventDispatch', 'FireAnimationFrame', 'v8.callFunction', 'MajorGC', 'MinorGC'].includes(name))
    .sort((a, b) => a.ts - b.ts)
  const sums = new Map()
  let reached = 0
  for (const { ts, tts, tdur = 0 } of script) {
    // In the thread's own time: what other programs take of a busy machine is no script.
    const fresh = Math.max(0, tts + tdur - Math.max(tts, reached))
    reached = Math.max(reached, tts + tdur)
    // While nothing is drawn the browser could still draw every sixtieth of a second.
    const drawn = frames.findLastIndex((begun) => begun <= ts)
    const frame = `${drawn} ${Math.floor((ts - (frames[drawn] ?? 0)) / 16_667)}`
    sums.set(frame, (sums.get(frame) ?? 0) + fresh)
  }
  return [...sums.values()].map((micros) => micros / 1000).sort((a, b) => b - a)
}
