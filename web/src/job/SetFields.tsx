import { Input } from 'antd'
import { unitWord, type Problem, type SetOfItems, type Unit } from '../api/client'
import s from './AddItem.module.css'

interface Props {
  set: SetOfItems
  unit: Unit
  typed: Record<string, string>
  type: (key: string, text: string) => void
  problems: Problem[]
}

/** What a set counts and measures once for all its items. */
export function SetFields({ set, unit, typed, type, problems }: Props) {
  const field = (key: string, name: string, note: string, word: string, example: string) => {
    const problem = problems.find((each) => each.field === key)
    const id = `set-${key}`
    return (
      <div key={key} className={s.field}>
        <label htmlFor={id}>{name}</label>
        <Input
          id={id}
          value={typed[key] ?? ''}
          placeholder={example}
          suffix={word}
          maxLength={40}
          autoComplete="off"
          aria-invalid={problem !== undefined}
          aria-describedby={`${id}-note`}
          onChange={(event) => type(key, event.currentTarget.value)}
        />
        <p id={`${id}-note`} className={problem ? 'problem' : 'note'} role={problem && 'alert'}>
          {problem ? `${problem.reason}. For example ${problem.example}.` : note}
        </p>
      </div>
    )
  }
  return (
    <div className={s.fields}>
      {set.counts.map((count) =>
        field(count.key, count.name, `From ${count.min} to ${count.max}.`, '', `${count.usual}`),
      )}
      {set.measures.map((measure) =>
        field(
          measure.key,
          measure.optional ? `${measure.name}, if any` : measure.name,
          measure.holdTape,
          unitWord(unit),
          unit === 'cm' ? measure.centimetreExample : measure.inchExample,
        ),
      )}
    </div>
  )
}
