import { useMemo } from 'react'
import type { ClothPlan } from '../../api/client'
import { useScene } from '../../job/scene'
import type { Placed } from '../../job/useCut'

export interface Laid {
  cloth: ClothPlan
  placed: Placed[]
}

/** Where the pieces of an item lie, by piece: on which cloth, and each of its kind there. */
export function useLaid(item: string | undefined): Map<string, Laid> {
  const cloths = useScene((scene) => scene.plan?.cloths)
  return useMemo(() => {
    const laid = new Map<string, Laid>()
    for (const cloth of cloths ?? [])
      for (const piece of cloth.lay?.placed ?? [])
        if (piece.item === item) {
          const key = piece.id.split('/')[1] ?? ''
          const known = laid.get(key)
          if (known) known.placed.push(piece)
          else laid.set(key, { cloth, placed: [piece] })
        }
    return laid
  }, [cloths, item])
}
