import { describe, expect, it } from 'vitest'
import { fits } from './Made'
import { label, layOut, type Label } from './layout'

const line = (measure: string, x1: number, y1: number, x2: number, y2: number) => ({
  measure,
  span: { x1, y1, x2, y2 },
})
const box = { x: 0, y: 0, width: 1000, height: 600 }
const face = [{ kind: 'face' as const, points: '0,0 1000,0 1000,600 0,600' }]
const sketch = (dimensions: ReturnType<typeof line>[]) => ({ box, strokes: face, dimensions })
const three = sketch([line('W', 0, 600, 1000, 600), line('L', 1000, 0, 1000, 600), line('T', 0, 0, 0, 600)])
const many = sketch(
  Array.from({ length: 11 }, (_, at) => line(`m${at}`, at * 90, 100 + at * 20, at * 90 + 60, 130 + at * 20)),
)
const at = <T>(all: Record<string, T>, key: string): T => {
  const found = all[key]
  if (found === undefined) throw new Error(`nothing at ${key}`)
  return found
}
const apart = (a: Label, b: Label) => Math.abs(a.x - b.x) >= label.width || Math.abs(a.y - b.y) >= label.height

describe('labels of a measuring drawing', () => {
  it('stand at their lines while there are few, outside the drawing', () => {
    const { labels, lines, x, scale } = layOut(three, 646, 585)
    expect(at(labels, 'W').y).toBeGreaterThan(at(lines, 'W').y1)
    expect(at(labels, 'L').x).toBeGreaterThan(at(lines, 'L').x1)
    expect(at(labels, 'T').x + label.width).toBeLessThan(at(lines, 'T').x1)
    expect(Object.values(labels).every((each) => each.leader === undefined)).toBe(true)
    // What is left of 646 beside two labels is the drawing's.
    expect(scale * box.width).toBeGreaterThan(646 - 2 * label.width - 90)
    expect(x).toBeGreaterThan(label.width)
  })

  it('keep off each other and within the table, at any size of it', () => {
    for (const [width, height] of [
      [646, 585],
      [784, 460],
      [1180, 500],
    ] as const)
      for (const each of [three, many]) {
        const labels = Object.values(layOut(each, width, height).labels)
        expect(labels).toHaveLength(each.dimensions.length)
        labels.forEach((one, n) => {
          expect(one.x >= 0 && one.x + label.width <= width && one.y >= 0 && one.y + label.height <= height).toBe(true)
          expect(labels.slice(0, n).every((other) => apart(one, other))).toBe(true)
        })
      }
  })

  it('stand in two columns when there are many, a leader from each to the middle of its line', () => {
    const { labels, lines } = layOut(many, 646, 585)
    expect(new Set(Object.values(labels).map((each) => each.x)).size).toBe(2)
    for (const [measure, { x1, y1, x2, y2 }] of Object.entries(lines)) {
      expect(labels[measure]?.leader?.x2).toBeCloseTo((x1 + x2) / 2)
      expect(labels[measure]?.leader?.y2).toBeCloseTo((y1 + y2) / 2)
    }
    const left = Object.entries(lines).filter(([measure]) => at(labels, measure).x < 323)
    const order = left.toSorted(([, a], [, b]) => a.y1 - b.y1).map(([measure]) => at(labels, measure).y)
    expect(order).toEqual(order.toSorted((a, b) => a - b))
  })

  it('of a drawing without size stand somewhere all the same', () => {
    const nothing = { box: { x: 0, y: 0, width: 0, height: 0 }, strokes: [], dimensions: [line('W', 0, 0, 0, 0)] }
    const { labels } = layOut(nothing, 646, 585)
    expect(Number.isFinite(at(labels, 'W').x) && Number.isFinite(at(labels, 'W').y)).toBe(true)
  })
})

describe('the made-up cover on a measuring drawing', () => {
  it('is shown where it is as wide to its height as the sketch, or nearly', () => {
    expect(fits(box, 500, 300)).toBe(true)
    expect(fits(box, 520, 300)).toBe(true)
    expect(fits(box, 300, 300)).toBe(false)
    expect(fits({ ...box, height: 0 }, 500, 300)).toBe(false)
  })
})
