import { useState } from 'react'
import { answer, api, Refused, type Cloth, type Pin } from '../api/client'
import { useScene } from '../job/context'

export interface Move {
  piece: string
  turns: number
  along: number
  across: number
}

/** Pieces of one cloth moved by hand: the server says where they come to rest or why they cannot lie there; then they are pinned and the rest is laid round them. */
export function useMoves(cloth: Cloth) {
  const { job } = useScene()
  const [refused, setRefused] = useState('')
  const keep = (pins: (old: Pin[]) => Pin[]) =>
    job.edit('', (document) => ({
      ...document,
      cloths: document.cloths.map((each) => (each.id === cloth.id ? { ...each, pins: pins(each.pins) } : each)),
    }))
  const pin = (here: Pin) => keep((old) => [...old.filter((each) => each.piece !== here.piece), here])
  const ask = async ({ piece, turns, along, across }: Move) => {
    try {
      const moved = await answer(
        api.POST('/api/moves', {
          body: {
            job: job.document,
            cloth: cloth.id,
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
    refused,
    pin,
    unpin: (piece: string) => keep((old) => old.filter((each) => each.piece !== piece)),
    unpinAll: () => keep((old) => old.filter((each) => cloth.cut.some((cut) => cut.piece === each.piece))),
    move: async (move: Move) => setRefused((await ask(move)) ?? ''),
    /** A quarter turn, or half a turn where the grain allows no quarter. */
    turn: async (move: Move) => {
      if (await ask({ ...move, turns: move.turns + 1 }))
        setRefused((await ask({ ...move, turns: move.turns + 2 })) ?? '')
      else setRefused('')
    },
  }
}
