import { Button } from 'antd'
import { memo } from 'react'
import type { Unit } from '../../api/client'
import s from './measure.module.css'

interface Props {
  unit: Unit
  /** Changes what is typed. */
  change: (how: (typed: string) => string) => void
  next: () => void
}

const eighths = ['1/8', '1/4', '3/8', '1/2', '5/8', '3/4', '7/8']
const sixteenths = ['1/16', '3/16', '5/16', '7/16', '9/16', '11/16', '13/16', '15/16']

// A fraction takes the place of the one that is there.
export const withFraction = (typed: string, fraction: string) => {
  const whole = /^\d*/.exec(typed.trim().replace(/\d+\/\d+$/, ''))?.[0] ?? ''
  return whole === '' || whole === '0' ? fraction : `${whole} ${fraction}`
}

/** Keys for a hand that holds a tape: digits, and fractions of an inch or the decimal point by one touch. */
export const Pad = memo(function Pad({ unit, change, next }: Props) {
  const key = (label: string, how: (typed: string) => string) => (
    <Button key={label} onClick={() => change(how)}>
      {label}
    </Button>
  )
  const digit = (n: string) => key(n, (typed) => (typed.includes('/') ? n : typed + n))
  const fraction = (part: string) => key(part, (typed) => withFraction(typed, part))
  const clear = key('Clear', () => '')
  return (
    // The field keeps the focus, so that a hand can go on typing.
    <div className={s.pad} role="group" aria-label="Pad" onMouseDown={(event) => event.preventDefault()}>
      <div className={s.digits}>
        {['7', '8', '9', '4', '5', '6', '1', '2', '3'].map(digit)}
        {unit === 'cm' ? key('.', (typed) => (typed.includes('.') ? typed : `${typed || '0'}.`)) : clear}
        {digit('0')}
        {key('Back', (typed) => typed.slice(0, -1).trimEnd())}
      </div>
      {unit !== 'cm' && (
        <>
          <div className={s.eighths}>{eighths.map(fraction)}</div>
          {unit === 'in' && <div className={s.sixteenths}>{sixteenths.map(fraction)}</div>}
        </>
      )}
      {unit === 'cm' && (
        <div className={s.eighths}>
          {['mm', 'cm'].map((word) => key(word, (typed) => `${typed.replace(/\s*[a-z]+$/, '')} ${word}`))}
          {clear}
        </div>
      )}
      <Button type="primary" onClick={next}>
        Next line
      </Button>
    </div>
  )
})
