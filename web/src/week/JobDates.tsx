import { useQuery } from '@tanstack/react-query'
import { Button, Segmented } from 'antd'
import { Link } from 'react-router'
import { answer, api, type JobSchedule, type Week } from '../api/client'
import { Typed } from '../parts/Typed'
import { dayText } from './days'
import s from './week.module.css'

interface Props {
  id: string
  week: Week
  edit: (job: string, change: (old: JobSchedule) => JobSchedule) => Promise<void>
  close: () => void
}

const supply = [
  { value: 'unsaid' as const, label: 'not said' },
  { value: 'ordered' as const, label: 'ordered' },
  { value: 'here' as const, label: 'here' },
]

/** When a job is made: its dates, what it waits for, and when it can be had. */
export function JobDates({ id, week, edit, close }: Props) {
  const asked = useQuery({
    queryKey: ['schedule', id],
    queryFn: () => answer(api.GET('/api/jobs/{id}/schedule', { params: { path: { id } } })),
  })
  const when = useQuery({
    queryKey: ['when', id],
    queryFn: ({ signal }) => answer(api.GET('/api/jobs/{id}/when', { params: { path: { id } }, signal })),
    staleTime: 0,
  }).data
  const job = week.jobs.find((each) => each.id === id)
  const name = job?.name ?? [...week.waiting, ...week.outside].find((each) => each.id === id)?.name ?? 'This job'
  const view = asked.data
  if (!view) return <aside className={s.dates}>…</aside>
  const { schedule, problems } = view
  const wrong = (field: string) => problems.find((each) => each.field === field)
  const set = (changed: Partial<JobSchedule>) => void edit(id, (old) => ({ ...old, ...changed }))
  const day = (label: string, key: 'askedFor' | 'promised' | 'clothOn' | 'foamOn' | 'fittingOn') => (
    <Typed
      label={label}
      value={schedule[key]}
      placeholder="2026-12-04"
      problem={wrong(key)}
      write={(typed) => set({ [key]: typed.trim() })}
    />
  )
  return (
    <aside className={s.dates} aria-label={`Dates of ${name}`}>
      <h2>{name}</h2>
      <p>
        <Link to={`/jobs/${id}/make`}>Open the job</Link> <Button onClick={close}>Close</Button>
      </p>
      {when && (
        <div className={s.when} role="status">
          <p>
            <b>{when.text}</b>
          </p>
          {when.why.map((why) => (
            <p key={why}>{why}</p>
          ))}
          {when.date && schedule.promised === '' && (
            <Button type="primary" onClick={() => set({ promised: when.date ?? '' })}>
              Promise it for {dayText(when.date)}
            </Button>
          )}
        </div>
      )}
      {day('Promised for', 'promised')}
      {job?.beginBy && <p className="note">To be in time it is begun by {dayText(job.beginBy)}.</p>}
      {day('The customer asked for', 'askedFor')}
      <div className="typed">
        <span>Its cloth is</span>
        <Segmented
          aria-label="Its cloth is"
          name="cloth"
          value={schedule.cloth}
          options={supply}
          onChange={(cloth) => set({ cloth })}
        />
      </div>
      {schedule.cloth === 'ordered' && day('Cloth is expected on', 'clothOn')}
      <div className="typed">
        <span>Foam and fillings are</span>
        <Segmented
          aria-label="Foam and fillings are"
          name="foam"
          value={schedule.foam}
          options={supply}
          onChange={(foam) => set({ foam })}
        />
      </div>
      {schedule.foam === 'ordered' && day('They are expected on', 'foamOn')}
      {day('Fitted at the customer’s on', 'fittingOn')}
      <div className="typed">
        <span>In the week</span>
        <Segmented
          aria-label="In the week"
          name="in-week"
          value={schedule.inWeek}
          options={[
            { value: 'usual' as const, label: 'once ordered' },
            { value: 'yes' as const, label: 'yes' },
            { value: 'no' as const, label: 'not for now' },
          ]}
          onChange={(inWeek) => set({ inWeek })}
        />
      </div>
      {schedule.fixed.length > 0 && (
        <Button onClick={() => set({ fixed: [] })}>Let go what was fixed by hand ({schedule.fixed.length})</Button>
      )}
    </aside>
  )
}
