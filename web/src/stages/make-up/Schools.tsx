import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { memo, useCallback, useDeferredValue, useRef, useState } from 'react'
import { answer, api, type Comparison } from '../../api/client'
import { identity } from '../../parts/identity'
import { usePicture } from '../../parts/picture'
import { told } from '../../parts/told'
import { useWord } from '../../parts/useWord'
import { Shapes } from '../../parts/Shapes'
import { useDocument, useEditItem, useScene, useSceneStore } from '../../job/scene'
import { useItemPicture } from '../../sewn/useItemPicture'
import { ToMeasure } from '../../job/ToMeasure'
import s from './make-up.module.css'

/** The schools of the family side by side, and the one that is chosen large. */
export const Schools = memo(function Schools() {
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
  const turn = useRef(0)
  const pressed = useCallback(() => {
    const mine = ++turn.current
    return () => mine === turn.current
  }, [])
  return (
    <section className={s.schools} aria-label="Make-ups">
      {(compared.data?.length ?? 0) > 1 && (
        <ol>
          {compared.data?.map((school) => (
            <School key={school.makeUp} id={id ?? ''} school={school} pressed={pressed} />
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

// The school pressed last is the one that is taken, whichever is answered first.
const School = memo(function School({
  id,
  school,
  pressed,
}: {
  id: string
  school: Comparison
  pressed: () => () => boolean
}) {
  const [problem, setProblem] = useState('')
  const store = useSceneStore()
  const editItem = useEditItem()
  const picture = useDrawn(id, school)
  const look = useLook()
  const choose = async () => {
    const { item, job } = store.get()
    if (!item) return
    const isLast = pressed()
    setProblem('')
    try {
      const changed = await answer(
        api.POST('/api/items', {
          body: { id: item.id, name: item.name, makeUp: school.makeUp, unit: job.document.unit, from: item },
        }),
      )
      if (isLast()) editItem('', item.id, (old) => void Object.assign(old, changed))
    } catch (error) {
      setProblem(told(error))
    }
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
      {problem && (
        <span className="problem" role="alert">
          {problem}
        </span>
      )}
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
