import { Button, Radio } from 'antd'
import { useEffect, useRef, useState, type MouseEvent } from 'react'
import type { Bench } from '../../api/client'
import { PrintSheet } from '../../job/PrintSheet'
import { useEdit, useScene } from '../../job/scene'
import { AtBench } from './AtBench'
import { logStep, start, stop } from './logging'
import { Turns } from './Turns'
import { useBench } from './useBench'
import { Saves } from '../../parts/Saves'
import s from './make.module.css'

type Turn = Bench['turns'][number]

const typing = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (/^(INPUT|TEXTAREA|SELECT|BUTTON|SUMMARY)$/.test(target.tagName) || target.isContentEditable)

// A pedal sends one of these too.
const onward = new Set([' ', 'PageDown', 'ArrowRight']),
  backward = new Set(['PageUp', 'ArrowLeft'])

// So many tenths of a second a key waits for its step.
const patience = 30

const away = 'The server does not answer. What you did is kept here; it goes on when the server is back.'

// What was tapped lets go, so that space and a pedal go on and do not tap it again.
const letGo = (event: MouseEvent) => {
  const held = document.activeElement
  if (event.detail > 0 && held instanceof HTMLElement && held.matches('button, summary, [type=radio], [type=checkbox]'))
    held.blur()
}

/** The making, one step at a time: read from two metres, gone through with space or a tap. */
export default function Make() {
  const item = useScene((scene) => scene.item?.id)
  const id = useScene((scene) => scene.id)
  const takeInHand = useScene((scene) => scene.takeInHand)
  const go = useScene((scene) => scene.go)
  const edit = useEdit()
  const [at, setAt] = useState('')
  const [asked, setAsked] = useState(false)
  const latest = useRef<(tries: number) => void>(() => undefined)
  const { bench, fresh, failed, ahead } = useBench(at)
  const turns = bench?.turns ?? []
  const place = turns.findIndex((turn) => turn.id === (at || bench?.at?.turn))
  const turn = turns[place]
  // Whoever picks another item along the rail means its next step.
  const [held, setHeld] = useState(item)
  if (item !== held) {
    setHeld(item)
    const own = turns.filter((each) => each.item === item)
    const next = own.find((each) => !each.done) ?? own[0]
    if (turn && turn.item !== item && next) setAt(next.id)
  }
  useEffect(() => {
    if (turn) takeInHand(turn.item)
  }, [turn, takeInHand])

  const now = () => Date.now() + ahead
  // The timer goes along from step to step.
  const moveTo = (next: Turn | undefined, did: string, done: boolean) => {
    setAsked(false)
    edit(
      '',
      (document) => {
        if (!turn) return
        const running = document.making.steps.some((log) => log.id === turn.step && log.began !== '')
        if (done)
          logStep(document, turn.step, (log) => {
            log.done = Math.max(log.done, turn.last)
            // What it was reckoned to take by the table of rates: how long it took tells the maker's own pace.
            log.kind = turn.kind
            log.reckoned = (bench?.at?.ratedSeconds ?? 0) * log.done
          })
        if (running) {
          stop(document, turn.step, now())
          if (next && !next.done) start(document, next.step, now())
        }
      },
      did,
    )
    if (next) setAt(next.id)
  }
  const open = bench?.at?.turn === turn?.id && fresh ? bench?.at : undefined
  const unsettled = open?.checks.some((check) => !check.settled) ?? true
  // A key that comes before the step is there waits for it.
  const next = (tries = 0) => {
    if (!turn) return
    if (!open) {
      if (tries < patience) setTimeout(() => latest.current(tries + 1), 100)
      return
    }
    if (open.heldBy !== '' || (unsettled && !turn.done)) {
      setAsked(true)
      return
    }
    const onto = turns.slice(place + 1).find((each) => !each.done) ?? turns.find((each) => !each.done && each !== turn)
    moveTo(onto, turn.done ? '' : `Done: ${turn.text.split(/[.;,]/)[0] ?? ''}.`, true)
  }
  const back = () => moveTo(turns[place - 1] ?? turn, '', false)
  useEffect(() => {
    latest.current = next
  })
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      if (typing(event.target) || document.querySelector('[role=dialog]') || event.ctrlKey || event.altKey) return
      if (onward.has(event.key)) {
        if (!event.repeat) next()
      } else if (backward.has(event.key)) back()
      else return
      event.preventDefault()
    }
    window.addEventListener('keydown', pressed)
    return () => window.removeEventListener('keydown', pressed)
  })

  if (!bench) return <p className={s.nothing}>{failed ? away : '…'}</p>
  if (!turn)
    return (
      <section className={s.nothing}>
        <p>Nothing can be made yet: what is in doubt, or not measured, has no steps.</p>
        <Button onClick={() => go('measure')}>Go to Measure</Button>
      </section>
    )
  const made = turns.filter((each) => each.done).length
  return (
    <div className={s.make} onClick={letGo}>
      <aside className={s.side}>
        <Radio.Group
          aria-label="Make the covers"
          value={bench.order}
          optionType="button"
          onChange={(event) =>
            edit(
              '',
              (document) => void (document.making.order = event.target.value as Bench['order']),
              event.target.value === 'batch' ? 'All covers are made together.' : 'One cover is made after the other.',
            )
          }
          options={[
            { value: 'batch', label: 'All together' },
            { value: 'cover', label: 'Cover by cover' },
          ]}
        />
        <p className={s.far}>
          {made} of {turns.length} {turns.length === 1 ? 'step' : 'steps'} done
        </p>
        <PrintSheet sheet="making-sheet">Print the making sheet</PrintSheet>
        <Saves label="the time log" base={`/api/jobs/${id}/tables/time-log`} as={['csv', 'xlsx']} />
        <Turns turns={turns} at={turn.id} pick={(each) => moveTo(each, '', false)} />
      </aside>
      <AtBench
        key={turn.id}
        turn={turn}
        at={open ?? (bench.at?.turn === turn.id ? bench.at : undefined)}
        place={place}
        away={failed ? away : ''}
        of={turns.length}
        asked={asked && unsettled}
        ahead={ahead}
        steps={turns.filter((each) => each.item === turn.item && each.first === turn.first)}
        allMade={made === turns.length}
        next={() => next()}
        back={place > 0 ? back : undefined}
        jump={(to) => {
          const onto = turns.find((each) => each.id === to)
          if (onto) moveTo(onto, '', false)
        }}
      />
    </div>
  )
}
