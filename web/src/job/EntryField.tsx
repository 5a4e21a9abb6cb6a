import { Input, type InputRef } from 'antd'
import { useId, useLayoutEffect, useRef, useState, type ReactNode, type Ref } from 'react'
import { newId, unitWord } from '../api/client'
import type { FieldState } from './useItemField'

interface Props {
  label: ReactNode
  name: string
  state: FieldState
  write: (typed: string, step: string) => void
  unit: string
  /** Whether the field is shown by its letter alone, on a drawing. */
  bare?: boolean
  ref?: Ref<InputRef>
  onFocus?: () => void
  onEnter?: () => void
  /** Asked for by " on a size that stands there: among what is being typed it is an inch. */
  onDitto?: () => void
}

/**
 * One length (or other entry): what was typed while the hand is on it, what it was read as otherwise; a problem stands beside it
 * and clears nothing.
 */
export function EntryField({ label, name, state, write, unit, bare, ref, onFocus, onEnter, onDitto }: Props) {
  const id = useId()
  const [focused, setFocused] = useState(false)
  // A size typed in the other unit is edited as it reads in this one, until it is typed anew.
  const [converted, setConverted] = useState<string>()
  const step = useRef('')
  const selecting = useRef<HTMLInputElement>(null)
  // In the same breath as the focus, so that a fast first key is not selected over.
  useLayoutEffect(() => {
    selecting.current?.select()
    selecting.current = null
  }, [focused])
  const { entry, read } = state
  // What is not entered yet is nobody's mistake.
  const problem = state.problem?.missing ? undefined : state.problem
  const shown = read && !problem ? read.text : (entry?.typed ?? '')
  const text = focused ? (converted ?? entry?.typed ?? '') : shown
  const wordless = unit === '' || (!focused && read !== undefined)
  const note = problem ? `${id}-problem` : undefined
  return (
    <div className={bare ? 'entry bare' : 'entry'}>
      <label htmlFor={id}>{label}</label>
      <Input
        ref={ref ?? null}
        id={id}
        data-field={name}
        value={text}
        autoComplete="off"
        inputMode="text"
        status={problem ? 'error' : ''}
        aria-invalid={problem !== undefined}
        aria-describedby={note}
        className={wordless ? 'wordless' : ''}
        suffix={<span className="unit">{wordless ? '' : unit}</span>}
        onFocus={(event) => {
          step.current = newId()
          setFocused(true)
          setConverted(entry && unit && unitWord(entry.unit) !== unit && read ? shown.replace(/ \w+$/, '') : undefined)
          selecting.current = event.currentTarget
          onFocus?.()
        }}
        onChange={(event) => {
          setConverted(undefined)
          write(event.currentTarget.value, step.current)
        }}
        onBlur={() => setFocused(false)}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && onEnter) {
            event.preventDefault()
            onEnter()
          }
          const { value, selectionStart, selectionEnd } = event.currentTarget
          if (event.key === '"' && onDitto && value !== '' && selectionStart === 0 && selectionEnd === value.length) {
            event.preventDefault()
            onDitto()
          }
        }}
      />
      {problem && (
        <p className="problem" id={note} role="alert">
          {problem.reason}. <span>For example {problem.example}.</span>
        </p>
      )}
    </div>
  )
}
