import { expect, it } from 'vitest'
import type { Cloth, Entry, Item, JobDocument } from '../api/client'
import { decided, merge, same } from './merging'

const entry = (typed: string): Entry => ({ typed, unit: 'in' })
const item = (id: string, w: string, allowances: Record<string, Entry> = {}): Item => ({
  id,
  name: `cushion ${id}`,
  makeUp: 'm',
  quantity: '1',
  cloth: null,
  measures: { W: entry(w) },
  choices: {},
  allowances,
  notes: '',
  otherCloths: {},
  matches: {},
  motifs: {},
  inLine: false,
  partsOff: [],
  way: [],
  room: '',
})
const job = (...items: Item[]): JobDocument => ({
  version: 1,
  name: 'job',
  customer: '',
  unit: 'in',
  currency: '£',
  customerId: '',
  placeId: '',
  items,
  cloths: [],
  removed: [],
  making: { order: 'batch', steps: [], fits: [], checks: [] },
  fromShelves: [],
  handOver: { place: '', labelWidth: null, labelHeight: null, covers: [] },
})
const flaw = (id: string, along: string) => ({
  id,
  fromEnd: entry(along),
  fromSelvedge: entry('1'),
  along: entry('1'),
  across: entry('1'),
})
const pin = (piece: string, x: number) => ({ piece, turns: 0, x, y: 0 })
const cloth = (part: Partial<Cloth>) => ({
  ...job(),
  cloths: [
    {
      id: 'c',
      name: 'Slate',
      flaws: [],
      pins: [],
      stock: [],
      prices: [],
      otherWidths: [],
      cut: [],
      ...part,
    } as unknown as Cloth,
  ],
})

it('takes what either side alone changed, and asks what both did', () => {
  const { document, asked } = merge(
    job(item('a', '30')),
    { ...job(item('a', '31')), customer: 'Lodge' },
    { ...job(item('a', '32')), name: 'theirs' },
  )
  expect([document.name, document.customer, document.items[0]?.measures['W']?.typed]).toEqual(['theirs', 'Lodge', '32'])
  expect(asked.map(({ path, label, mine, theirs }) => [path, label, mine, theirs])).toEqual([
    [['items', 'a', 'measures', 'W'], 'cushion a, W', '31 (in)', '32 (in)'],
  ])
  expect(decided(document, asked).items[0]?.measures['W']?.typed).toBe('31')
})

it('keeps items that either added, and a key with a slash is one key', () => {
  const base = job(item('a', '30'))
  const { document, asked } = merge(
    base,
    job(item('a', '30', { 'panel/front': entry('1/2') }), item('m', '1')),
    job(item('a', '30', { 'panel/front': entry('3/4') }), item('t', '2')),
  )
  expect(document.items.map(({ id }) => id)).toEqual(['a', 't', 'm'])
  expect(asked.map(({ path }) => path)).toEqual([['items', 'a', 'allowances', 'panel/front']])
  expect(decided(document, asked).items[0]?.allowances).toEqual({ 'panel/front': entry('1/2') })
})

it('knows flaws, pins and widths by what they are, whatever their place', () => {
  const base = cloth({ flaws: [flaw('f1', '10'), flaw('f2', '20')], pins: [pin('i/p/1', 0), pin('i/p/2', 0)] })
  const mine = cloth({
    flaws: [flaw('f2', '25')],
    pins: [pin('i/p/2', 7), pin('i/p/1', 0)],
    otherWidths: [entry('66')],
  })
  const theirs = cloth({
    flaws: [flaw('f1', '10'), flaw('f2', '20'), flaw('f3', '30')],
    pins: [pin('i/p/1', 5), pin('i/p/2', 0)],
    otherWidths: [entry('70')],
  })
  const { document, asked } = merge(base, mine, theirs)
  const found = document.cloths[0]
  expect(asked).toEqual([])
  expect(found?.flaws.map(({ id, fromEnd }) => [id, fromEnd.typed])).toEqual([
    ['f2', '25'],
    ['f3', '30'],
  ])
  expect(found?.pins.map(({ piece, x }) => [piece, x])).toEqual([
    ['i/p/1', 5],
    ['i/p/2', 7],
  ])
  expect(found?.otherWidths.map(({ typed }) => typed)).toEqual(['70', '66'])
})

it('asks about an item that one took off and the other changed, and either answer holds', () => {
  const base = job(item('a', '30'), item('b', '1'))
  const offMine = merge(base, job(item('b', '1')), job(item('a', '31'), item('b', '1')))
  expect([offMine.document.items.length, offMine.asked[0]?.mine, offMine.asked[0]?.theirs]).toEqual([
    2,
    'not there',
    'cushion a',
  ])
  expect(decided(offMine.document, offMine.asked).items.map(({ id }) => id)).toEqual(['b'])
  const offTheirs = merge(base, job(item('a', '31'), item('b', '1')), job(item('b', '1')))
  expect(decided(offTheirs.document, offTheirs.asked).items.map(({ id }) => id)).toEqual(['b', 'a'])
})

// By property: with one side unchanged the other's document comes out, and nothing is asked.
it('is the other side where one changed nothing', () => {
  const states = [
    job(),
    job(item('a', '30')),
    { ...job(item('b', '1'), item('a', '31')), name: 'x' },
    cloth({ flaws: [flaw('f1', '1')] }),
  ]
  for (const base of states)
    for (const other of states) {
      expect(merge(base, base, other)).toEqual({ document: other, asked: [] })
      expect(merge(base, other, base)).toEqual({ document: other, asked: [] })
      expect(same(base, structuredClone(base))).toBe(true)
    }
})
