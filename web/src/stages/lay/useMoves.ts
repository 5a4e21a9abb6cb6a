import { useMemo, useState } from 'react'
import { answer, api, Refused, type Cloth, type Pin } from '../../api/client'
import { useEdit, useSceneStore } from '../../job/scene'

export interface Move {
  piece: string
  turns: number
  along: number
  across: number
}

/** Pieces of one cloth moved by hand: the server says where they come to rest or why they cannot lie there; then they are pinned and the rest is laid round them. */
export function useMoves(cloth: string) {
  const store = useSceneStore()
  const edit = useEdit()
  const [refused, setRefused] = useState('')
  const moves = useMemo(() => {
    const keep = (pins: (old: Cloth) => Pin[]) =>
      edit('', ({ cloths }) => {
        const at = cloths.find((each) => each.id === cloth)
        if (at) at.pins = pins(at)
      })
    const pin = (here: Pin) => keep(({ pins }) => [...pins.filter((each) => each.piece !== here.piece), here])
    const ask = async ({ piece, turns, along, across }: Move) => {
      try {
        const moved = await answer(
          api.POST('/api/moves', {
            body: {
              job: store.get().job.document,
              cloth,
              piece,
              turns: turns % 4,
              along: Math.round(along),
              across: Math.round(across),
            },
          }),
        )
        if (moved.pin) pin(moved.pin)
        return moved.refused
      } catch (error) {
        return error instanceof Refused ? error.message : 'the server does not answer'
      }
    }
    return {
      pin,
      unpin: (piece: string) => keep(({ pins }) => pins.filter((each) => each.piece !== piece)),
      unpinAll: () => keep(({ pins, cut }) => pins.filter((each) => cut.some((one) => one.piece === each.piece))),
      move: async (move: Move) => setRefused((await ask(move)) ?? ''),
      /** A quarter turn, or half a turn where the grain allows no quarter. */
      turn: async (move: Move) => {
        if (await ask({ ...move, turns: move.turns + 1 }))
          setRefused((await ask({ ...move, turns: move.turns + 2 })) ?? '')
        else setRefused('')
      },
    }
  }, [store, edit, cloth])
  return { refused, moves }
}

export type Moves = ReturnType<typeof useMoves>['moves']
