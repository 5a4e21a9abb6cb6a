import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { Button } from 'antd'
import { answer, api, unitWord, type Choice, type Comparison } from '../api/client'
import { EntryField } from '../job/EntryField'
import { changeItem, useAsked, useDraft, useItemField, useScene } from '../job/context'
import { Shapes } from './Shapes'

/** The schools side by side with what each takes, then what can be chosen within the one in hand. */
export default function MakeUp() {
  const { job, item, makeUps } = useScene()
  const draft = useDraft()
  const asked = useAsked()
  const compared = useQuery({
    queryKey: ['compare', job.document, item?.id],
    queryFn: ({ signal }) =>
      answer(api.POST('/api/compare', { body: { job: job.document, item: item?.id ?? '' }, signal })),
    placeholderData: keepPreviousData,
    enabled: item !== undefined,
    gcTime: 10_000,
  })
  const makeUp = makeUps.find((each) => each.key === item?.makeUp)
  if (!item || !makeUp) return null
  const shown = makeUp.choices.filter((choice) => !choice.onMeasure && asked('choices', choice.key))
  const groups = [...new Set(shown.map((choice) => choice.group))]
  return (
    <>
      <section className="schools" aria-label="Make-ups">
        {compared.data?.map((school) => (
          <School key={school.makeUp} school={school} />
        ))}
      </section>
      {draft?.pattern && draft.pattern.remarks.length > 0 && (
        <ul className="remarks">
          {draft.pattern.remarks.map((remark) => (
            <li key={remark.text} className={remark.caution ? 'caution' : ''}>
              {remark.caution && <b>Take care. </b>}
              {remark.text}
            </li>
          ))}
        </ul>
      )}
      <div className="groups">
        {groups.map((group) => (
          <fieldset key={group} className="group">
            <legend>{group}</legend>
            {shown
              .filter((choice) => choice.group === group)
              .map((choice) => (
                <ChoiceField key={choice.key} choice={choice} />
              ))}
          </fieldset>
        ))}
        <fieldset className="group">
          <legend>Allowances</legend>
          {makeUp.allowances.map((allowance) => (
            <AllowanceField key={allowance.symbol} symbol={allowance.symbol} name={allowance.name} />
          ))}
          <p className="note">An edge can have an allowance of its own: see Pieces.</p>
        </fieldset>
      </div>
      {draft?.pattern && (
        <section className="steps">
          <h2>Making order</h2>
          <ol>
            {draft.pattern.steps.map((step) => (
              <li key={step}>{step}</li>
            ))}
          </ol>
        </section>
      )}
    </>
  )
}

function School({ school }: { school: Comparison }) {
  const { job, item } = useScene()
  const choose = async () => {
    if (!item) return
    const changed = await answer(
      api.POST('/api/items', {
        body: { id: item.id, name: item.name, makeUp: school.makeUp, unit: job.document.unit, from: item },
      }),
    )
    job.edit('', (document) => changeItem(document, item.id, () => changed))
  }
  const row = (name: string, value: string | number | null | undefined) =>
    value != null && (
      <tr>
        <th scope="row">{name}</th>
        <td>{value}</td>
      </tr>
    )
  return (
    <article className={school.current ? 'school current' : 'school'}>
      <h2>{school.name}</h2>
      <div className="slate">
        <Shapes shapes={school.shapes} />
      </div>
      <p>{school.when}</p>
      {school.problems.map((problem) => (
        <p key={problem.field} className="problem">
          {problem.reason}. <span>For example {problem.example}.</span>
        </p>
      ))}
      <table>
        <tbody>
          {row('Cloth, laid alone', school.cloth?.text)}
          {row('Seam to stitch', school.seamLength?.text)}
          {row('Zip', school.zip?.text)}
          {row('Pieces', school.pieces)}
          {row('Minutes', school.minutes)}
          {row('Filling', school.filling)}
        </tbody>
      </table>
      <Button
        block
        type={school.current ? 'primary' : 'default'}
        aria-pressed={school.current}
        onClick={() => void choose()}
      >
        {school.current ? 'In hand' : `Choose ${school.name.toLowerCase()}`}
      </Button>
    </article>
  )
}

function ChoiceField({ choice }: { choice: Choice }) {
  const { job } = useScene()
  const { field, state, write } = useItemField('choices', choice.key)
  if (choice.kind !== 'option')
    return (
      <div className="choice">
        <EntryField
          name={field}
          label={choice.name}
          state={state}
          write={write}
          unit={choice.kind === 'length' ? unitWord(job.document.unit) : ''}
        />
        {choice.note && <p className="note">{choice.note}</p>}
      </div>
    )
  return (
    <div className="choice" role="radiogroup" aria-label={choice.name}>
      {choice.name !== choice.group && <h3>{choice.name}</h3>}
      {choice.options.map((option) => (
        <label key={option.key} className="option">
          <input
            type="radio"
            name={field}
            value={option.key}
            checked={(state.entry?.typed ?? choice.default) === option.key}
            onChange={() => write(option.key, '')}
          />
          <span>
            <b>{option.name}</b> {option.when}
          </span>
        </label>
      ))}
    </div>
  )
}

function AllowanceField({ symbol, name }: { symbol: string; name: string }) {
  const { job } = useScene()
  const { field, state, write } = useItemField('allowances', symbol)
  return (
    <EntryField
      name={field}
      label={
        <>
          <kbd>{symbol}</kbd> {name}
        </>
      }
      state={state}
      write={write}
      unit={unitWord(job.document.unit)}
    />
  )
}
