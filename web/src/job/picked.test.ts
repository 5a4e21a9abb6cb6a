import { describe, expect, it } from 'vitest'
import { isPicked, pickLaid } from './picked'

describe('the piece that was picked last', () => {
  it('is known in the lay by its item and its kind, whichever of them it is', () => {
    expect(isPicked('i1/panel/1')).toBe(false)
    pickLaid('i1/panel/2')
    expect(isPicked('i1/panel/1')).toBe(true)
    expect(isPicked('i1/panel-left/1')).toBe(false)
    expect(isPicked('i2/panel/1')).toBe(false)
    pickLaid('i2/boxing/1')
    expect(isPicked('i1/panel/1')).toBe(false)
  })
})
