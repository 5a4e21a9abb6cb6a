import { beforeEach, expect, test } from 'vitest'
import type { MakeUp, SetOfItems } from '../api/client'
import { calledFor, foundKinds, keepKind, kindsOf, lastKinds } from './kinds'

const makeUp = (key: string, family: string, name: string, suits = '') => ({ key, family, name, suits }) as MakeUp
const makeUps = [
  makeUp('a', 'Pouffe', 'Sewn round'),
  makeUp('b', 'Stool or cube', 'With a cap'),
  makeUp('c', 'Stool or cube', 'Banded', 'For a table top'),
  makeUp('d', 'Table', 'Of one piece'),
]
const sets = [{ key: 's', name: 'Table with stools', suits: 'a cover each', firstMakeUp: 'd' } as SetOfItems]
const names = (kinds: { name: string }[]) => kinds.map((each) => each.name)

beforeEach(() => localStorage.clear())

test('kinds with many schools come first, and what was covered last before them', () => {
  expect(names(kindsOf(makeUps, sets, []))).toEqual(['Stool or cube', 'Pouffe', 'Table', 'Table with stools'])
  keepKind('Table')
  keepKind('Pouffe')
  keepKind('Table')
  expect(lastKinds()).toEqual(['Table', 'Pouffe'])
  expect(names(kindsOf(makeUps, sets, lastKinds()))).toEqual(['Table', 'Pouffe', 'Stool or cube', 'Table with stools'])
})

test('a kind is found by how its words begin, with most words first, and its own name before what it suits', () => {
  const kinds = kindsOf(makeUps, sets, [])
  expect(names(foundKinds(kinds, 'tab'))).toEqual(['Table', 'Table with stools', 'Stool or cube'])
  expect(names(foundKinds(kinds, 'hall  table stool'))).toEqual(['Table with stools', 'Stool or cube', 'Table'])
  expect(foundKinds(kinds, 'able')).toEqual([])
  expect(names(foundKinds(kinds, ' '))).toEqual(names(kinds))
})

test('an item is called as it was typed where that says more than its kind', () => {
  const kind = kindsOf(makeUps, [], [])[0]
  if (!kind) throw new Error('no kind')
  expect(calledFor(kind, 'cub')).toBe('Stool or cube')
  expect(calledFor(kind, '')).toBe('Stool or cube')
  expect(calledFor(kind, ' Piano stool ')).toBe('Piano stool')
})

test('what else was kept under that name does no harm', () => {
  localStorage.setItem('wrapper.kinds', '{"a":')
  expect(lastKinds()).toEqual([])
  localStorage.setItem('wrapper.kinds', '[1,"Table"]')
  expect(lastKinds()).toEqual(['Table'])
})
