import { describe, expect, it } from 'vitest'
import { clothTile } from './clothTexture'

const repeat = {
  along: 30_000,
  across: 20_000,
  halfDrop: false,
  fromFarSelvedge: false,
  from: 5_000,
  motifAlong: null,
  motifAcross: null,
}

describe('a tile of cloth', () => {
  it('is one repeat large, and begins where the first repeat does', () => {
    const tile = clothTile('#5d7284', repeat)
    expect([tile.across, tile.along, tile.from]).toEqual([20_000, 30_000, 5_000])
    // Drawn to one scale: as much higher than wide as the repeat is.
    expect(tile.canvas.height / tile.canvas.width).toBeCloseTo(1.5, 1)
  })

  it('holds two repeats across where every second one drops by half', () => {
    expect(clothTile('#5d7284', { ...repeat, halfDrop: true }).across).toBe(40_000)
  })

  it('of stripes goes by the width of one, whatever lies along', () => {
    const tile = clothTile('#5d7284', { ...repeat, along: 0 })
    expect([tile.across, tile.along]).toEqual([20_000, 20_000])
  })

  it('of a repeat along alone is as wide as it is high', () => {
    const tile = clothTile('#5d7284', { ...repeat, across: 0 })
    expect(tile.across).toBe(tile.along)
  })

  it('of plain cloth is a patch of weave', () => {
    const tile = clothTile('#5d7284', null)
    expect(tile.across).toBe(tile.along)
    expect(tile.from).toBe(0)
  })
})
