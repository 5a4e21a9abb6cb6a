import { expect, it } from 'vitest'
import { place } from './measureLines'
import { withFraction } from './Pad'

it.each([
  ['', '1/2', '1/2'],
  ['46', '1/2', '46 1/2'],
  ['46 1/2', '5/8', '46 5/8'],
  ['0', '3/4', '3/4'],
  ['7/8', '1/8', '1/8'],
])('the pad turns “%s” and %s into “%s”', (typed, fraction, result) =>
  expect(withFraction(typed, fraction)).toBe(result),
)

it('sets every label beside its line, outside the body, within the drawing', () => {
  const span = (x1: number, y1: number, x2: number, y2: number) => ({ x1, y1, x2, y2 })
  const sketch = {
    box: { x: 0, y: -40, width: 100, height: 40 },
    strokes: [],
    dimensions: [
      { measure: 'W', span: span(0, 0, 100, 0) },
      { measure: 'T', span: span(0, 0, 0, -40) },
      { measure: 'L', span: span(100, 0, 100, -40) },
      { measure: 'r', span: span(0, -40, 20, -40) },
    ],
  }
  const { labels, ...room } = place(sketch)
  expect(Object.fromEntries(Object.entries(labels).map(([key, label]) => [key, label.grows]))).toEqual({
    W: 'down',
    T: 'left',
    L: 'right',
    r: 'up',
  })
  for (const { left, top } of Object.values(labels)) {
    const [x, y] = [room.x + (left / 100) * room.width, room.y + (top / 100) * room.height]
    expect(x < 0 || x > 100 || y < -40 || y > 0).toBe(true)
    expect(left > 0 && left < 100 && top > 0 && top < 100).toBe(true)
  }
})
