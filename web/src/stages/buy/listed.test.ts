import { expect, test } from 'vitest'
import type { Cloth, Plan } from '../../api/client'
import { asText, listed } from './listed'

const look = { tile: '/tile' }
const plan = {
  cloths: [{ id: 'a', look, buying: { cost: '£20.00' } }],
  totals: {
    shopping: [
      { at: 'cloth', name: 'Linen', note: '', amount: '1 3/8 yd', for: ['Bench'] },
      { at: 'fillings', name: 'foam', note: '', amount: '20 x 20 in', for: ['Bench'] },
      { at: 'haberdashery', name: 'zip', note: 'made up', amount: '20 in', for: ['Bench', 'Stool'] },
    ],
  },
} as unknown as Plan
const cloths = [{ id: 'a', name: 'Linen', tone: '#123456' }] as Cloth[]

test('a cloth shows how it looks and what it costs; what is bought beside it does not', () => {
  expect(listed(plan, cloths).map(({ name, amount, use, cost, cloth }) => [name, amount, use, cost, cloth])).toEqual([
    ['Linen', '1 3/8 yd', 'Bench', '£20.00', { tone: '#123456', look }],
    ['foam', '20 x 20 in', 'Bench', '', undefined],
    ['zip', '20 in', 'Bench, Stool', '', undefined],
  ])
})

test('what is taken from the shelves is not on the way to the shop, all or the rest of it', () => {
  const some = structuredClone(plan)
  const [, foam, zip] = some.totals?.shopping ?? []
  Object.assign(foam ?? {}, { stillToBuy: 'nothing' })
  Object.assign(zip ?? {}, { stillToBuy: '1 of 3' })
  expect(asText('Nook', listed(some, cloths))).toBe(
    'Nook\n\nWhere cloth is cut:\n- 1 3/8 yd Linen\n\nHaberdashery:\n- 1 of 3 (the rest is there; in all 20 in) zip (made up)',
  )
})

test('as text it goes from shop to shop, each line beginning with how much', () =>
  expect(asText('Stove corner', listed(plan, cloths))).toBe(
    'Stove corner\n\nWhere cloth is cut:\n- 1 3/8 yd Linen\n\nHaberdashery:\n- 20 in zip (made up)\n\nFoam and fillings:\n- 20 x 20 in foam',
  ))
