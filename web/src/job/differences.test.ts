import { expect, it } from 'vitest'
import type { Item, JobDocument } from '../api/client'
import { differences, merged } from './differences'

const item = (id: string, w: string): Item => ({ id, name: `cushion ${id}`, makeUp: 'm', quantity: '1', cloth: null, measures: { W: { typed: w, unit: 'in' } }, choices: {}, allowances: {}, notes: '', otherCloths: {}, matches: {}, inLine: false })
const job = (...items: Item[]): JobDocument => ({ version: 1, name: 'job', customer: '', unit: 'in', currency: '£', items, cloths: [] })

it('tells each field that differs, with both values', () => {
  const found = differences(job(item('a', '30')), { ...job(item('a', '31')), customer: 'Mill Lane' })
  expect(found.map(({ path, mine, theirs }) => [path, mine, theirs])).toEqual([
    ['customer', 'empty', 'Mill Lane'],
    ['items/a/measures/W', '30 (in)', '31 (in)'],
  ])
  expect(found[1]?.label).toBe('items, cushion a, measures, W')
})

it('takes an added item as one difference, whatever its place', () => {
  const found = differences(job(item('a', '30'), item('c', '9')), job(item('b', '1'), item('a', '30')))
  expect(found.map(({ path, mine, theirs }) => [path, mine, theirs])).toEqual([['items/c', 'cushion c', 'not there'], ['items/b', 'not there', 'cushion b']])
})

it('merges to theirs when every field is taken and to mine when none is', () => {
  const mine = job(item('a', '30'), item('c', '9'))
  const theirs = { ...job(item('a', '31'), item('b', '2')), name: 'other' }
  const found = differences(mine, theirs)
  expect(differences(merged(mine, theirs, found), theirs)).toEqual([])
  expect(merged(mine, theirs, [])).toEqual(mine)
  const width = found.filter((each) => each.path.endsWith('W'))
  expect(merged(mine, theirs, width).items[0]?.measures['W']?.typed).toBe('31')
})
