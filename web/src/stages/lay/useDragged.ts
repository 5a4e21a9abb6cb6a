import { useDrag } from '@use-gesture/react'
import { useState } from 'react'
import type { ClothPlan } from '../../api/client'
import type { Moves } from './useMoves'

type Placed = NonNullable<ClothPlan['lay']>['placed'][number]

/** A piece on its way: how far it is from where it lay, in units of the drawing. */
export interface Dragged {
  id: string
  x: number
  y: number
}

// Half an inch in hundredths of a millimetre: less is a hand that trembled.
const least = 1270

/** Dragging of pieces, listened for once on the whole drawing: a listener on each of hundreds of pieces would cost at every key. */
export function useDragged(placed: Placed[], moves: Moves | undefined) {
  const [dragged, setDragged] = useState<Dragged>()
  const bind = useDrag<PointerEvent>(
    ({ event, currentTarget, movement, last, canceled, memo }) => {
      const begun = memo as { piece: Placed; scale: number } | undefined
      const id = (event.target as Element).closest<SVGElement>('[data-laid]')?.dataset['laid']
      const piece = begun?.piece ?? placed.find((each) => each.id === id && !each.isCut && !each.cutLast)
      if (!piece) return undefined
      // A point of the screen is so much of the cloth.
      const scale = begun?.scale ?? (currentTarget as SVGSVGElement).getScreenCTM()?.a ?? 1
      const [x, y] = [movement[0] / scale, movement[1] / scale]
      setDragged(last ? undefined : { id: piece.id, x, y })
      if (last && !canceled && Math.hypot(x, y) > least)
        void moves?.move({ piece: piece.id, turns: piece.turns, along: piece.box.x + x, across: piece.box.y + y })
      return { piece, scale }
    },
    { enabled: moves !== undefined, pointer: { keys: false } },
  )
  return { dragged, bind }
}
