import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { Button, Radio } from 'antd'
import { memo, useDeferredValue, useEffect, useRef, type ReactNode, type Ref } from 'react'
import { useLocation } from 'react-router'
import { answer, api, unitWord, type Choice, type Comparison, type MakeUp as MakeUpDeclared } from '../../api/client'
import { EntryField } from '../../job/EntryField'
import { Folded } from '../../parts/Folded'
import { identity } from '../../parts/identity'
import { usePicture } from '../../parts/picture'
import { useWord } from '../../parts/useWord'
import { Shapes } from '../../parts/Shapes'
import { draftInHand, useAsked, useDocument, useEditItem, useScene, useSceneStore, useUnit } from '../../job/scene'
import { useItemPicture } from '../../sewn/useItemPicture'
import { ToMeasure } from '../../job/ToMeasure'
import { useItemField } from '../../job/useItemField'
import { Learnt } from './Learnt'
import s from './make-up.module.css'

/** The schools side by side, the one in hand large with its pieces, and in a line each what can be chosen within it. */
export default function MakeUp() {
  const makeUp = useScene(({ makeUps, item }) => makeUps.find((each) => each.key === item?.makeUp))
  const id = useScene((scene) => scene.item?.id)
  const asked = useAsked()
  if (!makeUp) return null
  const shown = makeUp.choices.filter((choice) => !choice.onMeasure && asked('choices', choice.key))
  const groups = [...new Set(shown.map((choice) => choice.group))]
  return (
    <>
      <Schools />
      <section className={s.answers} aria-label="What can be chosen">
        <Learnt key={id} />
        {groups.map((group) => (
          <Group key={`${id}/${group}`} name={group} choices={shown.filter((choice) => choice.group === group)} />
        ))}
        <Allowances key={`${id}/allowances`} allowances={makeUp.allowances} />
        <Cautions />
        <MakingOrder />
      </section>
    </>
  )
}

// What stands in the pattern beside its sizes; cautions are never folded away.
const Cautions = memo(function Cautions() {
  const remarks = useScene((scene) => draftInHand(scene)?.pattern?.remarks)
  if (!remarks?.length) return null
  return (
    <ul className={s.remarks}>
      {remarks.map((remark) => (
        <li key={remark.text} className={remark.caution ? s.caution : undefined}>
          {remark.caution && <b>Take care. </b>}
          {remark.text}
        </li>
      ))}
    </ul>
  )
})

const MakingOrder = memo(function MakingOrder() {
  const steps = useScene((scene) => draftInHand(scene)?.pattern?.steps)
  const works = useScene((scene) => draftInHand(scene)?.pattern?.works)
  if (!steps) return null
  return (
    <Folded className={s.steps} summary={`Making order · ${steps.length} steps`}>
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
          <caption>Time for one, by the table of rates</caption>
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
    </Folded>
  )
})

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
  const current = compared.data?.find((school) => school.current)
  return (
    <section className={s.schools} aria-label="Make-ups">
      {(compared.data?.length ?? 0) > 1 && (
        <ol>
          {compared.data?.map((school) => (
            <School key={school.makeUp} id={id ?? ''} school={school} />
          ))}
        </ol>
      )}
      {current && <InHand id={id ?? ''} school={current} />}
    </section>
  )
})

// As it will be sewn; while sizes are to be measured, or do not suit it, as it is at usual ones.
function useDrawn(id: string, school: Comparison) {
  const own = useItemPicture(id, school.makeUp)
  const wanting = school.problems.length > 0
  const usual = usePicture(`/api/make-ups/${school.makeUp}/sewn.png`, wanting)
  return wanting ? usual : own
}

// How the item's own cloth looks.
const useLook = () =>
  useScene(({ item, job, plan }) => {
    const cloth = item?.cloth ?? job.document.cloths[0]?.id
    return plan?.cloths.find((each) => each.id === cloth)?.look
  })

const School = memo(function School({ id, school }: { id: string; school: Comparison }) {
  const store = useSceneStore()
  const editItem = useEditItem()
  const picture = useDrawn(id, school)
  const look = useLook()
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
  const refused = school.problems.find((problem) => !problem.missing)
  return (
    <li>
      <button type="button" aria-pressed={school.current} onClick={() => void choose()}>
        <span className={s.small}>
          {picture ? <img src={picture} alt="" /> : <Shapes shapes={school.shapes} look={look} />}
        </span>
        <b>{school.name}</b>
        <span className={s.against} title={refused?.reason}>
          {school.current ? 'chosen' : (school.against ?? refused?.reason)}
        </span>
      </button>
    </li>
  )
})

// The school that is chosen: sewn, its pieces on the table beside it, and what it takes.
function InHand({ id, school }: { id: string; school: Comparison }) {
  const picture = useDrawn(id, school)
  const look = useLook()
  const zip = useWord('zip')
  const facts = [
    ['cloth, laid alone', school.cloth?.text],
    ['stitching', school.seamLength?.text],
    [zip, school.zip?.text],
    ['pieces', school.pieces],
    ['time', school.time],
    ['filling', school.filling],
  ] as const
  return (
    <article className={s.inHand} aria-label={school.name}>
      <div className={s.large}>
        {picture && <img src={picture} alt={`${school.name}, sewn`} />}
        <Shapes shapes={school.shapes} look={look} />
      </div>
      <p>{school.suits}</p>
      <ToMeasure problems={school.problems} />
      {school.problems
        .filter((problem) => !problem.missing)
        .map((problem) => (
          <p key={problem.field} className="problem">
            {problem.reason}. <span>For example {problem.example}.</span>
          </p>
        ))}
      <dl className={s.facts}>
        {facts.map(
          ([name, value]) =>
            value != null && (
              <div key={name}>
                <dt>{name}</dt>
                <dd>{value}</dd>
              </div>
            ),
        )}
      </dl>
    </article>
  )
}

// What is answered in one line, and whether that is usual; its choices when it is opened.
const Group = memo(function Group({ name, choices }: { name: string; choices: Choice[] }) {
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

const Allowances = memo(function Allowances({ allowances }: { allowances: MakeUpDeclared['allowances'] }) {
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
