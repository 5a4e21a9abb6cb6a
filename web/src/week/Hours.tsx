import { useQueryClient } from '@tanstack/react-query'
import { Button, Checkbox } from 'antd'
import { answer, api, newId, type Hand, type Problem, type Skill } from '../api/client'
import type { components } from '../api/schema'
import { Dialog } from '../parts/Dialog'
import { Typed } from '../parts/Typed'
import { useKept } from '../parts/useKept'
import { skillWord } from './Strips'
import s from './week.module.css'

const weekdays = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']
const skills = Object.keys(skillWord) as Skill[]
type CalendarView = components['schemas']['CalendarView']

/** Who works when, what they can do, and on which days otherwise. */
export function Hours({ close }: { close: () => void }) {
  const queries = useQueryClient()
  const { view, problem, edit } = useKept({
    key: ['calendar'],
    read: () => answer(api.GET('/api/calendar')),
    write: ({ revision, calendar }: CalendarView) =>
      answer(api.PUT('/api/calendar', { body: { from: revision, calendar } })),
    of: ({ calendar }) => calendar,
    put: (kept, calendar) => ({ ...kept, calendar }),
    then: () => queries.invalidateQueries({ queryKey: ['week'] }),
  })
  const wrong = (field: string) => view?.problems.find((each) => each.field === field)
  const set = (id: string, changed: Partial<Hand>) =>
    edit((old) => ({ ...old, people: old.people.map((each) => (each.id === id ? { ...each, ...changed } : each)) }))
  return (
    <Dialog title="Hours and people" close={close}>
      {problem && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
      {view?.calendar.people.map((hand) => (
        <fieldset key={hand.id} className={s.hand} aria-label={hand.name || 'Somebody'}>
          <Typed
            label="Name"
            value={hand.name}
            problem={wrong(`people.${hand.id}.name`)}
            write={(name) => set(hand.id, { name })}
          />
          <Typed
            label="Takes, for what takes others 100"
            value={hand.pace}
            placeholder="100"
            unit="%"
            problem={wrong(`people.${hand.id}.pace`)}
            write={(pace) => set(hand.id, { pace })}
          />
          <div className={s.hours}>
            {weekdays.map((weekday, n) => (
              <Typed
                key={weekday}
                label={weekday}
                value={hand.hours[n] ?? ''}
                placeholder="off"
                problem={wrong(`people.${hand.id}.hours.${n}`)}
                write={(typed) =>
                  set(hand.id, { hours: weekdays.map((_, at) => (at === n ? typed : (hand.hours[at] ?? ''))) })
                }
              />
            ))}
          </div>
          <Checkbox.Group
            aria-label="Can do"
            value={hand.skills}
            options={skills.map((value) => ({ value, label: skillWord[value] }))}
            onChange={(value) => set(hand.id, { skills: value })}
          />
          {wrong(`people.${hand.id}.skills`) && (
            <p className="problem">They can do nothing: nothing is planned for them.</p>
          )}
          <OtherDays
            of={hand.name}
            rows={hand.other}
            wrong={(field) => wrong(`people.${hand.id}.other.${field}`)}
            write={(other) => set(hand.id, { other })}
          />
          <Button onClick={() => edit((old) => ({ ...old, people: old.people.filter(({ id }) => id !== hand.id) }))}>
            Take {hand.name || 'them'} away
          </Button>
        </fieldset>
      ))}
      <p className={s.line}>
        <Button
          onClick={() =>
            edit((old) => ({
              ...old,
              people: [
                ...old.people,
                { id: newId(), name: '', hours: ['7', '7', '7', '7', '7', '', ''], skills, pace: '', other: [] },
              ],
            }))
          }
        >
          Add somebody
        </Button>
      </p>
      <h3>The whole workroom</h3>
      {view && (
        <OtherDays
          of="the workroom"
          rows={view.calendar.other}
          wrong={(field) => wrong(`other.${field}`)}
          write={(other) => edit((old) => ({ ...old, other }))}
        />
      )}
    </Dialog>
  )
}

interface OtherProps {
  of: string
  rows: Hand['other']
  wrong: (field: string) => Problem | undefined
  write: (rows: Hand['other']) => void
}

// Days off, and days that are worked otherwise.
function OtherDays({ of, rows, wrong, write }: OtherProps) {
  const set = (id: string, changed: object) =>
    write(rows.map((each) => (each.id === id ? { ...each, ...changed } : each)))
  return (
    <div className={s.other}>
      {rows.map((row) => (
        <fieldset key={row.id} className={s.line} aria-label={`Other days of ${of}`}>
          <Typed
            label="From"
            value={row.from}
            placeholder="2026-12-24"
            problem={wrong(`${row.id}.from`)}
            write={(from) => set(row.id, { from: from.trim() })}
          />
          <Typed
            label="Until"
            value={row.until}
            placeholder="the same day"
            problem={wrong(`${row.id}.until`)}
            write={(until) => set(row.id, { until: until.trim() })}
          />
          <Typed
            label="Hours"
            value={row.hours}
            placeholder="off"
            problem={wrong(`${row.id}.hours`)}
            write={(hours) => set(row.id, { hours })}
          />
          <Typed label="Why" value={row.why} write={(why) => set(row.id, { why })} />
          <Button onClick={() => write(rows.filter(({ id }) => id !== row.id))}>Take away</Button>
        </fieldset>
      ))}
      <Button onClick={() => write([...rows, { id: newId(), from: '', until: '', hours: '', why: '' }])}>
        Days off, or otherwise, of {of}
      </Button>
    </div>
  )
}
