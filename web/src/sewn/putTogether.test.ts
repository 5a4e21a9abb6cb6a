import { Vector3 } from 'three'
import { describe, expect, it } from 'vitest'
import { groupsOf, sewnSeams, waysOf } from './putTogether'

// Two halves of a strip, a boxing, two panels: zip first, then the ring, then either panel.
const steps = [
  { text: 'Set the zip.', joins: [{ seam: 'zip', sheets: [0, 1] }] },
  {
    text: 'Close the ring.',
    joins: [
      { seam: 'first end', sheets: [2, 0, 1] },
      { seam: 'second end', sheets: [2, 0, 1] },
    ],
  },
  { text: 'Sew the top panel.', joins: [{ seam: 'top', sheets: [3, 2] }] },
  { text: 'Sew the bottom panel.', joins: [{ seam: 'bottom', sheets: [4, 2] }] },
]

describe('a cover put together in making order', () => {
  it('has fewer parts after every step, and is one at the end', () => {
    expect([0, 1, 2, 3, 4].map((done) => new Set(groupsOf(5, steps, done)).size)).toEqual([5, 4, 3, 2, 1])
    expect(groupsOf(5, steps, 1)).toEqual([0, 0, 2, 3, 4])
  })

  it('moves what is sewn together the same way, and not at all when it is whole', () => {
    const outward = [1, 3, 5, 7, 9].map((x) => new Vector3(x, 0, 0))
    expect(waysOf(outward, groupsOf(5, steps, 1), 0.5).map((way) => way.x)).toEqual([1, 1, 2.5, 3.5, 4.5])
    expect(waysOf(outward, groupsOf(5, steps, 4), 0.5).map((way) => way.length())).toEqual([0, 0, 0, 0, 0])
  })

  it('shows the seams that are sewn so far', () => {
    expect([...sewnSeams(steps, 2).keys()]).toEqual(['zip', 'first end', 'second end'])
    expect(sewnSeams(steps, 3).get('top')).toBe(3)
  })
})
