import { Button, Radio } from 'antd'
import { memo, useEffect, useRef, type ReactNode, type Ref } from 'react'
import { useLocation } from 'react-router'
import { unitWord, type Choice, type MakeUp } from '../../api/client'
import { EntryField } from '../../job/EntryField'
import { Folded } from '../../parts/Folded'
import { draftInHand, useScene, useUnit } from '../../job/scene'
import { useItemField } from '../../job/useItemField'
import s from './make-up.module.css'

/** What is answered in one line, and whether that is usual; its choices when it is opened. */
export const Group = memo(function Group({ name, choices }: { name: string; choices: Choice[] }) {
  const said = useScene(({ item }) =>
    choices
      .map((choice) => {
        const typed = item?.choices[choice.key]?.typed ?? choice.default
        const answered = choice.options.find((option) => option.key === typed)?.name ?? typed
        return choice.name === name ? answered : `${choice.name.toLowerCase()}: ${answered.toLowerCase()}`
      })
      .join(' · '),
  )
  const changed = useScene((scene) =>
    choices.some((choice) => draftInHand(scene)?.changed[`choices.${choice.key}`] !== undefined),
  )
  const wrong = useScene(
    (scene) =>
      draftInHand(scene)?.problems.some((each) => choices.some((choice) => each.field === `choices.${choice.key}`)) ??
      false,
  )
  const { hash } = useLocation()
  const found = choices.some((choice) => hash === `#choices.${choice.key}`)
  const place = useRef<HTMLDivElement>(null)
  // What the palette has found is opened and has the focus.
  useEffect(() => {
    if (found)
      place.current
        ?.querySelector<HTMLElement>(`[data-choice="${hash.slice(9)}"] input:is(:checked, [data-field])`)
        ?.focus()
  }, [found, hash])
  return (
    <Answered name={name} said={said} changed={changed} wrong={wrong || found} ref={place}>
      {choices.map((choice) => (
        <ChoiceField key={choice.key} choice={choice} />
      ))}
    </Answered>
  )
})

/** The allowances in one line, and each of them when it is opened. */
export const Allowances = memo(function Allowances({ allowances }: { allowances: MakeUp['allowances'] }) {
  const said = useScene(({ item }) =>
    allowances.map(({ symbol }) => `${symbol} ${item?.allowances[symbol]?.typed ?? ''}`).join(' · '),
  )
  const changed = useScene((scene) =>
    allowances.some(({ symbol }) => draftInHand(scene)?.changed[`allowances.${symbol}`] !== undefined),
  )
  const wrong = useScene(
    (scene) => draftInHand(scene)?.problems.some((each) => each.field.startsWith('allowances.')) ?? false,
  )
  return (
    <Answered name="Allowances" said={said} changed={changed} wrong={wrong}>
      {allowances.map((allowance) => (
        <AllowanceField key={allowance.symbol} symbol={allowance.symbol} name={allowance.name} />
      ))}
      <p className="note">An edge can have an allowance of its own: see Pieces.</p>
    </Answered>
  )
})

interface AnsweredProps {
  name: string
  said: string
  changed: boolean
  /** Opens by itself. */
  wrong: boolean
  ref?: Ref<HTMLDivElement>
  children: ReactNode
}

const Answered = ({ name, said, changed, wrong, ref, children }: AnsweredProps) => (
  <Folded
    className={s.group}
    asked={wrong}
    summary={
      <>
        <b>{name}</b> <span>{said}</span>{' '}
        <em className={changed ? s.changed : undefined}>{changed ? 'changed' : 'usual'}</em>
      </>
    }
  >
    <div ref={ref}>{children}</div>
  </Folded>
)

// Puts back what is usual, where something else stands.
function PutBack({ map, name }: { map: 'choices' | 'allowances'; name: string }) {
  const { field, write } = useItemField(map, name)
  const usual = useScene((scene) => draftInHand(scene)?.changed[field]?.typed)
  return usual === undefined ? null : <Button onClick={() => write(usual, '')}>Put back what is usual</Button>
}

// What an answer does, where words alone say too little: cut lines, stitch lines, what is sewn in.
const OptionPicture = ({ drawn }: { drawn: NonNullable<Choice['options'][number]['drawn']> }) => (
  <svg className={s.drawn} viewBox="0 0 60 42" aria-hidden>
    <path d={drawn.solid} />
    <path className={s.dashed} d={drawn.dashed} />
    <path className={s.heavy} d={drawn.heavy} />
  </svg>
)

const ChoiceField = memo(function ChoiceField({ choice }: { choice: Choice }) {
  const jobUnit = useUnit()
  const { field, state, write } = useItemField('choices', choice.key)
  const costs = useScene((scene) => draftInHand(scene)?.costs[choice.key])
  if (choice.kind !== 'option')
    return (
      <div className={s.choice} data-choice={choice.key}>
        <EntryField
          name={field}
          label={choice.name}
          state={state}
          write={write}
          unit={choice.kind === 'length' ? unitWord(jobUnit) : ''}
        />
        {choice.note && <p className="note">{choice.note}</p>}
        <PutBack map="choices" name={choice.key} />
      </div>
    )
  return (
    <div className={s.choice} data-choice={choice.key}>
      {choice.name !== choice.group && <h3>{choice.name}</h3>}
      <Radio.Group
        vertical
        aria-label={choice.name}
        name={field}
        value={state.entry?.typed ?? choice.default}
        onChange={(event) => write(event.target.value as string, '')}
      >
        {choice.options.map((option) => (
          <Radio key={option.key} value={option.key}>
            <span className={option.drawn ? s.pictured : undefined}>
              {option.drawn && <OptionPicture drawn={option.drawn} />}
              <span>
                <b>{option.name}</b> {option.suits} {costs?.[option.key]}
              </span>
            </span>
          </Radio>
        ))}
      </Radio.Group>
      <PutBack map="choices" name={choice.key} />
    </div>
  )
})

const AllowanceField = memo(function AllowanceField({ symbol, name }: { symbol: string; name: string }) {
  const jobUnit = useUnit()
  const { field, state, write } = useItemField('allowances', symbol)
  return (
    <div className={s.choice}>
      <EntryField
        name={field}
        label={
          <>
            <kbd>{symbol}</kbd> {name}
          </>
        }
        state={state}
        write={write}
        unit={unitWord(jobUnit)}
      />
      <PutBack map="allowances" name={symbol} />
    </div>
  )
})
