import { clsx } from 'clsx'
import { useState, type KeyboardEvent, type PointerEvent } from 'react'
import type { Skill, Strip, Week } from '../api/client'
import { dayAfter, dayText, minutesText } from './days'
import s from './week.module.css'

export const skillWord: Record<Skill, string> = {
  cutting: 'cutting',
  sewing: 'sewing',
  fitting: 'fitting',
  finishing: 'filling',
}

interface Props {
  week: Week
  from: number
  days: number
  held: string
  hold: (job: string) => void
  put: (strip: Strip, person: string, day: number) => Promise<void>
  letGo: (strip: Strip) => Promise<void>
}

// So many pixels a person's day is high, in a week and in five.
const high = { week: 210, month: 84 }

/** Who works, day by day, and the strips of work there: dragged, or moved by the arrow keys. */
export function Strips({ week, from, days, held, hold, put, letGo }: Props) {
  const [drag, setDrag] = useState<{ strip: Strip; to?: { person: string; day: number } }>()
  const small = days > 7
  const height = small ? high.month : high.week
  const longest = Math.max(60, ...week.people.flatMap((person) => person.minutes))
  const shown = Array.from({ length: days }, (_, n) => from + n)
  const jobs = new Map(week.jobs.map((job) => [job.id, job]))
  const under = (event: PointerEvent) => {
    const cell = document
      .elementsFromPoint(event.clientX, event.clientY)
      .find((each): each is HTMLElement => each instanceof HTMLElement && each.dataset.day !== undefined)
    return cell ? { person: cell.dataset.person ?? '', day: Number(cell.dataset.day) } : undefined
  }
  const byKey = (event: KeyboardEvent, strip: Strip) => {
    const at = week.people.findIndex((person) => person.id === strip.person)
    const step = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key]
    if (step) {
      event.preventDefault()
      const person = week.people[at + (step[1] ?? 0)]
      const day = strip.day + (step[0] ?? 0)
      if (person && day >= 0) void put(strip, person.id, day)
    } else if (event.key === 'Delete' || event.key === 'Backspace') {
      event.preventDefault()
      void letGo(strip)
    }
  }
  return (
    <div className={s.strips} style={{ ['--days' as string]: days }} role="group" aria-label="Strips of work">
      <div className={s.names}>
        <span />
        {shown.map((day) => (
          <span key={day} className={clsx(day === 0 && s.today)}>
            {small
              ? dayText(dayAfter(week.first, day)).split(' ').slice(0, 2).join(' ')
              : dayText(dayAfter(week.first, day))}
          </span>
        ))}
      </div>
      {week.people.map((person) => (
        <div key={person.id} className={s.person}>
          <b>{person.name}</b>
          {shown.map((day) => {
            const open = person.minutes[day] ?? 0
            const target = drag?.to?.day === day && drag.to.person === person.id
            return (
              <div
                key={day}
                className={clsx(s.day, open === 0 && s.off, target && s.target)}
                data-day={day}
                data-person={person.id}
                style={{ height }}
              >
                {open > 0 && <div className={s.open} style={{ height: `${(open / longest) * 100}%` }} />}
                {week.strips
                  .filter((strip) => strip.day === day && strip.person === person.id)
                  .map((strip) => {
                    const job = jobs.get(strip.job)
                    const long = (strip.minutes / longest) * height
                    const label = `${job?.name ?? ''} ${skillWord[strip.skill]} ${minutesText(strip.minutes)}`
                    return (
                      <button
                        key={`${strip.job}/${strip.work}/${strip.part}`}
                        className={clsx(
                          s.strip,
                          strip.isFixed && s.fixed,
                          strip.job === held && s.held,
                          (job?.late ?? 0) > 0 && s.islate,
                          drag?.strip === strip && s.dragged,
                        )}
                        style={{
                          top: `${(strip.from / longest) * 100}%`,
                          height: `${(strip.minutes / longest) * 100}%`,
                          ['--tone' as string]: job?.tone ?? '#5d7284',
                        }}
                        aria-label={`${label}, ${dayText(dayAfter(week.first, day))}, ${person.name}${strip.isFixed ? ', fixed by hand' : ''}`}
                        title={label}
                        onClick={() => hold(strip.job)}
                        onKeyDown={(event) => byKey(event, strip)}
                        onPointerDown={(event) => {
                          event.currentTarget.setPointerCapture(event.pointerId)
                          setDrag({ strip })
                        }}
                        onPointerMove={(event) => {
                          if (drag?.strip !== strip) return
                          const to = under(event)
                          if (to && (to.day !== strip.day || to.person !== strip.person)) setDrag({ strip, to })
                          else if (drag.to) setDrag({ strip })
                        }}
                        onPointerUp={() => {
                          if (drag?.strip === strip && drag.to) void put(strip, drag.to.person, drag.to.day)
                          setDrag(undefined)
                        }}
                        onPointerCancel={() => setDrag(undefined)}
                      >
                        {!small && long >= 18 && (
                          <span>
                            {job?.name}{' '}
                            {long >= 40 && <small>{`${skillWord[strip.skill]} ${minutesText(strip.minutes)}`}</small>}
                          </span>
                        )}
                      </button>
                    )
                  })}
              </div>
            )
          })}
        </div>
      ))}
      <p className="note">
        Drag a strip to another day or person, or move it by the arrow keys: it stays there, with a pin drawn on it, and
        the rest makes room. Delete lets it go.
      </p>
    </div>
  )
}
