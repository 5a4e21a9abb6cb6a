import { act } from 'react'
import { createRoot } from 'react-dom/client'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { api, type Cloth, type JobDocument } from '../api/client'
import { probe } from '../testing/probe'
import { AddCloth } from './AddCloth'
import { JobContext, SceneStore, type JobScene } from './scene'
import { useClothEdit } from './useClothEdit'
import { useItemField } from './useItemField'
import { usePaper } from './usePaper'

// A job of one item and one cloth, edited as the page edits it: a changed copy takes the place of the old document.
let store: SceneStore
let steps: string[]
const job = () => store.get().job.document
const edit = (step: string, change: (document: JobDocument) => void) => {
  steps.push(step)
  const document = structuredClone(job())
  change(document)
  store.set({ ...store.get(), item: document.items[0], job: { ...store.get().job, document } })
}
const begin = (unit: 'in' | 'cm') => {
  const items = [{ id: 'a', measures: { W: { typed: '18', unit } }, choices: {}, allowances: {} }]
  const draft = {
    fields: { 'measures.W': { text: '18' } },
    problems: [{ field: 'measures.W', reason: 'too wide', example: '17' }],
  }
  store = new SceneStore({
    item: items[0],
    plan: { items: [{ id: 'a', draft }] },
    job: { document: { unit, items, cloths: [{ id: 'c1', name: 'Twill', gap: '' }] }, edit },
  } as unknown as JobScene)
}

let pages: { gone: () => void }[]
/** Uses a hook on a page of this job; what it gives, as the page is drawn now. */
function used<T>(hook: () => T): () => T {
  const page = probe<undefined, T>(hook, (inner) => <JobContext value={store}>{inner}</JobContext>)
  pages.push(page)
  page.show(undefined)
  return page.now
}

beforeEach(() => {
  Reflect.set(globalThis, 'IS_REACT_ACT_ENVIRONMENT', true)
  localStorage.clear()
  steps = []
  begin('in')
  pages = []
})
afterEach(() => {
  for (const page of pages) page.gone()
  vi.restoreAllMocks()
  vi.unstubAllGlobals()
})

test('a field has what was typed, how it was read, and what is wrong with it', () => {
  const now = used(() => useItemField('measures', 'W'))
  expect(now()).toMatchObject({
    field: 'measures.W',
    state: { entry: { typed: '18', unit: 'in' }, read: { text: '18' }, problem: { reason: 'too wide' } },
  })
  expect(used(() => useItemField('measures', 'T'))().state).toEqual({
    entry: undefined,
    read: undefined,
    problem: undefined,
  })
})

test('what is typed is kept with the unit of the job, in the step of its field', () => {
  begin('cm')
  const now = used(() => useItemField('measures', 'T'))
  act(() => now().write('7,5', 'T'))
  act(() => now().write('7,55', 'T'))
  expect(now().state.entry).toEqual({ typed: '7,55', unit: 'cm' })
  expect(job().items[0]?.measures['W']).toEqual({ typed: '18', unit: 'cm' })
  expect(steps).toEqual(['T', 'T'])
})

test('where no item is in hand nothing is written', () => {
  const now = used(() => useItemField('choices', 'cord'))
  act(() => store.set({ ...store.get(), item: undefined }))
  act(() => now().write('single', ''))
  expect(steps).toEqual([])
})

test('a cloth is changed by its id, the others are not; one that is gone is not made anew', () => {
  const now = used(() => useClothEdit({ id: 'c1' } as Cloth))
  act(() => now()({ gap: '1/2' } as unknown as Partial<Cloth>, 'gap'))
  expect(job().cloths).toEqual([{ id: 'c1', name: 'Twill', gap: '1/2' }])
  const gone = used(() => useClothEdit({ id: 'c9' } as Cloth))
  act(() => gone()({ name: 'Velvet' }))
  expect(job().cloths).toHaveLength(1)
  expect(steps).toEqual(['gap', ''])
})

test('a cloth that is added is the next one by name, with what is usual in the unit of the job; silence is told', async () => {
  begin('cm')
  let away = true
  const asked = vi
    .spyOn(api, 'POST')
    .mockImplementation(((_: string, { body }: { body: { id: string } }) =>
      away
        ? Promise.reject(new TypeError('no network'))
        : Promise.resolve({ data: body, response: new Response() })) as never)
  const added: string[] = []
  const box = document.createElement('div')
  const page = createRoot(box)
  act(() =>
    page.render(
      <JobContext value={store}>
        <AddCloth
          added={(id) => {
            added.push(id)
          }}
        />
      </JobContext>,
    ),
  )
  const press = () =>
    act(async () => {
      box.querySelector('button')?.click()
      await new Promise((go) => setTimeout(go, 5))
    })
  await press()
  expect([job().cloths.length, box.querySelector('[role=alert]')?.textContent]).toEqual([
    1,
    expect.stringMatching(/does not answer/),
  ])
  away = false
  await press()
  expect(asked.mock.lastCall).toMatchObject(['/api/cloths', { body: { name: 'Cloth 2', unit: 'cm' } }])
  expect(job().cloths.map(({ id }) => id)).toEqual(['c1', ...added])
  expect([added.length, box.querySelector('[role=alert]')]).toEqual([1, null])
  act(() => page.unmount())
})

test('paper is A4 until another one is chosen, which this device remembers', () => {
  const first = used(usePaper)
  expect([first().is, first().query]).toEqual(['a4', { paper: 'a4' }])
  act(() => first().choose('letter'))
  expect(first().query).toEqual({ paper: 'letter' })
  expect(used(() => usePaper())().is).toBe('letter')
})

test.each([
  ['in', '36'],
  ['cm', '91'],
] as const)('a roll in %s is %s wide unless another width is typed', (unit, usual) => {
  begin(unit)
  const now = used(usePaper)
  act(() => now().choose('roll'))
  expect(now().query).toEqual({ paper: 'roll', roll: usual })
  act(() => now().setRoll('  '))
  expect(now().query['roll']).toBe(usual)
  act(() => now().setRoll('24 1/2'))
  expect(now().query['roll']).toBe('24 1/2')
})

test('where the browser keeps nothing, the paper holds until the page is left', () => {
  const forbidden = () => {
    throw new DOMException('forbidden', 'SecurityError')
  }
  vi.stubGlobal('localStorage', { getItem: forbidden, setItem: forbidden })
  const now = used(usePaper)
  expect(now().is).toBe('a4')
  act(() => now().choose('a3'))
  expect(now().is).toBe('a3')
})
