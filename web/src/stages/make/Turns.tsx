import { memo, useEffect, useRef } from 'react'
import type { Bench } from '../../api/client'
import s from './make.module.css'

type Turn = Bench['turns'][number]

interface Props {
  turns: Turn[]
  at: string
  pick: (turn: Turn) => void
}

const covers = ({ first, last, quantity }: Turn) =>
  quantity === 1 ? '' : first === last ? `, ${first} of ${quantity}` : `, all ${quantity}`

/** Every turn in order, by kinds of work; done ones are ticked. */
export const Turns = memo(function Turns({ turns, at, pick }: Props) {
  const here = useRef<HTMLButtonElement>(null)
  useEffect(() => {
    here.current?.scrollIntoView({ block: 'nearest' })
  }, [at])
  return (
    <ol className={s.turns} aria-label="Steps">
      {turns.map((turn, n) => (
        <li key={turn.id}>
          {turn.kind !== turns[n - 1]?.kind && <h3>{turn.work}</h3>}
          <button
            type="button"
            ref={turn.id === at ? here : null}
            aria-current={turn.id === at ? 'step' : undefined}
            onClick={() => {
              pick(turn)
            }}
          >
            <span className={s.tick}>
              {turn.done && (
                <svg viewBox="0 0 16 16" role="img" aria-label="done">
                  <path d="M2 9L6 13L14 3" />
                </svg>
              )}
            </span>
            <span>
              <b>{turn.number}</b> {turn.name}
              {covers(turn)}
              <small>{turn.text.split(/[.;:]/)[0]}</small>
            </span>
            {turn.running && <span className={s.runs}>timed</span>}
          </button>
        </li>
      ))}
    </ol>
  )
})
