import { useQuery } from '@tanstack/react-query'
import { Button, Segmented } from 'antd'
import { useEffect, useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { tinykeys } from 'tinykeys'
import { answer, api, type Strip } from '../api/client'
import { told } from '../parts/told'
import { Bar } from '../workroom/Bar'
import { dayAfter, dayText } from './days'
import { Hours } from './Hours'
import { JobDates } from './JobDates'
import { Late } from './Late'
import { Strips } from './Strips'
import { Subscribe } from './Subscribe'
import { useSchedules } from './useSchedules'
import s from './week.module.css'

const spans = { week: 7, month: 35 } as const

/** The week of the workroom: strips of work on days, what will be late, and when something can be had. */
export default function Week() {
  const [params, setParams] = useSearchParams()
  const [span, setSpan] = useState<keyof typeof spans>('week')
  const [from, setFrom] = useState(0)
  const [hours, setHours] = useState(false)
  const [elsewhere, setElsewhere] = useState(false)
  const held = params.get('job') ?? ''
  const hold = (job: string) => setParams(job ? { job } : {}, { replace: true })
  const asked = useQuery({
    queryKey: ['week'],
    queryFn: ({ signal }) => answer(api.GET('/api/week', { params: { query: { days: 366 } }, signal })),
    placeholderData: (before) => before,
    staleTime: 0,
  })
  const { edit, undo, canUndo, problem } = useSchedules()
  useEffect(() => tinykeys(window, { '$mod+z': () => void (canUndo && undo()) }))
  const week = asked.data
  if (!week)
    return (
      <div className={s.page}>
        <Bar at="week" />
        <main>{asked.isError ? <p className="problem">{told(asked.error)}</p> : <p>Reckoning the week …</p>}</main>
      </div>
    )
  const days = spans[span]
  // Where a strip was put by hand: it stays there until it is let go.
  const put = (strip: Strip, person: string, day: number) =>
    edit(strip.job, (old) => ({
      ...old,
      fixed: [
        ...old.fixed.filter(({ work }) => work !== strip.work),
        { work: strip.work, person, date: dayAfter(week.first, day) },
      ],
    }))
  const letGo = (strip: Strip) =>
    edit(strip.job, (old) => ({ ...old, fixed: old.fixed.filter(({ work }) => work !== strip.work) }))
  return (
    <div className={s.page}>
      <Bar at="week" />
      <main>
        <div className={s.head}>
          <h1>
            {dayText(dayAfter(week.first, from))} to {dayText(dayAfter(week.first, from + days - 1))}
          </h1>
          <Segmented
            aria-label="How much is shown"
            name="span"
            value={span}
            options={[
              { value: 'week', label: 'week' },
              { value: 'month', label: 'five weeks' },
            ]}
            onChange={setSpan}
          />
          <Button disabled={from === 0} onClick={() => setFrom(Math.max(0, from - 7))}>
            Earlier
          </Button>
          <Button disabled={from + days >= 364} onClick={() => setFrom(from + 7)}>
            Later
          </Button>
          <Button disabled={!canUndo} onClick={() => void undo()}>
            Take it back
          </Button>
          <Button onClick={() => setHours(true)}>Hours and people</Button>
          <Button onClick={() => setElsewhere(true)}>In another calendar</Button>
        </div>
        {elsewhere && <Subscribe close={() => setElsewhere(false)} />}
        {[problem, asked.isError ? told(asked.error) : '']
          .filter((text) => text !== '')
          .map((text) => (
            <p key={text} className="problem" role="alert">
              {text}
            </p>
          ))}
        {week.problems.length > 0 && (
          <p className="problem" role="alert">
            Something of the hours cannot be read: <Button onClick={() => setHours(true)}>Look</Button>
          </p>
        )}
        <Late week={week} edit={edit} hold={hold} />
        <div className={s.table}>
          <Strips week={week} from={from} days={days} held={held} hold={hold} put={put} letGo={letGo} />
          {held !== '' && <JobDates key={held} id={held} week={week} edit={edit} close={() => hold('')} />}
        </div>
        <section aria-label="Jobs in the week">
          <h2>In the week</h2>
          {week.jobs.length === 0 && (
            <p>Nothing is in the week yet. A job comes in when it is ordered, promised, or put in below.</p>
          )}
          <ul className={s.jobs}>
            {week.jobs.map((job) => (
              <li key={job.id} data-held={job.id === held || undefined}>
                <Button type="text" onClick={() => hold(job.id)} aria-label={`Dates of ${job.name}`}>
                  <i style={{ background: job.tone }} aria-hidden /> {job.name}
                </Button>
                <span>{job.customer}</span>
                <span>{job.hours}</span>
                <span>
                  {job.done ? `done ${dayText(job.done)}` : 'no place for it'}
                  {job.schedule.promised && `, promised ${dayText(job.schedule.promised)}`}
                  {job.late > 0 && <b className={s.late}> late</b>}
                </span>
                <span>{job.told.join('; ')}</span>
              </li>
            ))}
          </ul>
        </section>
        {week.waiting.length > 0 && (
          <section aria-label="Waiting">
            <h2>Waiting</h2>
            <ul className={s.jobs}>
              {week.waiting.map((job) => (
                <li key={job.id}>
                  <Button type="text" onClick={() => hold(job.id)}>
                    {job.name}
                  </Button>
                  <span>{job.customer}</span>
                  <span className={s.why}>{job.why}</span>
                </li>
              ))}
            </ul>
          </section>
        )}
        {week.outside.length > 0 && (
          <section aria-label="Not in the week">
            <h2>Not in the week</h2>
            <ul className={s.jobs}>
              {week.outside.map((job) => (
                <li key={job.id}>
                  <Button type="text" onClick={() => hold(job.id)}>
                    {job.name}
                  </Button>
                  <span>{job.customer}</span>
                  <span>
                    <Link to={`/jobs/${job.id}/measure`}>Open</Link>
                  </span>
                </li>
              ))}
            </ul>
          </section>
        )}
      </main>
      {hours && <Hours close={() => setHours(false)} />}
    </div>
  )
}
