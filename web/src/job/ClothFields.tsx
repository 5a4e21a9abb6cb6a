import { Button, Input, Segmented, Select } from 'antd'
import { memo, useMemo, useRef } from 'react'
import { newId, unitWord, type Cloth, type ClothPlan } from '../api/client'
import { Pictured, WayPicture } from '../parts/ClothPictures'
import { useWord } from '../parts/useWord'
import { EntryField } from './EntryField'
import { Prices } from './Prices'
import { useClothEdit } from './useClothEdit'
import { useEdit, useScene, useUnit } from './scene'

const names = {
  width: 'Width, edge to edge',
  step: 'The shop cuts in',
  margin: 'Safety margin',
}

interface Props {
  cloth: Cloth
  planned: ClothPlan | undefined
  show: ('selvedge' | keyof typeof names)[]
  priced?: boolean
}

// The items that make a cloth.
function useMakers() {
  const items = useScene((scene) => scene.job.document.items)
  const makeUps = useScene((scene) => scene.makeUps)
  return useMemo(
    () => items.filter((item) => makeUps.some((each) => each.makesCloth && each.key === item.makeUp)),
    [items, makeUps],
  )
}

/** What is known of one cloth. */
export function ClothFields({ cloth, planned, show, priced }: Props) {
  const jobUnit = useUnit()
  const currency = useScene((scene) => scene.job.document.currency)
  const editJob = useEdit()
  const step = useRef('')
  const article = cloth.articleLength
  const made = cloth.madeBy !== null
  const makers = useMakers()
  const selvedge = useWord('selvedge')
  const change = useClothEdit(cloth)
  const edit = (changed: Partial<Cloth>, at = step.current) => change(changed, at)
  const problem = (field: string) => planned?.problems.find((each) => each.field === `cloths.${cloth.id}.${field}`)
  return (
    <div
      className="cloth-fields"
      onFocus={() => {
        step.current = newId()
      }}
    >
      <label className="swatch">
        <input
          type="color"
          aria-label={`Colour of ${cloth.name}`}
          value={cloth.tone}
          onChange={(event) => edit({ tone: event.currentTarget.value })}
        />
      </label>
      <label>
        Cloth
        <Input value={cloth.name} maxLength={80} onChange={(event) => edit({ name: event.currentTarget.value })} />
      </label>
      {(made ? [] : show).map((key) => (
        <EntryField
          key={key}
          name={`cloths.${cloth.id}.${key}`}
          label={key !== 'selvedge' ? names[key] : article ? 'Cut off along each edge' : `Each ${selvedge}`}
          unit={key === 'step' ? '' : unitWord(jobUnit)}
          state={{
            entry: cloth[key],
            read: key === 'step' ? undefined : planned?.fields[`cloths.${cloth.id}.${key}`],
            problem: problem(key),
          }}
          write={(typed, at) => edit({ [key]: { typed, unit: jobUnit } }, at)}
        />
      ))}
      {!priced && article && !made && (
        <EntryField
          name={`cloths.${cloth.id}.articleLength`}
          label="Length, edge to edge"
          unit={unitWord(jobUnit)}
          state={{
            entry: article,
            read: planned?.fields[`cloths.${cloth.id}.articleLength`],
            problem: problem('articleLength'),
          }}
          write={(typed, at) => edit({ articleLength: { typed, unit: jobUnit } }, at)}
        />
      )}
      {priced && made && <p className="note">Made here: nothing of it is bought.</p>}
      {priced && !made && (
        <EntryField
          name={`cloths.${cloth.id}.price`}
          label={article ? 'Price of one' : 'Price'}
          unit={currency}
          state={{ entry: { typed: cloth.price, unit: jobUnit }, read: undefined, problem: problem('price') }}
          write={(price, at) => edit({ price }, at)}
        />
      )}
      {priced && !article && !made && (
        <Segmented
          tabIndex={-1}
          aria-label="Priced by"
          name={`by-${cloth.id}`}
          value={cloth.pricedBy}
          options={[
            { value: 'yd', label: 'a yard' },
            { value: 'm', label: 'a metre' },
          ]}
          onChange={(pricedBy) => edit({ pricedBy }, '')}
        />
      )}
      {!priced && (
        <Sold id={cloth.id} sold={made ? 'made' : article ? 'article' : 'roll'} maker={makers[0]?.id} edit={change} />
      )}
      {!priced && made && (
        <label>
          Made by
          <Select
            aria-label={`What makes ${cloth.name}`}
            value={cloth.madeBy}
            options={makers.map((item) => ({ value: item.id, label: item.name }))}
            onChange={(madeBy) => edit({ madeBy }, '')}
          />
        </label>
      )}
      {!priced && <Direction id={cloth.id} oneWay={cloth.oneWay} edit={change} />}
      {priced && !article && !made && <Prices cloth={cloth} planned={planned} edit={edit} />}
      {planned?.used === false && (
        <Button
          onClick={() =>
            editJob('', (document) => {
              document.cloths = document.cloths.filter((each) => each.id !== cloth.id)
            })
          }
        >
          Remove
        </Button>
      )}
    </div>
  )
}

interface SoldProps {
  id: string
  sold: 'roll' | 'article' | 'made'
  /** The first item of the job that makes cloth. */
  maker: string | undefined
  edit: (changed: Partial<Cloth>, step?: string) => void
}

// Drawn again only when it is chosen otherwise: keys go to the fields beside it.
const Sold = memo(function Sold({ id, sold, maker, edit }: SoldProps) {
  const unit = useUnit()
  return (
    <Segmented
      tabIndex={-1}
      aria-label="Sold"
      name={`sold-${id}`}
      value={sold}
      options={[
        { value: 'roll', label: 'off the roll' },
        { value: 'article', label: 'ready-made' },
        ...(sold === 'made' || maker !== undefined ? [{ value: 'made', label: 'made here' }] : []),
      ]}
      onChange={(chosen) =>
        edit({
          articleLength: chosen === 'article' ? { typed: '', unit } : null,
          madeBy: chosen === 'made' ? (maker ?? null) : null,
        })
      }
    />
  )
})

const Direction = memo(function Direction({
  id,
  oneWay,
  edit,
}: {
  id: string
  oneWay: boolean
  edit: SoldProps['edit']
}) {
  return (
    <Segmented
      tabIndex={-1}
      aria-label="Direction"
      name={`way-${id}`}
      value={oneWay ? 'one' : 'both'}
      options={[
        { value: 'both', label: <Pictured picture={<WayPicture oneWay={false} />} word="lies both ways" /> },
        { value: 'one', label: <Pictured picture={<WayPicture oneWay />} word="one way up" /> },
      ]}
      onChange={(way) => edit({ oneWay: way === 'one' })}
    />
  )
})

/** What is wrong with a cloth beyond the fields that are asked here. */
export function OtherProblems({ planned, asked }: { planned: ClothPlan | undefined; asked: string[] }) {
  return planned?.problems
    .filter((problem) => !asked.some((field) => problem.field.endsWith(`.${field}`)))
    .map((problem) => (
      <p key={problem.reason} className="problem" role="alert">
        {problem.reason}. <span>For example {problem.example}.</span>
      </p>
    ))
}
