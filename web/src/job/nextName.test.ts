import { expect, it } from 'vitest'
import { nextName } from './nextName'

it.each([
  ['Bench', [], 'Bench 2'],
  ['Bench 2', [], 'Bench 3'],
  ['Bench', ['Bench', 'Bench 2', 'Bench 3'], 'Bench 4'],
  ['Bunk 9', [], 'Bunk 10'],
  ['x'.repeat(80), [], `${'x'.repeat(78)} 2`],
])('one more of “%s” beside %j is called “%s”', (name, taken, next) => expect(nextName(name, taken)).toBe(next))
