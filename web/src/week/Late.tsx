import { useQueryClient } from '@tanstack/react-query'
import { Button } from 'antd'
import { useState } from 'react'
import { answer, api, newId, type Hand, type JobSchedule, type Week } from '../api/client'
import { told } from '../parts/told'
import { skillWord } from './Strips'
import s from './week.module.css'

interface Props {
  week: Week
  edit: (job: string, change: (old: JobSchedule) => JobSchedule) => Promise<void>
  hold: (job: string) => void
}

type Remedy = Week['late'][number]['remedies'][number]

// Somebody who can do everything, and comes on these days only.
const helping = (other: Hand['other']): Hand => ({
  id: newId(),
  name: 'Helper',
  hours: Array.from({ length: 7 }, () => ''),
  skills: Object.keys(skillWord) as Hand['skills'],
  pace: '',
  other,
})

/** What will be late, and what would help, each with what it costs others. */
export function Late({ week, edit, hold }: Props) {
  const queries = useQueryClient()
  const [problem, setProblem] = useState('')
  if (week.late.length === 0) return null
  // A job is promised anew, somebody works on a day that was off, or a helper comes for some days.
  const take = async ({ job, person, date, hours, helper }: Remedy) => {
    if (job !== null) {
      await edit(job, (old) => ({ ...old, promised: date }))
      return
    }
    try {
      const { revision, calendar } = await answer(api.GET('/api/calendar'))
      const why = 'so that nothing is late'
      const day = (from: string, hours: string) => ({ id: newId(), from, until: '', hours, why })
      const people =
        person === null
          ? [...calendar.people, helping(helper.map((each) => day(each.date, each.hours)))]
          : calendar.people.map((hand) =>
              hand.id === person ? { ...hand, other: [...hand.other, day(date, hours)] } : hand,
            )
      await answer(api.PUT('/api/calendar', { body: { from: revision, calendar: { ...calendar, people } } }))
      setProblem('')
    } catch (error) {
      setProblem(told(error))
    }
    await Promise.all([
      queries.invalidateQueries({ queryKey: ['week'] }),
      queries.invalidateQueries({ queryKey: ['calendar'] }),
    ])
  }
  return (
    <section className={s.lates} aria-label="What will be late">
      {problem && <p className="problem">{problem}</p>}
      {week.late.map((late) => (
        <div key={late.job}>
          <p>
            <b>{late.text}</b>{' '}
            <Button type="text" onClick={() => hold(late.job)}>
              Its dates
            </Button>
          </p>
          {late.remedies.length > 0 && (
            <ul>
              {late.remedies.map((remedy) => (
                <li key={remedy.text}>
                  <Button onClick={() => void take(remedy)}>{remedy.text}</Button>{' '}
                  <small>{remedy.others.length === 0 ? 'nothing else is later' : remedy.others.join('; ')}</small>
                </li>
              ))}
            </ul>
          )}
        </div>
      ))}
    </section>
  )
}
