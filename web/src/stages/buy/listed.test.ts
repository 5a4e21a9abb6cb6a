import { expect, test } from 'vitest'
import type { Cloth, Plan } from '../../api/client'
import { asText, listed } from './listed'

const plan = {
  cloths: [{ id: 'a', buying: { cost: '£20.00' } }],
  totals: {
    shopping: [
      { name: 'Linen', note: '', amount: '1 3/8 yd', for: ['Bench'] },
      { name: 'zip', note: 'made up', amount: '20 in', for: ['Bench', 'Stool'] },
    ],
  },
} as unknown as Plan
const cloths = [{ id: 'a', name: 'Linen', tone: '#123456' }] as Cloth[]

test('a cloth shows its tone and what it costs; what is bought beside it does not', () => {
  expect(listed(plan, cloths).map(({ name, amount, use, cost, tone }) => [name, amount, use, cost, tone])).toEqual([
    ['Linen', '1 3/8 yd', 'Bench', '£20.00', '#123456'],
    ['zip', '20 in', 'Bench, Stool', '', undefined],
  ])
})

test('as text each line begins with how much', () =>
  expect(asText('Stove corner', listed(plan, cloths))).toBe('Stove corner\n- 1 3/8 yd Linen\n- 20 in zip (made up)'))
