import { clsx } from 'clsx'
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { Button, Radio } from 'antd'
import { memo, useDeferredValue } from 'react'
import { answer, api, unitWord, type Choice, type Comparison } from '../../api/client'
import { EntryField } from '../../job/EntryField'
import { identity } from '../../parts/identity'
import { Shapes } from '../../parts/Shapes'
import { draftInHand, useAsked, useDocument, useEditItem, useScene, useSceneStore, useUnit } from '../../job/scene'
import { useItemPicture } from '../../sewn/useItemPicture'
import { useItemField } from '../../job/useItemField'
import s from './make-up.module.css'
import drawn from '../../parts/drawing.module.css'

/** The schools side by side with what each takes, then what can be chosen within the one in hand. */
export default function MakeUp() {
  const makeUp = useScene(({ makeUps, item }) => makeUps.find((each) => each.key === item?.makeUp))
  const remarks = useScene((scene) => draftInHand(scene)?.pattern?.remarks)
  const steps = useScene((scene) => draftInHand(scene)?.pattern?.steps)
  const works = useScene((scene) => draftInHand(scene)?.pattern?.works)
  const asked = useAsked()
  if (!makeUp) return null
  const shown = makeUp.choices.filter((choice) => !choice.onMeasure && asked('choices', choice.key))
  const groups = [...new Set(shown.map((choice) => choice.group))]
  return (
    <>
      <Schools />
      {remarks && remarks.length > 0 && (
        <ul className={s.remarks}>
          {remarks.map((remark) => (
            <li key={remark.text} className={remark.caution ? s.caution : undefined}>
              {remark.caution && <b>Take care. </b>}
              {remark.text}
            </li>
          ))}
        </ul>
      )}
      <div className={s.groups}>
        {groups.map((group) => (
          <fieldset key={group} className={s.group}>
            <legend>{group}</legend>
            {shown
              .filter((choice) => choice.group === group)
              .map((choice) => (
                <ChoiceField key={choice.key} choice={choice} />
              ))}
          </fieldset>
        ))}
        <fieldset className={s.group}>
          <legend>Allowances</legend>
          {makeUp.allowances.map((allowance) => (
            <AllowanceField key={allowance.symbol} symbol={allowance.symbol} name={allowance.name} />
          ))}
          <p className="note">An edge can have an allowance of its own: see Pieces.</p>
        </fieldset>
      </div>
      {steps && (
        <section className={s.steps}>
          <h2>Making order</h2>
          <ol>
            {steps.map((step) => (
              <li key={step.text}>
                {step.text}
                {step.cautions.map((caution) => (
                  <p key={caution} className={s.caution}>
                    <b>Take care. </b>
                    {caution}
                  </p>
                ))}
              </li>
            ))}
          </ol>
          {works && (
            <table className={s.works}>
              <caption>Time for one</caption>
              <tbody>
                {works.map((work) => (
                  <tr key={work.name}>
                    <th scope="row">{work.name}</th>
                    <td>{work.time}</td>
                    <td className="note">{work.over}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
        </section>
      )}
    </>
  )
}

const Schools = memo(function Schools() {
  const id = useScene((scene) => scene.item?.id)
  const jobDocument = useDeferredValue(useDocument())
  const compared = useQuery({
    queryKey: ['compare', identity(jobDocument), id],
    queryFn: ({ signal }) => answer(api.POST('/api/compare', { body: { job: jobDocument, item: id ?? '' }, signal })),
    placeholderData: keepPreviousData,
    enabled: id !== undefined,
    gcTime: 10_000,
  })
  return (
    <section className={s.schools} aria-label="Make-ups">
      {compared.data?.map((school) => (
        <School key={school.makeUp} id={id ?? ''} school={school} />
      ))}
    </section>
  )
})

const School = memo(function School({ id, school }: { id: string; school: Comparison }) {
  const store = useSceneStore()
  const editItem = useEditItem()
  const picture = useItemPicture(id, school.makeUp)
  const choose = async () => {
    const { item, job } = store.get()
    if (!item) return
    const changed = await answer(
      api.POST('/api/items', {
        body: { id: item.id, name: item.name, makeUp: school.makeUp, unit: job.document.unit, from: item },
      }),
    )
    editItem('', item.id, (old) => void Object.assign(old, changed))
  }
  const row = (name: string, value: string | number | null | undefined) =>
    value != null && (
      <tr>
        <th scope="row">{name}</th>
        <td>{value}</td>
      </tr>
    )
  return (
    <article className={clsx(s.school, school.current && s.current)}>
      <h2>{school.name}</h2>
      <div className={drawn.slate}>
        {picture ? <img className={s.sewn} src={picture} alt="" /> : <Shapes shapes={school.shapes} />}
      </div>
      <p>{school.suits}</p>
      {school.problems.map((problem) => (
        <p key={problem.field} className="problem">
          {problem.reason}. <span>For example {problem.example}.</span>
        </p>
      ))}
      <table>
        <tbody>
          {row('Cloth, laid alone', school.cloth?.text)}
          {row('Stitching', school.seamLength?.text)}
          {row('Zip', school.zip?.text)}
          {row('Pieces', school.pieces)}
          {row('Time', school.time)}
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
})

const ChoiceField = memo(function ChoiceField({ choice }: { choice: Choice }) {
  const jobUnit = useUnit()
  const { field, state, write } = useItemField('choices', choice.key)
  const costs = useScene((scene) => draftInHand(scene)?.costs[choice.key])
  if (choice.kind !== 'option')
    return (
      <div className={s.choice}>
        <EntryField
          name={field}
          label={choice.name}
          state={state}
          write={write}
          unit={choice.kind === 'length' ? unitWord(jobUnit) : ''}
        />
        {choice.note && <p className="note">{choice.note}</p>}
      </div>
    )
  return (
    <div className={s.choice}>
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
            <b>{option.name}</b> {option.suits} {costs?.[option.key]}
          </Radio>
        ))}
      </Radio.Group>
    </div>
  )
})

const AllowanceField = memo(function AllowanceField({ symbol, name }: { symbol: string; name: string }) {
  const jobUnit = useUnit()
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
      unit={unitWord(jobUnit)}
    />
  )
})
