import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { act } from 'react'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { api, type JobDocument } from '../api/client'
import { probe } from '../testing/probe'
import { usePlan } from './usePlan'

const job = (width: string) => ({ unit: 'in', cloths: [], items: [{ id: 'a', name: width }] }) as unknown as JobDocument

interface Query {
  lay: 'none' | 'instant'
  before?: number
}
interface Asked {
  params: { query: Query }
  body: JobDocument
  signal: AbortSignal
}

// The server: drafts say how wide the item is, lays how much cloth that takes; it answers when it is let, and can refuse.
let asked: string[]
let befores: (number | undefined)[]
let answers: Record<Query['lay'], 'at once' | 'held' | 'away' | 'refused'>
let held: (() => void)[]
const letGo = () => act(() => held.splice(0).forEach((go) => go()))

const post = async (_: string, { params: { query }, body, signal }: Asked) => {
  const width = body.items[0]?.name ?? ''
  asked.push(`${query.lay} ${width}`)
  if (query.lay === 'instant') befores.push(query.before)
  const how = answers[query.lay]
  if (how === 'held')
    await new Promise<void>((go, stop) => {
      held.push(go)
      signal.addEventListener('abort', () => stop(new DOMException('superseded', 'AbortError')))
    })
  if (how === 'away') throw new TypeError('no network')
  if (how === 'refused')
    return { error: { detail: `${width} is too wide` }, response: new Response(null, { status: 422 }) }
  const stage = (name: string) => ({ stage: name, said: `${query.lay} ${width}` })
  const data = {
    items: [{ id: 'a', draft: { width } }],
    cloths: query.lay === 'none' ? ['none yet'] : [`of ${width}`],
    totals: query.lay === 'none' ? null : { ticks: 1000 * Number(width) },
    stages: ['measure', 'lay', 'buy'].map(stage),
  }
  return { data, response: new Response() }
}

let queries: QueryClient
let page: ReturnType<typeof probe<Parameters<typeof usePlan>, ReturnType<typeof usePlan>>>
const now = () => page.now()
const show = (document: JobDocument, step = '1') => page.show([document, step])
const until = async (holds: () => boolean) => {
  for (let tries = 0; tries < 300 && !holds(); tries++) await act(() => new Promise((go) => setTimeout(go, 10)))
  expect(holds()).toBe(true)
}
const drafted = () => (now().plan?.items[0]?.draft as unknown as { width: string } | undefined)?.width
const laid = () => (now().plan?.cloths as unknown as string[] | undefined)?.[0]
const settled = (width: string) => () => drafted() === width && laid() === `of ${width}` && !now().stale

beforeEach(() => {
  ;[asked, befores, held] = [[], [], []]
  answers = { none: 'at once', instant: 'at once' }
  vi.spyOn(api, 'POST').mockImplementation(post as never)
  vi.spyOn(api, 'GET').mockResolvedValue({ data: { place: 3 }, response: new Response() })
  queries = new QueryClient()
  page = probe(
    (given) => usePlan(...given),
    (inner) => <QueryClientProvider client={queries}>{inner}</QueryClientProvider>,
  )
})
afterEach(() => {
  page.gone()
  queries.clear()
  vi.restoreAllMocks()
})

test('drafts are there before their lays, which are told as they are', async () => {
  answers.instant = 'held'
  show(job('20'))
  await until(() => drafted() === '20' && held.length === 1)
  expect([laid(), now().plan?.totals, now().drafted, now().stale]).toEqual(['none yet', null, true, false])
  letGo()
  await until(settled('20'))
  expect(asked).toEqual(['none 20', 'instant 20'])
})

test('while a new lay is on its way the old one stays, told to be that; so do its stages', async () => {
  show(job('20'))
  await until(settled('20'))
  answers.instant = 'held'
  show(job('24'))
  await until(() => drafted() === '24' && held.length === 1)
  expect([laid(), now().stale, now().drafted]).toEqual(['of 20', true, true])
  const said = now().plan?.stages.map((each) => (each as unknown as { said: string }).said)
  expect(said).toEqual(['none 24', 'instant 20', 'instant 20'])
  letGo()
  await until(settled('24'))
})

test('of what is typed within a frame only the last is asked for', async () => {
  show(job('2'))
  show(job('20'))
  const last = job('200')
  show(last)
  await until(settled('200'))
  expect(asked).toEqual(['none 200', 'instant 200'])
})

test('what a later key has superseded never comes back', async () => {
  answers.instant = 'held'
  show(job('20'))
  await until(() => held.length === 1)
  show(job('24'))
  await until(() => held.length === 2)
  letGo()
  await until(settled('24'))
  expect(drafted()).toBe('24')
})

test('what is refused is told once, and the drafts stay; the next key tries again', async () => {
  answers.instant = 'refused'
  show(job('20'))
  await until(() => now().failed !== '')
  expect([now().failed, drafted()]).toEqual(['20 is too wide', '20'])
  expect(asked.filter((each) => each.startsWith('instant'))).toHaveLength(1)
  answers.instant = 'at once'
  show(job('24'))
  await until(settled('24'))
  expect(now().failed).toBe('')
})

test('a server that is away is asked until it is back', async () => {
  answers.none = 'away'
  show(job('20'))
  await until(() => asked.length === 1)
  answers.none = 'at once'
  await until(settled('20'))
  expect(asked).toEqual(['none 20', 'none 20', 'instant 20'])
})

test('cloth is compared with what was bought when the step began', async () => {
  show(job('20'), 'first')
  await until(settled('20'))
  show(job('24'), 'second')
  await until(settled('24'))
  show(job('26'), 'second')
  await until(settled('26'))
  show(job('28'), 'third')
  await until(settled('28'))
  expect(befores).toEqual([undefined, 20_000, 20_000, 26_000])
})
