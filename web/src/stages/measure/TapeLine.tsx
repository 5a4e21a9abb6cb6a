import { Button } from 'antd'
import { useState } from 'react'
import { useTape } from '../../devices/useTape'
import s from './measure.module.css'

const low = 15

/** The digital tape at the measuring drawing: what it reads goes into the size that waits. */
export function TapeLine() {
  const [used, setUsed] = useState(false)
  const tape = useTape(used)
  return (
    <>
      <Button aria-pressed={used} onMouseDown={(event) => event.preventDefault()} onClick={() => setUsed(!used)}>
        Digital tape
      </Button>
      {used && (
        <span role="status" className={s.tape}>
          {tape.is === 'silent'
            ? 'The tape does not answer: type by hand, it is tried again.'
            : tape.is === 'off'
              ? 'Looking for the tape …'
              : `${tape.told || 'The tape is ready.'} ${tape.battery < low ? `Its battery is low (${tape.battery} %).` : ''}`}
        </span>
      )}
    </>
  )
}
