import { useCallback } from 'react'
import type { Piece } from '../../api/client'
import { useDraft, useScene } from '../../job/scene'

/** What a piece of the item in hand is cut from, in words. */
export function useSource(): (piece: Piece) => string {
  const cloths = useScene((scene) => scene.job.document.cloths)
  const cutFrom = useDraft()?.cutFrom
  return useCallback(
    ({ role }) => {
      const from = cutFrom?.find((each) => each.role === role)
      const cloth = cloths.find((each) => each.id === from?.cloth)?.name
      return cloth ? `from ${cloth}` : from?.filling ? 'bought by size' : 'from no cloth'
    },
    [cloths, cutFrom],
  )
}
