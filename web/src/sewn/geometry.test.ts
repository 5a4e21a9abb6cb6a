import { describe, expect, it } from 'vitest'
import {
  drawnWay,
  farthest,
  lineGeometry,
  onCloth,
  printAt,
  rimGeometry,
  sheetGeometry,
  slidOnCloth,
  type Print,
  type Sheet,
} from './geometry'

// A square of 100 mm, standing upright across the front: its points at the corners, from the lower left round.
const square: Sheet = {
  piece: 'panel',
  instance: 1,
  pieces: ['panel'],
  name: 'panel',
  label: '1a',
  places: [0, 0, 0, 10_000, 0, 0, 10_000, 0, 10_000, 0, 0, 10_000],
  flat: [0, 0, 10_000, 0, 10_000, 10_000, 0, 10_000],
  triangles: [0, 1, 2, 0, 2, 3],
}

// Laid a quarter turn to the left, its box 300 mm from the selvedge and 500 mm up the roll.
const turned: Print = {
  piece: 'panel',
  instance: 1,
  label: '1a',
  cut: 'panel',
  slidesWith: 'panel',
  cloth: 'c1',
  from: null,
  to: null,
  xx: 0,
  xy: -1,
  yx: 1,
  yy: 0,
  x: 40_000,
  y: 50_000,
}

describe('the faces of a sewn cover', () => {
  it('show the place on the cloth that the lay gives them', () => {
    // What is to the right on the piece goes up the roll; what is up goes towards the selvedge.
    expect(onCloth(turned, 0, 0)).toEqual([40_000, 50_000])
    expect(onCloth(turned, 10_000, 0)).toEqual([40_000, 60_000])
    expect(onCloth(turned, 0, 10_000)).toEqual([30_000, 50_000])
  })

  it('carry those places as they are drawn, upright towards the viewer', () => {
    const shape = sheetGeometry(square, [turned]).get('c1')
    const [places, cloth] = [shape?.getAttribute('position'), shape?.getAttribute('uv')]
    expect(places?.count).toBe(6)
    // The lower right corner: a tenth of a metre to the right, not up, not back.
    expect([places?.getX(1), places?.getY(1), places?.getZ(1)].map((part) => +(part ?? 9).toFixed(4) + 0)).toEqual([
      0.1, 0, 0,
    ])
    expect([cloth?.getX(1), cloth?.getY(1)]).toEqual([40_000, 60_000])
    expect(places?.getY(2)).toBeCloseTo(0.1, 5)
  })

  it('have an edge all round', () => {
    // Four sides of two ends each; the line across the middle is none.
    const rim = rimGeometry(square).getAttribute('position')
    expect(rim.count).toBe(8)
    const middles = [0, 2, 4, 6].map((at) => [
      (rim.getX(at) + rim.getX(at + 1)) / 2,
      (rim.getY(at) + rim.getY(at + 1)) / 2,
    ])
    expect(middles.some(([x = 0, y = 0]) => Math.hypot(x - 0.05, y - 0.05) < 0.01)).toBe(false)
  })

  it('are slid with the hand, whichever way they lie', () => {
    // A quarter turn: to the right on the piece is up the roll, and back again.
    expect(slidOnCloth(turned, 700, 0).map((part) => part + 0)).toEqual([0, 700])
    expect(drawnWay(turned, 0, 700).map((part) => part + 0)).toEqual([700, 0])
    expect(drawnWay(turned, ...slidOnCloth(turned, 120, -45))).toEqual([120, -45])
  })

  it('of a joined piece are cut where its parts are', () => {
    const [left, right] = [
      { ...turned, cloth: 'c1', from: 0, to: 4_000 },
      { ...turned, cloth: 'c2', from: 4_000, to: 10_000 },
    ]
    expect(printAt([left, right], 3_900)).toBe(left)
    expect(printAt([left, right], 4_100)).toBe(right)
    expect([...sheetGeometry(square, [left, right]).keys()].sort()).toEqual(['c1', 'c2'])
  })

  it('that are not laid are shown all the same', () => {
    expect([...sheetGeometry(square, []).keys()]).toEqual([''])
    expect(farthest(square)).toBeCloseTo(Math.SQRT2 / 10, 5)
    expect(lineGeometry([0, 0, 0], 0.001)).toBeUndefined()
    expect(lineGeometry([0, 0, 0, 10_000, 0, 0], 0.001)).toBeDefined()
  })
})
