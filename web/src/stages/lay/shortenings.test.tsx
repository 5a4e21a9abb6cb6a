import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { act } from 'react'
import { createRoot, type Root } from 'react-dom/client'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { api, type Cloth } from '../../api/client'
import { JobContext, SceneStore, type JobScene } from '../../job/scene'
import { Shortenings } from './Shortenings'

interface Found {
  looked: number
  all: number
  changes: { told: string; saves: { text: string }; length: { text: string } }[]
}
const wider = { told: 'With the cloth 2 in wider', saves: { text: '6 in' }, length: { text: '3.48 yd' } }
const turned = { told: 'If 1d may lie either way', saves: { text: '14 in' }, length: { text: '3.26 yd' } }

let answers: (Found | string)[]
let asked: { cloth: string }[]
let box: HTMLElement
let root: Root
let store: SceneStore
const scene = () => ({ job: { document: { items: [] } } }) as unknown as JobScene

beforeEach(() => {
  Reflect.set(globalThis, 'IS_REACT_ACT_ENVIRONMENT', true)
  answers = []
  asked = []
  vi.spyOn(api, 'POST').mockImplementation(((_: string, { body }: { body: { cloth: string } }) => {
    asked.push(body)
    const next = answers.shift()
    return Promise.resolve(
      typeof next === 'string'
        ? { error: { detail: next }, response: new Response(null, { status: 422 }) }
        : { data: next, response: new Response() },
    )
  }) as never)
  store = new SceneStore(scene())
  box = document.createElement('div')
  document.body.replaceChildren(box)
  root = createRoot(box)
})
afterEach(() => {
  act(() => root.unmount())
  vi.restoreAllMocks()
})

const show = (proven = false) =>
  act(() =>
    root.render(
      <QueryClientProvider client={new QueryClient()}>
        <JobContext value={store}>
          <Shortenings cloth={{ id: 'c1' } as Cloth} proven={proven} />
        </JobContext>
      </QueryClientProvider>,
    ),
  )
const press = (name: string) =>
  act(async () => {
    ;[...box.querySelectorAll('button')].find((each) => each.textContent === name)?.click()
    await new Promise((go) => setTimeout(go, 20))
  })
const ask = () => press('What one change would shorten it most?')
const listed = () => [...box.querySelectorAll('li')].map((each) => each.textContent)

test('nothing is laid anew before it is asked for; then the changes stand in their order, where each is to be made', async () => {
  answers = [{ looked: 9, all: 9, changes: [turned, wider] }]
  show()
  expect([asked.length, listed()]).toEqual([0, []])
  await ask()
  expect(asked).toMatchObject([{ cloth: 'c1' }])
  expect(listed()).toEqual([
    'If 1d may lie either way: 14 in less, 3.26 yd in all',
    'With the cloth 2 in wider: 6 in less, 3.48 yd in all',
  ])
  expect(box.textContent).toMatch(/grain is chosen on Make-up/)
  // The button has gone: what it led to has the focus.
  expect(document.activeElement?.contains(box.querySelector('ol'))).toBe(true)
})

test('a lay that is not proven may be shortened by a search too, and that is said beside it', async () => {
  answers = [
    { looked: 2, all: 2, changes: [wider] },
    { looked: 2, all: 2, changes: [wider] },
  ]
  show(false)
  await ask()
  expect(box.textContent).toMatch(/a longer search may save some of it/)
  act(() => root.render(null))
  show(true)
  await ask()
  expect(box.textContent).not.toMatch(/longer search/)
})

test('that nothing shortens it is said once everything was tried, and not before', async () => {
  answers = [
    { looked: 3, all: 7, changes: [] },
    { looked: 7, all: 7, changes: [] },
  ]
  show()
  await ask()
  expect(box.textContent).toMatch(/3 of 7 changes were tried/)
  expect(box.textContent).not.toMatch(/No one change/)
  await press('Look on')
  expect(box.textContent).toMatch(/No one change .* of 7 that were tried, shortens it/)
})

test('what is refused is told, and can be tried again', async () => {
  answers = ['the cloth has no width', { looked: 1, all: 1, changes: [wider] }]
  show()
  await ask()
  expect(box.querySelector('[role=alert]')?.textContent).toMatch(/the cloth has no width/)
  await press('Try again')
  expect([listed().length, box.querySelector('[role=alert]')]).toEqual([1, null])
})

test('what was found of another job than the one that is seen is not shown', async () => {
  answers = [{ looked: 1, all: 1, changes: [wider] }]
  show()
  await ask()
  expect(listed()).toHaveLength(1)
  act(() => store.set(scene()))
  expect(listed()).toEqual([])
  expect(box.querySelector('button')?.textContent).toBe('What one change would shorten it most?')
  expect(asked).toHaveLength(1)
})
