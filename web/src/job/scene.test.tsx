import { act, useEffect } from 'react'
import { createRoot } from 'react-dom/client'
import { beforeEach, expect, test } from 'vitest'
import type { Item, JobDocument } from '../api/client'
import { draftInHand, JobContext, SceneStore, useAsked, useEditItem, useScene, useUnit, type JobScene } from './scene'

const scene = (over: object = {}) =>
  ({
    job: { document: { unit: 'in', items: [{ id: 'a', name: 'Bench' }] }, edit: () => undefined },
    item: { id: 'a' },
    plan: {
      items: [
        { id: 'b', draft: { asked: [] } },
        { id: 'a', draft: { asked: ['measures.W', 'choices.cord'] } },
      ],
    },
    ...over,
  }) as unknown as JobScene

beforeEach(() => Reflect.set(globalThis, 'IS_REACT_ACT_ENVIRONMENT', true))

function shown(store: SceneStore, Part: () => React.ReactNode) {
  const box = document.createElement('div')
  const root = createRoot(box)
  act(() => root.render(<JobContext value={store}>{<Part />}</JobContext>))
  return box
}

test('who watches is told of a new scene, not of the same one, and no longer once it has gone', () => {
  const first = scene()
  const store = new SceneStore(first)
  let told = 0
  const leave = store.watch(() => told++)
  store.set(first)
  expect(told).toBe(0)
  store.set(scene())
  expect(told).toBe(1)
  leave()
  store.set(scene())
  expect(told).toBe(1)
})

test('a part is drawn anew only when that part changes', () => {
  const store = new SceneStore(scene())
  let drawn = 0
  const box = shown(store, () => {
    const unit = useUnit()
    useEffect(() => {
      drawn++
    })
    return unit
  })
  act(() => store.set(scene({ item: { id: 'b' } })))
  expect([box.textContent, drawn]).toEqual(['in', 1])
  act(() => store.set(scene({ job: { document: { unit: 'cm', items: [] } } })))
  expect([box.textContent, drawn]).toEqual(['cm', 2])
})

test('the draft in hand is that of the item in hand; before the plan is there it is none', () => {
  expect(draftInHand(scene())?.asked).toEqual(['measures.W', 'choices.cord'])
  expect(draftInHand(scene({ item: undefined }))).toBeUndefined()
  expect(draftInHand(scene({ plan: undefined }))).toBeUndefined()
})

test('a field is asked by its group and key', () => {
  const box = shown(new SceneStore(scene()), () => {
    const asked = useAsked()
    return [asked('measures', 'W'), asked('choices', 'W'), asked('allowances', 's')].join(' ')
  })
  expect(box.textContent).toBe('true false false')
})

test('an item is changed by its id; one that was taken off meanwhile is left alone', () => {
  const steps: string[] = []
  const document = { items: [{ id: 'a', name: 'Bench' }] } as JobDocument
  const edit = (step: string, change: (document: JobDocument) => void) => {
    steps.push(step)
    change(document)
  }
  let change: ReturnType<typeof useEditItem> | undefined
  shown(new SceneStore(scene({ job: { document, edit } })), () => {
    const own = useEditItem()
    useEffect(() => {
      change = own
    })
    return null
  })
  const name = (item: Item) => {
    item.name = 'Stool'
  }
  change?.('name', 'a', name)
  change?.('name', 'gone', name)
  expect(document.items.map((item) => item.name)).toEqual(['Stool'])
  expect(steps).toEqual(['name', 'name'])
})

test('outside a job there is no scene', () => {
  const box = document.createElement('div')
  const root = createRoot(box, { onUncaughtError: () => undefined })
  function Stray() {
    return useScene((now) => now.id)
  }
  expect(() => act(() => root.render(<Stray />))).toThrow('no job is open here')
})
