import { Button, Input } from 'antd'
import { useEffect, useId, useState } from 'react'
import type { Bench } from '../../api/client'
import { useEdit } from '../../job/scene'
import { logStep, start, stop } from './logging'
import s from './make.module.css'

// A timer that ran longer than this was forgotten rather than worked by.
const forgotten = 4 * 3600

const clock = (seconds: number) => {
  const [h, m, rest] = [Math.floor(seconds / 3600), Math.floor(seconds / 60) % 60, Math.floor(seconds) % 60]
  const two = (n: number) => `${n}`.padStart(2, '0')
  return h > 0 ? `${h}:${two(m)}:${two(rest)}` : `${m}:${two(rest)}`
}

/** The time of this step: started and stopped here, carried along to the next step, and set right by hand. */
export function Timer({ at, ahead }: { at: NonNullable<Bench['at']>; ahead: number }) {
  const edit = useEdit()
  const id = useId()
  const [correcting, setCorrecting] = useState(false)
  const [now, setNow] = useState(() => Date.now())
  const running = at.began !== ''
  useEffect(() => {
    if (!running) return
    const ticking = setInterval(() => setNow(Date.now()), 1000)
    return () => clearInterval(ticking)
  }, [running])
  const ran = running ? (now + ahead - Date.parse(at.began)) / 1000 : 0
  // A second or two is the way to the server and back.
  const setBack = ran < -5
  const long = ran > forgotten
  const problem = at.problems.find((each) => each.field === `steps.${at.step}.took`)
  const asks = correcting || setBack || long || problem !== undefined || at.took !== ''
  return (
    <div className={s.timer}>
      <Button
        size="large"
        onClick={() => {
          const when = Date.now() + ahead
          edit('', (document) => (running ? stop(document, at.step, when) : start(document, at.step, when)))
        }}
      >
        {running ? 'Stop the time' : 'Start the time'}
      </Button>
      <p>
        <b role="timer">{clock(at.seconds + Math.max(0, ran))}</b>
        <span>reckoned {at.reckoned}</span>
      </p>
      {asks ? (
        <div className="entry">
          <label htmlFor={id}>
            {setBack
              ? 'The clock was set back. It took'
              : long
                ? 'It ran on for long. It really took'
                : 'It really took'}
          </label>
          <Input
            id={id}
            value={at.took}
            placeholder="1 h 10"
            status={problem ? 'error' : ''}
            aria-invalid={problem !== undefined}
            onChange={(event) => {
              const { value } = event.currentTarget
              edit(`took ${at.step}`, (document) => logStep(document, at.step, (log) => (log.took = value)))
            }}
          />
          {problem && (
            <p className="problem" role="alert">
              {problem.reason}. <span>For example {problem.example}.</span>
            </p>
          )}
        </div>
      ) : (
        <Button type="text" onClick={() => setCorrecting(true)}>
          Set it right
        </Button>
      )}
    </div>
  )
}
