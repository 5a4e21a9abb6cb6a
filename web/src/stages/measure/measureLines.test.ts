import { describe, expect, it } from 'vitest'
import { fits } from './Made'
import { place } from './measureLines'

const line = (measure: string, x1: number, y1: number, x2: number, y2: number) => ({
  measure,
  span: { x1, y1, x2, y2 },
})
const box = { x: 0, y: 0, width: 1000, height: 600 }
const sketch = (dimensions: ReturnType<typeof line>[]) => ({ box, strokes: [], dimensions })

describe('labels of a measuring drawing', () => {
  it('stand at their lines while there are few', () => {
    const { labels } = place(
      sketch([line('W', 0, 600, 1000, 600), line('L', 1000, 0, 1000, 600), line('T', 0, 0, 0, 600)]),
    )
    expect(labels.W?.grows).toBe('down')
    expect(labels.L?.grows).toBe('right')
    expect(labels.T?.grows).toBe('left')
    expect(labels.W?.leader).toBeUndefined()
  })

  const many = Array.from({ length: 11 }, (_, at) =>
    line(`m${at}`, at * 90, 100 + at * 20, at * 90 + 60, 130 + at * 20),
  )

  it('stand in two columns when there are many, none on another', () => {
    const { labels } = place(sketch(many))
    expect(Object.keys(labels)).toHaveLength(11)
    for (const side of ['left', 'right']) {
      const tops = Object.values(labels)
        .filter((label) => label.grows === side)
        .map((label) => label.top)
        .sort((a, b) => a - b)
      expect(tops.length).toBeGreaterThanOrEqual(5)
      for (let at = 1; at < tops.length; at++) expect((tops[at] ?? 0) - (tops[at - 1] ?? 0)).toBeGreaterThan(10)
      expect(tops.every((top) => top > 0 && top < 100)).toBe(true)
    }
  })

  it('a leader ends in the middle of its line', () => {
    const { labels } = place(sketch(many))
    for (const { measure, span } of many)
      expect(labels[measure]?.leader).toMatchObject({ x2: (span.x1 + span.x2) / 2, y2: (span.y1 + span.y2) / 2 })
  })

  it('columns keep the order of the drawing, from the top down', () => {
    const { labels } = place(sketch(many))
    const left = many.filter(({ measure }) => labels[measure]?.grows === 'right')
    const tops = left.map(({ measure }) => labels[measure]?.top ?? 0)
    expect(tops).toEqual([...tops].sort((a, b) => a - b))
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
