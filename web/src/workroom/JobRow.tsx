import { useQuery } from '@tanstack/react-query'
import { Button } from 'antd'
import { clsx } from 'clsx'
import { useState } from 'react'
import { Link } from 'react-router'
import { answer, api, type JobSummary } from '../api/client'
import { stages } from '../job/stages'
import { queued, usePicture } from '../parts/picture'
import { Saves } from '../parts/Saves'
import s from './Home.module.css'

export type Act = 'copy' | 'template' | 'put-away' | 'delete' | 'bring-back'

const moment = new Intl.DateTimeFormat(undefined, { dateStyle: 'medium', timeStyle: 'short' })
const day = new Intl.DateTimeFormat(undefined, { dateStyle: 'long' })

const acts: Record<'Here' | 'Away' | 'Deleted', [Act, string][]> = {
  Here: [
    ['copy', 'Copy'],
    ['template', 'Keep as a template'],
    ['put-away', 'Put away'],
    ['delete', 'Delete'],
  ],
  Away: [
    ['bring-back', 'Bring back'],
    ['delete', 'Delete'],
  ],
  Deleted: [['bring-back', 'Bring back']],
}

interface Props {
  job: JobSummary
  kept: keyof typeof acts
  act: (what: Act) => void
}

/** A job in the list: what it covers, for whom, how far it has come, and what can be done with it. */
export function JobRow({ job, kept, act }: Props) {
  const [open, setOpen] = useState(kept !== 'Here')
  const told = (
    <>
      <b>{job.name}</b>
      <span>{job.customer}</span>
    </>
  )
  return (
    <li>
      {kept === 'Deleted' ? (
        <p>
          {told}
          {job.goesAt && <span className="note">kept until {day.format(new Date(job.goesAt))}</span>}
        </p>
      ) : (
        <Link to={`/jobs/${job.id}/measure`}>
          <Items job={job} />
          {told}
          <span>
            <Reached job={job} />
            <time dateTime={job.changedAt}>{moment.format(new Date(job.changedAt))}</time>
          </span>
        </Link>
      )}
      <span className={s.acts}>
        {kept === 'Here' && (
          <Button aria-label={`More about ${job.name}`} aria-expanded={open} onClick={() => setOpen(!open)}>
            …
          </Button>
        )}
        {open &&
          acts[kept].map(([what, word]) => (
            <Button key={what} aria-label={`${word} ${job.name}`} onClick={() => act(what)}>
              {word}
            </Button>
          ))}
        {open && kept !== 'Deleted' && <Saves label="its file" base={`/api/jobs/${job.id}/file`} as={['json']} />}
      </span>
    </li>
  )
}

// What the job covers, as it will be sewn.
function Items({ job }: { job: JobSummary }) {
  const picture = usePicture(`/api/jobs/${encodeURIComponent(job.id)}/picture.png?at=${job.revision}`)
  return <span className={s.items}>{picture && <img src={picture} alt="" />}</span>
}

const words = { empty: 'empty', todo: 'to do', doubt: 'to check', done: 'done' } as const

// The stages as marks on a tape, and the one that is next.
function Reached({ job }: { job: JobSummary }) {
  const progress = useQuery({
    queryKey: ['progress', job.id, job.revision],
    queryFn: ({ signal }) =>
      queued(() =>
        answer(
          api.GET('/api/jobs/{id}/progress', {
            params: { path: { id: job.id }, query: { at: job.revision } },
            signal,
          }),
        ),
      ),
    staleTime: Infinity,
    retry: false,
  }).data
  if (!progress) return <span className={s.reached} />
  const next = progress.stages.find((each) => each.state !== 'done')
  return (
    <span className={s.reached}>
      {progress.stages.map((each) => (
        <i key={each.stage} className={clsx(s.mark, s[each.state])} aria-hidden />
      ))}{' '}
      {next ? `${stages.find((each) => each.key === next.stage)?.name}: ${words[next.state]}` : 'ready to be made'}
    </span>
  )
}
