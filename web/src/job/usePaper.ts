import { useState } from 'react'
import { keepPaper, keptPaper } from '../parts/keptPaper'
import { useUnit } from './scene'

/** The paper that drawings are printed on, remembered on this device, and how it is asked for. */
export interface Paper {
  is: string
  roll: string
  /** How wide a roll usually is. */
  usual: string
  query: Record<string, string>
  choose: (paper: string) => void
  setRoll: (width: string) => void
}

/** One choice of paper for all drawings of a view. */
export function usePaper(): Paper {
  const unit = useUnit()
  const [is, setIs] = useState(() => keptPaper() ?? 'a4')
  const [roll, setRoll] = useState('')
  const usual = unit === 'cm' ? '91' : '36'
  return {
    is,
    roll,
    usual,
    query: is === 'roll' ? { paper: is, roll: roll.trim() === '' ? usual : roll } : { paper: is },
    choose: (paper) => {
      setIs(paper)
      keepPaper(paper)
    },
    setRoll,
  }
}
