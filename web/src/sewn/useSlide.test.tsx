import { act } from 'react'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { api, Refused, type JobDocument, type Sewn } from '../api/client'
import { JobContext, SceneStore, type JobScene } from '../job/scene'
import { probe } from '../testing/probe'
import { useSlide, type Slid } from './useSlide'

const by = (across: number, along = 0, together = 'panel'): Slid => ({
  together,
  piece: `${together}/1`,
  across,
  along,
})

let store: SceneStore
let asked: { item: string; piece: string; across: number; along: number }[]
let refuse: string | Error
const item = () => store.get().job.document.items[0] as unknown as { matches: object; motifs: object }
const edit = (_: string, change: (document: JobDocument) => void) => {
  const document = structuredClone(store.get().job.document)
  change(document)
  store.set({ ...store.get(), job: { ...store.get().job, document } })
}

let page: ReturnType<typeof probe<Sewn, ReturnType<typeof useSlide>>>
const now = () => page.now()
const first = { of: 'first' } as unknown as Sewn

beforeEach(() => {
  vi.useFakeTimers()
  asked = []
  refuse = ''
  vi.spyOn(api, 'POST').mockImplementation(((_: string, { body }: { body: (typeof asked)[number] }) => {
    asked.push(body)
    const data = {
      refused: refuse,
      told: 'It takes 3 in more.',
      item: 'a',
      piece: 'panel',
      match: 'placed',
      place: { across: '4', along: '0' },
    }
    return refuse instanceof Error ? Promise.reject(refuse) : Promise.resolve({ data, response: new Response() })
  }) as never)
  store = new SceneStore({
    job: { document: { items: [{ id: 'a', matches: {}, motifs: {} }] }, edit },
  } as unknown as JobScene)
  page = probe(
    (sewn) => useSlide('a', sewn),
    (inner) => <JobContext value={store}>{inner}</JobContext>,
  )
  page.show(first)
})
afterEach(() => {
  page.gone()
  vi.useRealTimers()
  vi.restoreAllMocks()
})

const rest = () => act(() => vi.advanceTimersByTimeAsync(500))

test('steps by keys are shown at once and entered together when no key follows', async () => {
  act(() => now().step(by(100)))
  act(() => now().step(by(100, 40)))
  expect(now().slid).toEqual(by(200, 40))
  expect(asked).toEqual([])
  await rest()
  expect(asked).toHaveLength(1)
  expect(asked[0]).toMatchObject({ item: 'a', piece: 'panel/1', across: 200, along: 40 })
  expect(now().told).toBe('It takes 3 in more.')
  expect(item()).toMatchObject({ matches: { panel: 'placed' }, motifs: { panel: { across: '4' } } })
})

test('what was entered stays shown until a lay shows it, and what follows is added to it', async () => {
  act(() => now().step(by(100)))
  await rest()
  expect(now().slid).toEqual(by(100))
  act(() => now().step(by(50)))
  expect(now().slid).toEqual(by(150))
  await rest()
  // Only what is new is asked for: the server has the rest.
  expect(asked.map(({ across }) => across)).toEqual([100, 50])
  page.show({ of: 'second' } as unknown as Sewn)
  expect(now().slid).toBeUndefined()
})

test('another piece begins from nothing', () => {
  act(() => now().step(by(100)))
  act(() => now().step(by(30, 0, 'boxing')))
  expect(now().slid).toEqual(by(30, 0, 'boxing'))
})

test('a print that is let go where it was costs nothing', async () => {
  act(() => now().slide(by(0.3, -0.2)))
  await act(() => now().enter())
  expect(asked).toEqual([])
})

test.each([
  [
    'refused by the rule',
    'the motif would lie over the seam',
    'It stays as it was: the motif would lie over the seam.',
  ],
  ['refused by the server', new Refused(422, 'It cannot be.', [], undefined), 'It cannot be.'],
  ['no answer', new TypeError('no network'), 'The server does not answer. Try again.'],
])('%s: the print goes back and it is told', async (_, why, told) => {
  refuse = why
  act(() => now().step(by(100)))
  await rest()
  expect([now().slid, now().told, item().matches]).toEqual([undefined, told, {}])
})

test('what was slid by keys is entered when the view is left before it was', async () => {
  act(() => now().step(by(100)))
  page.gone()
  await rest()
  expect(asked).toHaveLength(1)
})
