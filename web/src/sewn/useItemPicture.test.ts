import { describe, expect, it } from 'vitest'
import type { Cloth, Item, JobDocument } from '../api/client'
import { only, shownOf } from './useItemPicture'

const item = {
  id: 'i1',
  name: 'Bench',
  makeUp: 'any',
  quantity: '1',
  cloth: 'c1',
  measures: { W: { typed: '20', unit: 'in' } },
  choices: {},
  allowances: {},
  otherCloths: {},
  notes: '',
} as unknown as Item
const cloth = { id: 'c1', tone: '#5d7284', price: '20', madeBy: null } as unknown as Cloth

describe('what shows on the picture of an item', () => {
  it('are its sizes and the look of its cloth, not its name or what the cloth costs', () => {
    const shown = shownOf(item, [cloth])
    expect(shownOf({ ...item, name: 'Seat', quantity: '3', notes: 'hinges' }, [{ ...cloth, price: '31' }])).toBe(shown)
    expect(shownOf({ ...item, measures: { W: { typed: '21', unit: 'in' } } }, [cloth])).not.toBe(shown)
    expect(shownOf(item, [{ ...cloth, tone: '#aa7284' }])).not.toBe(shown)
  })

  it('asks for that item alone, unless cloth is made of another', () => {
    const other = { ...item, id: 'i2' }
    const job = { items: [item, other], removed: [other], cloths: [cloth] } as unknown as JobDocument
    expect(only(item, job).items).toEqual([item])
    expect(only(item, job).removed).toEqual([])
    const made = { ...cloth, madeBy: 'i2' } as unknown as Cloth
    expect(only(item, { ...job, cloths: [made] }).items).toEqual([item, other])
  })
})
