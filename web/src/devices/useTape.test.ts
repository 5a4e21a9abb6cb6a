import { beforeEach, expect, test } from 'vitest'
import { typeInto } from './useTape'

let field: HTMLInputElement
let other: HTMLInputElement
const seen: string[] = []

beforeEach(() => {
  seen.length = 0
  field = document.createElement('input')
  field.dataset['field'] = 'measures.W'
  other = document.createElement('input')
  document.body.replaceChildren(field, other)
  document.body.addEventListener('input', ({ target }) => seen.push(`typed ${(target as HTMLInputElement).value}`))
  document.body.addEventListener('keydown', ({ key }) => seen.push(key))
})

test('a reading is typed into the field that waits, and goes on with Enter', () => {
  expect(typeInto(field, '46 1/2 in')).toBe(true)
  expect(field.value).toBe('46 1/2 in')
  expect(new Set(seen)).toEqual(new Set(['typed 46 1/2 in', 'Enter']))
})

test('what is no field of a size, or cannot be written, takes none', () => {
  expect(typeInto(other, '12 in')).toBe(false)
  field.readOnly = true
  expect(typeInto(field, '12 in')).toBe(false)
  expect(typeInto(document.body, '12 in')).toBe(false)
  expect(typeInto(null, '12 in')).toBe(false)
  expect([field.value, other.value]).toEqual(['', ''])
})
