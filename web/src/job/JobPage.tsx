import { useQuery } from '@tanstack/react-query'
import { Button } from 'antd'
import { lazy, Suspense, useMemo, useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { answer, api, type Plan } from '../api/client'
import { Keys } from '../keys/Keys'
import { stages, type StageKey } from '../stages/stages'
import { AddItem } from './AddItem'
import { ConflictDialog } from './ConflictDialog'
import { JobContext, type JobScene } from './context'
import { FootBar } from './FootBar'
import { ItemRail } from './ItemRail'
import { JobHead } from './JobHead'
import { TapeBar } from './TapeBar'
import { useJob, type OpenJob } from './useJob'
import { usePlan } from './usePlan'

const views = {
  measure: lazy(() => import('../stages/Measure')),
  'make-up': lazy(() => import('../stages/MakeUp')),
  pieces: lazy(() => import('../stages/Pieces')),
  lay: lazy(() => import('../stages/Lay')),
  buy: lazy(() => import('../stages/Buy')),
}

/** A job: one page, its stages in working order. */
export function JobPage() {
  const { id = '', stage } = useParams()
  const { job, failed } = useJob(id)
  if (failed !== undefined)
    return (
      <main className="lost">
        <h1>This job cannot be opened</h1>
        <p>{failed}</p>
        <Link to="/">All jobs</Link>
      </main>
    )
  if (!job)
    return (
      <main className="lost">
        <p>Opening the job …</p>
      </main>
    )
  return (
    <Open
      key={id}
      id={id}
      job={job}
      stage={stages.some((each) => each.key === stage) ? (stage as StageKey) : 'measure'}
    />
  )
}

// What stands on every print, whatever else is shown.
function Cautions({ plan }: { plan: Plan | undefined }) {
  const always = new Set(
    plan?.items
      .flatMap(({ draft }) => draft.pattern?.remarks ?? [])
      .filter((remark) => remark.always)
      .map((remark) => remark.text),
  )
  return (
    always.size > 0 && (
      <aside className="always" aria-label="Cautions">
        {[...always].map((text) => (
          <p key={text}>{text}</p>
        ))}
      </aside>
    )
  )
}

function Open({ id, job, stage }: { id: string; job: OpenJob; stage: StageKey }) {
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
  const scene: JobScene = useMemo(
    () => ({
      ...planned,
      id,
      job,
      item,
      makeUps: makeUps.data ?? [],
      take: setHeld,
      go: (to: string) => void navigate(`/jobs/${id}/${to}`),
      add: () => setAdding(true),
      ask: () => setPutOff([]),
    }),
    [planned, id, job, item, makeUps.data, navigate],
  )
  const View = views[stage]
  return (
    <JobContext value={scene}>
      <div className="job">
        <JobHead />
        <TapeBar stage={stage} />
        <ItemRail />
        <main key={stage} className={`stage ${stage}`} id="stage">
          <h1 className="unseen">{stages.find((each) => each.key === stage)?.name}</h1>
          {scene.plan?.problems.map((problem) => (
            <p key={problem.field} className="problem" role="alert">
              {problem.reason}
            </p>
          ))}
          {scene.failed && (
            <p className="problem" role="alert">
              This job is not laid anew: {scene.failed}
            </p>
          )}
          <Cautions plan={scene.plan} />
          {item || stage === 'lay' || stage === 'buy' ? (
            <Suspense fallback={<p>…</p>}>
              <View />
            </Suspense>
          ) : (
            <section className="blank">
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
