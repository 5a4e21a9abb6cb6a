import { Vector3 } from 'three'
import type { Sewn } from '../api/client'

type Step = Sewn['steps'][number]

/** Which sheets hang together once the first `done` steps are sewn: for each the least of its group. */
export function groupsOf(sheets: number, steps: readonly Step[], done: number): number[] {
  const group = Array.from({ length: sheets }, (_, at) => at)
  for (const { joins } of steps.slice(0, done))
    for (const join of joins) {
      const together = new Set(join.sheets.map((sheet) => group[sheet]))
      const first = Math.min(...[...together].map((each) => each ?? 0))
      group.forEach((each, at) => {
        if (together.has(each)) group[at] = first
      })
    }
  return group
}

/** How far each sheet is from its place: those of one group go the same way, and what is whole stays where it is. */
export function waysOf(outward: readonly Vector3[], group: readonly number[], apart: number): Vector3[] {
  if (group.every((each) => each === group[0])) return outward.map(() => new Vector3())
  return group.map((own) => {
    const members = outward.filter((_, at) => group[at] === own)
    const sum = members.reduce((all, each) => all.add(each), new Vector3())
    return sum.multiplyScalar(apart / Math.max(1, members.length))
  })
}

/** A sheet that each sewn seam lies on, by the seam's name. */
export function sewnSeams(steps: readonly Step[], done: number): Map<string, number> {
  return new Map(
    steps.slice(0, done).flatMap(({ joins }) => joins.map((join) => [join.seam, join.sheets[0] ?? 0] as const)),
  )
}
