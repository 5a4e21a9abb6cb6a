import { Button } from 'antd'
import type { Unit } from '../api/client'

interface Props {
  unit: Unit
  typed: string
  write: (typed: string) => void
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
export function Pad({ unit, typed, write, next }: Props) {
  const key = (label: string, typedThen: string) => (
    <Button key={label} onClick={() => write(typedThen)}>
      {label}
    </Button>
  )
  const digit = (n: string) => key(n, typed.includes('/') ? n : typed + n)
  return (
    // The field keeps the focus, so that a hand can go on typing.
    <div className="pad" role="group" aria-label="Pad" onMouseDown={(event) => event.preventDefault()}>
      <div className="digits">
        {['7', '8', '9', '4', '5', '6', '1', '2', '3'].map(digit)}
        {unit === 'cm' ? (
          key('.', typed.includes('.') ? typed : `${typed || '0'}.`)
        ) : (
          <Button onClick={() => write('')}>Clear</Button>
        )}
        {digit('0')}
        <Button onClick={() => write(typed.slice(0, -1).trimEnd())}>Back</Button>
      </div>
      {unit !== 'cm' && (
        <>
          <div className="eighths">{eighths.map((fraction) => key(fraction, withFraction(typed, fraction)))}</div>
          {unit === 'in' && (
            <div className="sixteenths">
              {sixteenths.map((fraction) => key(fraction, withFraction(typed, fraction)))}
            </div>
          )}
        </>
      )}
      {unit === 'cm' && (
        <div className="eighths">
          {['mm', 'cm'].map((word) => key(word, `${typed.replace(/\s*[a-z]+$/, '')} ${word}`))}
          <Button onClick={() => write('')}>Clear</Button>
        </div>
      )}
      <Button type="primary" onClick={next}>
        Next line
      </Button>
    </div>
  )
}
