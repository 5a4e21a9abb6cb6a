import type { ClothPlan } from '../api/client'
import { useEdit } from './scene'

export type Placed = NonNullable<ClothPlan['lay']>['placed'][number]

/** Ticks pieces of a cloth off as cut, or takes the ticks away, in one undo step. */
export function useCut() {
  const editJob = useEdit()
  // What is cut stays where it was cut; on folded or torn cloth nothing is pinned.
  return (cloth: string, pieces: Placed[], isCut: boolean) =>
    editJob('', ({ cloths }) => {
      const at = cloths.find((each) => each.id === cloth)
      if (!at) return
      const ids = new Set(pieces.map((piece) => piece.id))
      at.cut = at.cut.filter((one) => !ids.has(one.piece))
      if (!isCut) return
      at.cut.push(...pieces.map((piece) => piece.size))
      if (at.spread === 'single')
        at.pins = [...at.pins.filter((pin) => !ids.has(pin.piece)), ...pieces.map((piece) => piece.here)]
    })
}
