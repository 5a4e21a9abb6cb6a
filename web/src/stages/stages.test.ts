import { expect, it } from 'vitest'
import type { Draft, Plan, Problem } from '../api/client'
import type { JobScene } from '../job/context'
import { place } from './measureLines'
import { withFraction } from './Pad'
import { stages, stageState } from './stages'

const problem = (stage: Problem['stage']): Problem => ({
  field: 'f',
  given: 'abc',
  position: 0,
  reason: 'no number',
  example: '4',
  stage,
})
const draft = (...at: Problem['stage'][]): Draft => ({
  fields: {},
  problems: at.map(problem),
  sketch: null,
  pattern: null,
})
const scene = (drafts: Draft[], plan: Partial<Plan> = {}) =>
  ({
    job: { document: { items: drafts } },
    plan: {
      items: drafts.map((each, n) => ({ id: String(n), number: n + 1, draft: each })),
      cloths: [],
      totals: null,
      problems: [],
      ...plan,
    },
  }) as unknown as JobScene

it('puts each problem to the stage that can mend it', () => {
  const state = (key: 'measure' | 'make-up', ...at: Problem['stage'][]) =>
    stageState(key, scene([draft(...at), draft()]))
  expect(state('measure', 'measure', 'measure')).toEqual({ is: 'doubt', count: 1 }) // one item in doubt
  expect(state('measure', 'make-up')).toEqual({ is: 'done' })
  expect(state('make-up', 'make-up')).toEqual({ is: 'doubt', count: 1 })
})

it('calls every stage of a job without items empty', () => {
  for (const { key } of stages) expect(stageState(key, scene([]))).toEqual({ is: 'empty' })
})

it('leaves the lay in doubt while a cloth has a problem', () => {
  const cloth = { problems: [problem('lay')], lay: null, buying: null } as unknown as Plan['cloths'][number]
  expect(stageState('lay', scene([draft()], { cloths: [cloth] }))).toEqual({ is: 'doubt', count: 1 })
  expect(stageState('buy', scene([draft()], { cloths: [cloth] }))).toEqual({ is: 'empty' })
  const unpriced = { problems: [problem('buy')], lay: {}, buying: null } as unknown as Plan['cloths'][number]
  expect(stageState('lay', scene([draft()], { cloths: [unpriced] }))).toEqual({ is: 'done' })
  expect(stageState('buy', scene([draft()], { cloths: [unpriced] }))).toEqual({ is: 'doubt', count: 1 })
})

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
