import { useCallback, useEffect, useRef, useState } from 'react'
import { answer, api, Refused, type Sewn } from '../api/client'
import { useEditItem, useSceneStore } from '../job/scene'

/** How far the print is slid while the hand is on it: on which pieces, to the right and up on them as drawn. */
export interface Slid {
  /** The piece that the others run on from. */
  together: string
  /** The piece that the hand is on. */
  piece: string
  across: number
  along: number
}

const pause = 450

// With what was entered before and is not in the lay that is shown.
const plus = (slid: Slid, entered: { slid: Slid; of: Sewn | undefined } | undefined, sewn: Sewn | undefined): Slid =>
  entered?.of === sewn && entered?.slid.together === slid.together
    ? { ...slid, across: slid.across + entered.slid.across, along: slid.along + entered.slid.along }
    : slid

/**
 * Slides the print of an item: shown at once, entered as a match when the hand rests; the server says where the motif lies
 * then and what it costs in cloth.
 */
export function useSlide(item: string, sewn: Sewn | undefined) {
  const store = useSceneStore()
  const edit = useEditItem()
  // Of which sewn cover it is: what was slid is shown until the lay shows it.
  const [shown, setShown] = useState<{ slid: Slid; of: Sewn | undefined }>()
  const [told, setTold] = useState('')
  const hand = useRef<Slid>(undefined)
  const rest = useRef<ReturnType<typeof setTimeout>>(undefined)
  const entered = useRef<{ slid: Slid; of: Sewn | undefined }>(undefined)
  const enter = useCallback(async () => {
    clearTimeout(rest.current)
    const now = hand.current
    if (!now || (now.across === 0 && now.along === 0)) return
    hand.current = undefined
    entered.current = { slid: plus(now, entered.current, sewn), of: sewn }
    const back = () => {
      entered.current = undefined
      setShown(undefined)
    }
    try {
      const { document } = store.get().job
      const body = { job: document, item, piece: now.piece, across: now.across, along: now.along }
      const slide = await answer(api.POST('/api/slides', { body }))
      setTold(slide.refused ? `It stays as it was: ${slide.refused}.` : slide.told)
      if (slide.refused) back()
      else
        edit('', slide.item, (old) => {
          old.matches[slide.piece] = slide.match
          old.motifs[slide.piece] = slide.place
        })
    } catch (error) {
      back()
      setTold(
        error instanceof Refused
          ? (error.problems[0]?.reason ?? error.message)
          : 'The server does not answer. Try again.',
      )
    }
  }, [store, edit, item, sewn])
  // What was slid by keys is entered when the view is left, too.
  const last = useRef(enter)
  useEffect(() => {
    last.current = enter
  }, [enter])
  useEffect(() => () => void last.current(), [])
  /** The print slid so far since the hand took hold of it. */
  const slide = useCallback(
    (to: Slid) => {
      const next = { ...to, across: Math.round(to.across), along: Math.round(to.along) }
      hand.current = next
      setShown({ slid: plus(next, entered.current, sewn), of: sewn })
    },
    [sewn],
  )
  /** The print slid a step further; entered when no key follows. */
  const step = useCallback(
    (by: Slid) => {
      const before = hand.current?.together === by.together ? hand.current : undefined
      slide({ ...by, across: (before?.across ?? 0) + by.across, along: (before?.along ?? 0) + by.along })
      clearTimeout(rest.current)
      rest.current = setTimeout(() => void enter(), pause)
    },
    [slide, enter],
  )
  return { slid: shown?.of === sewn ? shown?.slid : undefined, told, tell: setTold, slide, step, enter }
}
