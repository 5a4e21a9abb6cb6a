import { Button, Input, Radio } from 'antd'
import { useId, type ReactNode } from 'react'
import type { Covered, JobDocument } from '../../api/client'
import { useDocument, useEdit } from '../../job/scene'
import { coverOf, say } from './covers'
import { Statements } from './Statements'
import { useStates } from './useHandOver'
import s from './hand-over.module.css'

type Cover = JobDocument['handOver']['covers'][number]
type Text = 'filling' | 'flammability' | 'opens' | 'cleaning' | 'notes'

const yesNo = (yes: string, no: string) => [
  { value: 'yes', label: yes },
  { value: 'no', label: no },
]

/** What the maker states of the covers of one item. Nothing is certified by writing it down. */
export function Stated({ cover }: { cover: Covered }) {
  const said = coverOf(useDocument(), cover.item)
  const edit = useEdit()
  const states = useStates().data
  const write = (field: Text) => (value: string) =>
    edit(`say ${cover.item} ${field}`, (document) => say(document, cover.item, (of) => (of[field] = value)))
  const choose = (change: Partial<Cover>) =>
    edit('', (document) => say(document, cover.item, (of) => Object.assign(of, change)))
  const filled = said.flammability.match(/\[[^\]]*\]/g) ?? []
  return (
    <div className={s.stated}>
      <Line name="Fillings">
        <Radio.Group
          aria-label="Fillings"
          optionType="button"
          value={said.fillings}
          onChange={(event) => choose({ fillings: event.target.value as Cover['fillings'] })}
          options={[
            { value: 'original', label: 'Original' },
            { value: 'replaced', label: 'Replaced' },
            { value: 'none', label: 'None' },
          ]}
        />
        <Input
          aria-label="What the fillings are"
          placeholder="Of what, how thick"
          value={said.filling}
          onChange={(event) => write('filling')(event.currentTarget.value)}
        />
      </Line>
      <Line name="Interliner">
        <Radio.Group
          aria-label="Interliner"
          optionType="button"
          value={said.interliner}
          onChange={(event) => choose({ interliner: event.target.value as Cover['interliner'] })}
          options={yesNo('Present', 'None')}
        />
      </Line>
      <Line name="Cover">
        <Radio.Group
          aria-label="Cover"
          optionType="button"
          value={said.fixed}
          onChange={(event) => choose({ fixed: event.target.value as Cover['fixed'] })}
          options={[
            { value: 'no', label: 'Loose, comes off' },
            { value: 'yes', label: 'Fixed' },
          ]}
        />
      </Line>
      <Words name="Opens at" value={said.opens} write={write('opens')} hint="Which corner or seam, and by what thread">
        {said.opens === '' && cover.usuallyOpens !== '' && (
          <Button type="text" onClick={() => write('opens')(cover.usuallyOpens)}>
            {cover.usuallyOpens}
          </Button>
        )}
      </Words>
      <Words name="Cleaning" value={said.cleaning} write={write('cleaning')} hint="What the care marks do not say" />
      <Words
        name="Flammability, as you state it"
        value={said.flammability}
        write={write('flammability')}
        hint="In the words that your country asks for"
        long
      >
        <span className={s.begin}>
          {states?.statements.map((each) => (
            <Button key={each.id} onClick={() => write('flammability')(each.text)}>
              {each.name}
            </Button>
          ))}
        </span>
        {filled.length > 0 && <p className="problem">Still to be filled in: {filled.join(', ')}</p>}
      </Words>
      <Statements />
      <Words name="Notes" value={said.notes} write={write('notes')} hint="What the customer should know" long />
      <p className="note">
        Wrapper writes down what you state and certifies nothing. Flammability of upholstery and bedding is regulated:
        follow local law, and ask a qualified upholsterer where in doubt.
      </p>
    </div>
  )
}

const Line = ({ name, children }: { name: string; children: ReactNode }) => (
  <div className={s.line}>
    <span>{name}</span>
    <div>{children}</div>
  </div>
)

interface WordsProps {
  name: string
  value: string
  write: (value: string) => void
  hint: string
  long?: boolean
  children?: ReactNode
}

function Words({ name, value, write, hint, long, children }: WordsProps) {
  const id = useId()
  return (
    <div className={s.line}>
      <label htmlFor={id}>{name}</label>
      <div>
        {long ? (
          <Input.TextArea
            id={id}
            autoSize={{ minRows: 2 }}
            value={value}
            placeholder={hint}
            onChange={(event) => write(event.currentTarget.value)}
          />
        ) : (
          <Input id={id} value={value} placeholder={hint} onChange={(event) => write(event.currentTarget.value)} />
        )}
        {children}
      </div>
    </div>
  )
}
