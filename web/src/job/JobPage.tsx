import { useQuery } from '@tanstack/react-query'
import { Button } from 'antd'
import { lazy, memo, Suspense, type ComponentType, useCallback, useLayoutEffect, useMemo, useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { answer, api, type MakeUp } from '../api/client'
import { Keys } from './Keys'
import { beside, stages, type ViewKey } from './stages'
import { AddItem } from './AddItem'
import { ConflictDialog } from './ConflictDialog'
import { JobContext, SceneStore, useScene, type JobScene } from './scene'
import { FootBar } from './FootBar'
import { ItemRail } from './ItemRail'
import { JobHead } from './JobHead'
import { TapeBar } from './TapeBar'
import { useJob, type OpenJob } from './useJob'
import { usePlan } from './usePlan'
import s from './JobPage.module.css'

// A stage looks at the scene for itself: it is not drawn again because the page is.
const stageView = (load: () => Promise<{ default: ComponentType }>) =>
  lazy(() => load().then((module) => ({ default: memo(module.default) })))
const views = {
  measure: stageView(() => import('../stages/measure/Measure')),
  'make-up': stageView(() => import('../stages/make-up/MakeUp')),
  pieces: stageView(() => import('../stages/pieces/Pieces')),
  lay: stageView(() => import('../stages/lay/Lay')),
  buy: stageView(() => import('../stages/buy/Buy')),
  make: stageView(() => import('../stages/make/Make')),
  'hand-over': stageView(() => import('../stages/hand-over/HandOver')),
  price: stageView(() => import('../stages/price/Price')),
}
const none: MakeUp[] = []

/** A job: one page, its stages in working order. */
export function JobPage() {
  const { id = '', stage } = useParams()
  const { job, failed } = useJob(id)
  if (failed !== undefined)
    return (
      <main className={s.lost}>
        <h1>This job cannot be opened</h1>
        <p>{failed}</p>
        <Link to="/">All jobs</Link>
      </main>
    )
  if (!job)
    return (
      <main className={s.lost}>
        <p>Opening the job …</p>
      </main>
    )
  return (
    <Open
      key={id}
      id={id}
      job={job}
      stage={[...stages, beside].some((each) => each.key === stage) ? (stage as ViewKey) : 'measure'}
    />
  )
}

// What is wrong with the job beyond single fields.
const JobProblems = memo(function JobProblems() {
  const problems = useScene(({ plan }) => plan?.problems)
  const failed = useScene((scene) => scene.failed)
  return (
    <>
      {problems?.map((problem) => (
        <p key={problem.field} className="problem" role="alert">
          {problem.reason}
        </p>
      ))}
      {failed && (
        <p className="problem" role="alert">
          This job is not laid anew: {failed}
        </p>
      )}
    </>
  )
})

function Open({ id, job, stage }: { id: string; job: OpenJob; stage: ViewKey }) {
  const navigate = useNavigate()
  const [held, setHeld] = useState('')
  // Questions that were put off; new ones are asked again.
  const [putOff, setPutOff] = useState<OpenJob['asked']>([])
  const later = job.asked.every((question) => putOff.includes(question))
  const [adding, setAdding] = useState(job.document.items.length === 0 && job.document.removed.length === 0)
  const makeUps = useQuery({
    queryKey: ['make-ups'],
    queryFn: () => answer(api.GET('/api/make-ups')),
    staleTime: Infinity,
  })
  const planned = usePlan(job.document, job.step)
  const item = job.document.items.find((each) => each.id === held) ?? job.document.items[0]
  const go = useCallback((to: string) => void navigate(`/jobs/${id}/${to}`), [navigate, id])
  const add = useCallback(() => setAdding(true), [])
  const ask = useCallback(() => setPutOff([]), [])
  const scene: JobScene = useMemo(
    () => ({ ...planned, id, job, item, makeUps: makeUps.data ?? none, takeInHand: setHeld, go, add, ask }),
    [planned, id, job, item, makeUps.data, go, add, ask],
  )
  const [store] = useState(() => new SceneStore(scene))
  useLayoutEffect(() => store.set(scene), [store, scene])
  const View = views[stage]
  return (
    <JobContext value={store}>
      <div className={s.job} data-at={stage}>
        <JobHead />
        <TapeBar stage={stage} />
        {stage !== 'make' && stage !== beside.key && <ItemRail />}
        <main key={stage} className={s.stage} data-stage={stage} id="stage">
          <h1 className="unseen">{[...stages, beside].find((each) => each.key === stage)?.name}</h1>
          <JobProblems />
          {item || stage === 'lay' || stage === 'buy' || stage === 'hand-over' || stage === beside.key ? (
            <Suspense fallback={<p>…</p>}>
              <View />
            </Suspense>
          ) : (
            <section className={s.blank}>
              <p>Nothing is measured yet.</p>
              <Button type="primary" onClick={() => setAdding(true)}>
                Add an item
              </Button>
            </section>
          )}
        </main>
        <FootBar />
      </div>
      <Keys stage={stage} />
      {adding && makeUps.data && <AddItem close={() => setAdding(false)} />}
      {job.asked.length > 0 && !later && (
        <ConflictDialog asked={job.asked} decide={job.decide} close={() => setPutOff(job.asked)} />
      )}
    </JobContext>
  )
}
