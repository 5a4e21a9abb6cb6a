import { expect, test } from 'vitest'
import type { JobScene } from '../../job/scene'
import { firstLeft, wayThrough } from './walking'

const size = (key: string, more = {}) => ({ key, kind: 'length', optional: false, ...more })
const kinds = [
  { key: 'cushion', measures: [size('W'), size('L'), size('r', { optional: true }), size('O', { kind: 'outline' })] },
  { key: 'stool', measures: [size('d'), size('H')] },
]
const entry = (typed: string) => ({ typed, unit: 'in' })
const scene = (...items: [string, string, Record<string, string>, string[]][]) =>
  ({
    makeUps: kinds,
    plan: {
      items: items.map(([id, , , asked]) => ({ id, draft: { asked: asked.map((key) => `measures.${key}`) } })),
    },
    job: {
      document: {
        items: items.map(([id, makeUp, typed]) => ({
          id,
          makeUp,
          measures: Object.fromEntries(Object.entries(typed).map(([key, text]) => [key, entry(text)])),
        })),
      },
    },
  }) as unknown as JobScene

test('the room is walked item by item, in walking order, by the sizes that are asked', () => {
  const room = scene(
    ['a', 'cushion', {}, ['W', 'L', 'r', 'O']],
    ['b', 'stool', {}, ['H']],
    ['c', 'cushion', { r: '2' }, ['L', 'r']],
  )
  expect(wayThrough(room).map(({ item, measure }) => `${item} ${measure}`)).toEqual(['a W', 'a L', 'b H', 'c L', 'c r'])
})

test('it begins at the first size that is missing, or at the first when none is', () => {
  const half = scene(['a', 'stool', { d: '14', H: ' ' }, ['d', 'H']], ['b', 'stool', {}, ['d']])
  expect(firstLeft(wayThrough(half), half)).toBe(1)
  const whole = scene(['a', 'stool', { d: '14', H: '9' }, ['d', 'H']])
  expect(firstLeft(wayThrough(whole), whole)).toBe(0)
})
