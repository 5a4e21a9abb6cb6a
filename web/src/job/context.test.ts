import { describe, expect, it } from 'vitest'
import type { Choice, Entry, Item, JobDocument, MakeUp, Role } from '../api/client'
import { clothOf, isShown } from './context'

const entry = (typed: string): Entry => ({ typed, unit: 'in' })
const choice = (key: string, usual: string, shownWhen: Choice['shownWhen'] = null): Choice => ({
  key,
  name: key,
  group: '',
  kind: 'option',
  note: '',
  options: [],
  default: usual,
  min: 1,
  max: 12,
  onMeasure: true,
  shownWhen,
})
const makeUp: MakeUp = {
  key: 'seat',
  name: 'Seat',
  family: 'Seat',
  when: '',
  measures: [],
  allowances: [],
  choices: [choice('shape', 'rectangle'), choice('stations', '1', { choice: 'shape', answers: ['tapered'] })],
}
const item = (choices: Record<string, string>): Item => ({
  id: 'a',
  name: 'a',
  makeUp: 'seat',
  quantity: '1',
  cloth: null,
  measures: {},
  allowances: {},
  notes: '',
  otherCloths: {},
  matches: {},
  inLine: false,
  choices: Object.fromEntries(Object.entries(choices).map(([key, typed]) => [key, entry(typed)])),
})
const station = { shownWhen: { choice: 'stations', answers: ['1', '2'] } }

describe('what is asked', () => {
  it('is asked always without a condition', () => expect(isShown({}, makeUp, item({}))).toBe(true))
  it('follows the answer that it looks at', () => {
    expect(isShown(station, makeUp, item({ shape: 'tapered', stations: '2' }))).toBe(true)
    expect(isShown(station, makeUp, item({ shape: 'tapered', stations: '0' }))).toBe(false)
  })
  it('is not asked while that choice is not asked itself', () =>
    expect(isShown(station, makeUp, item({ shape: 'round', stations: '2' }))).toBe(false))
  it('takes what is usual where nothing was chosen', () => {
    expect(isShown(station, makeUp, item({ shape: 'tapered' }))).toBe(true)
    expect(isShown({ shownWhen: { choice: 'shape', answers: ['rectangle'] } }, makeUp, item({}))).toBe(true)
  })
  it('knows no choice of another make-up', () =>
    expect(isShown({ shownWhen: { choice: 'lid', answers: [''] } }, makeUp, item({}))).toBe(false))
})

describe('what a piece is cut from', () => {
  const job = { cloths: [{ id: 'first' }] } as JobDocument
  const from = (role: Role, otherCloths: Item['otherCloths']) => clothOf({ ...item({}), otherCloths }, role, job)
  it('is the cloth named for its role', () => expect(from('wadding', { wadding: 'wool' })).toBe('wool'))
  it('is the first cloth of the job where none is named', () =>
    expect(from('contrast', { wadding: 'wool' })).toBe('first'))
  it('is the second face’s for a lining', () => expect(from('lining', { 'second face': 'plum' })).toBe('plum'))
  it('is none for fillings, which are bought by size', () =>
    expect(from('pad layer', { wadding: 'wool' })).toBeUndefined())
})
