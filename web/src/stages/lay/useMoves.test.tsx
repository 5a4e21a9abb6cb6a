import { act } from 'react'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { api, type JobDocument, type Pin } from '../../api/client'
import { JobContext, SceneStore, type JobScene } from '../../job/scene'
import { probe } from '../../testing/probe'
import { useMoves } from './useMoves'

const pinned = (piece: string, x = 0): Pin => ({ piece, turns: 0, x, y: 0 })

// A job with two cloths, edited as the page edits it: a copy, changed, in place of the old one.
let store: SceneStore
const edit = (_: string, change: (document: JobDocument) => void) => {
  const { job } = store.get()
  const document = structuredClone(job.document)
  change(document)
  store.set({ ...store.get(), job: { ...job, document } })
}
const cloth = (id: string) => ({ id, pins: [] as Pin[], cut: [] as { piece: string }[] })
const pins = (id = 'face') => store.get().job.document.cloths.find((each) => each.id === id)?.pins

let page: ReturnType<typeof probe<undefined, ReturnType<typeof useMoves>>>
const now = () => page.now()

// What the server answers to each question about a move, in turn, and what it was asked.
let answers: { pin?: Pin; refused?: string }[]
let asked: { cloth: string; piece: string; turns: number; along: number; across: number }[]

beforeEach(() => {
  ;[answers, asked] = [[], []]
  vi.spyOn(api, 'POST').mockImplementation(((_: string, { body }: { body: (typeof asked)[number] }) => {
    asked.push(body)
    const data = answers.shift()
    return data ? Promise.resolve({ data, response: new Response() }) : Promise.reject(new TypeError('no network'))
  }) as never)
  store = new SceneStore({
    job: { document: { cloths: [cloth('face'), cloth('lining')] }, edit },
  } as unknown as JobScene)
  page = probe(
    () => useMoves('face'),
    (inner) => <JobContext value={store}>{inner}</JobContext>,
  )
  page.show(undefined)
})
afterEach(() => {
  page.gone()
  vi.restoreAllMocks()
})

const here = { piece: 'a/panel/1', turns: 3, along: 1000.4, across: 249.6 }

test('a piece that is moved is pinned where it comes to rest, once, on its own cloth', async () => {
  answers = [{ pin: pinned('a/panel/1', 40) }, { pin: pinned('a/panel/1', 80) }]
  await act(() => now().moves.move(here))
  await act(() => now().moves.move({ ...here, along: 2000 }))
  expect(pins()).toEqual([pinned('a/panel/1', 80)])
  expect(pins('lining')).toEqual([])
  expect(now().refused).toBe('')
  // Places are whole counts.
  expect(asked[0]).toMatchObject({ cloth: 'face', piece: 'a/panel/1', turns: 3, along: 1000, across: 250 })
})

test('where it cannot lie it is not pinned, and the next one that can takes the words away', async () => {
  answers = [{ refused: 'it would lie on panel 1b' }, { pin: pinned('b', 1) }]
  await act(() => now().moves.move(here))
  expect([pins(), now().refused]).toEqual([[], 'it would lie on panel 1b'])
  await act(() => now().moves.move({ ...here, piece: 'b' }))
  expect([pins(), now().refused]).toEqual([[pinned('b', 1)], ''])
})

test('a piece turns a quarter, or half where the grain allows no quarter, or says why not', async () => {
  answers = [{ refused: 'the grain runs along' }, { pin: pinned('a/panel/1') }]
  await act(() => now().moves.turn(here))
  // Three quarters and one are none; three and two are one.
  expect(asked.map(({ turns }) => turns)).toEqual([0, 1])
  expect([pins()?.length, now().refused]).toEqual([1, ''])
  answers = [{ refused: 'the grain runs along' }, { refused: 'the pile runs down' }]
  await act(() => now().moves.turn(here))
  expect(now().refused).toBe('the pile runs down')
})

test('silence is told and moves nothing', async () => {
  await act(() => now().moves.move(here))
  expect([pins(), now().refused]).toEqual([[], 'the server does not answer'])
})

test('pins are taken out one by one or all at once; what is cut already stays', () => {
  act(() => ['a', 'b', 'c'].forEach((piece) => now().moves.pin(pinned(piece))))
  act(() => now().moves.unpin('b'))
  expect(pins()?.map(({ piece }) => piece)).toEqual(['a', 'c'])
  edit('', ({ cloths }) => void cloths[0]?.cut.push({ piece: 'c' } as never))
  act(() => now().moves.unpinAll())
  expect(pins()?.map(({ piece }) => piece)).toEqual(['c'])
})
