import { expect, it } from 'vitest'
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
