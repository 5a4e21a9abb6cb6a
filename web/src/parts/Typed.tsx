import { Input } from 'antd'
import { clsx } from 'clsx'
import { useId, useState } from 'react'
import type { Problem } from '../api/client'
import { problemText } from './told'

interface Props {
  label: string
  value: string
  /** Takes what was typed, once the field is left or Enter is pressed. */
  write: (typed: string) => void
  unit?: string
  placeholder?: string
  problem?: Problem | undefined
  long?: boolean
  first?: boolean
}

/** A field of the workroom: what is typed stays as typed, and is kept when the field is left. */
export function Typed({ label, value, write, unit, placeholder, problem, long, first }: Props) {
  const id = useId()
  const [typed, setTyped] = useState<string>()
  const keep = () => {
    if (typed !== undefined && typed !== value) write(typed)
    setTyped(undefined)
  }
  const shared = {
    id,
    value: typed ?? value,
    placeholder: placeholder ?? '',
    status: problem ? ('error' as const) : ('' as const),
    'aria-invalid': problem !== undefined,
    'aria-describedby': `${id}-problem`,
    ...(first && { autoFocus: true }),
    onBlur: keep,
  }
  return (
    <div className={clsx('typed', long && 'long')}>
      <label htmlFor={id}>{label}</label>
      {long ? (
        <Input.TextArea
          {...shared}
          autoSize={{ minRows: 2, maxRows: 10 }}
          maxLength={4000}
          onChange={(event) => setTyped(event.currentTarget.value)}
        />
      ) : (
        <Input
          {...shared}
          maxLength={200}
          suffix={unit ?? ' '}
          onChange={(event) => setTyped(event.currentTarget.value)}
          onPressEnter={keep}
        />
      )}
      {problem && (
        <p className="problem" id={`${id}-problem`}>
          {problemText(problem)}
        </p>
      )}
    </div>
  )
}
