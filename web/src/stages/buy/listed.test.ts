import { expect, test } from 'vitest'
import type { Cloth, Plan } from '../../api/client'
import { asText, listed } from './listed'

const plan = {
  cloths: [
    {
      id: 'a',
      buying: {
        articles: null,
        bought: { text: '1 3/8 yd' },
        boughtOtherwise: '1.26 m',
        needed: { text: '1.32 yd' },
        cost: '£20.00',
      },
    },
    { id: 'b', buying: null },
    {
      id: 'c',
      buying: { articles: 2, bought: { text: '' }, boughtOtherwise: '', needed: { text: '3 ft' }, cost: null },
    },
  ],
  totals: { shopping: [{ name: 'zip', note: 'made up', amount: '20 in', for: ['Bench', 'Stool'] }] },
} as unknown as Plan
const cloths = [
  { id: 'a', name: 'Linen', tone: '#123456' },
  { id: 'b', name: 'Ticking', tone: '#ffffff' },
  { id: 'c', name: 'Towel', tone: '#eeeeee' },
] as Cloth[]

test('cloths come first, as the shop sells them; one that nothing is cut from is not bought', () => {
  expect(listed(plan, cloths).map(({ name, amount, use, cost }) => [name, amount, use, cost])).toEqual([
    ['Linen', '1 3/8 yd', '1.32 yd needed', '£20.00'],
    ['Towel', '2 ready-made', '3 ft needed', ''],
    ['zip', '20 in', 'Bench, Stool', ''],
  ])
})

test('as text each line begins with how much', () =>
  expect(asText('Stove corner', listed(plan, cloths))).toBe(
    'Stove corner\n- 1 3/8 yd Linen (1.26 m)\n- 2 ready-made Towel\n- 20 in zip (made up)',
  ))
