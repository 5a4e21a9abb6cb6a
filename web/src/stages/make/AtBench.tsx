import { Button, Input } from 'antd'
import { clsx } from 'clsx'
import type { Bench } from '../../api/client'
import { useDocument, useEdit, useScene } from '../../job/scene'
import { Folded } from '../../parts/Folded'
import { Checks } from './Checks'
import { CutHere } from './CutHere'
import { FitForm } from './FitForm'
import { HowTo } from './HowTo'
import { LitPieces } from './LitPieces'
import { logStep } from './logging'
import { OwnWay } from './OwnWay'
import { Timer } from './Timer'
import s from './make.module.css'

interface Props {
  turn: Bench['turns'][number]
  at: Bench['at'] | undefined
  place: number
  /** What to say while the server does not answer; empty while it does. */
  away: string
  of: number
  asked: boolean
  ahead: number
  /** The steps of its item, in order. */
  steps: Bench['turns']
  allMade: boolean
  next: () => void
  back: (() => void) | undefined
  jump: (turn: string) => void
}

const lying = {
  'right-side-up': 'Right side up',
  'wrong-side-up': 'Wrong side up',
  'right-sides-together': 'Right sides together',
}

/** The step on the bench: what to do, on which pieces and edges, with what, and what is looked at before the next one. */
export function AtBench({ turn, at, place, away, of, asked, ahead, steps, allMade, next, back, jump }: Props) {
  const edit = useEdit()
  const go = useScene((scene) => scene.go)
  const note = useDocument().making.steps.find((log) => log.id === turn.step)?.note ?? ''
  const some = turn.quantity > 1
  const which =
    turn.first === turn.last ? `cover ${turn.first} of ${turn.quantity}` : `all ${turn.quantity} covers together`
  return (
    <section className={s.bench} aria-label="On the bench" data-turn={turn.id}>
      <header>
        <p className={s.which}>
          <b>
            {turn.number} {turn.name}
          </b>
          {some && `, ${which}`}
          <span>
            {turn.work} · {place + 1} of {of}
          </span>
        </p>
        <h2 className={clsx(s.text, turn.text.length > 110 && s.long)} aria-live="polite">
          {turn.text}
        </h2>
        {at && at.wayNote !== '' && <p className={s.own}>Your way: {at.wayNote}</p>}
      </header>
      {away && (
        <p className={s.held} role="status">
          {away}
        </p>
      )}
      {at && (
        <>
          {at.heldBy !== '' && (
            <p className={s.held} role="alert">
              Not yet: {at.heldBy} <Button onClick={() => jump(at.heldByTurn)}>Answer that first</Button>
            </p>
          )}
          {at.cautions.length > 0 && (
            <ul className={s.cautions} aria-label="Cautions">
              {at.cautions.map((caution) => (
                <li key={caution}>{caution}</li>
              ))}
            </ul>
          )}
          <div className={s.work}>
            <div className={s.shown}>
              {turn.kind === 'cutting' && at.stacks.length > 0 ? (
                <CutHere stacks={at.stacks} problems={at.problems} />
              ) : (
                <LitPieces pieces={at.pieces} seams={at.seams} />
              )}
            </div>
            <div className={s.looked}>
              {at.lies && (
                <p className={s.lies}>
                  <Layers lies={at.lies} /> {lying[at.lies]}
                </p>
              )}
              {at.setUp && (
                <p className={s.setUp} aria-label="Machine">
                  {(['foot', 'stitch', 'needle', 'thread'] as const).map((part) => (
                    <span key={part} className={at.changed.includes(part) ? s.changed : undefined}>
                      {at.changed.includes(part) && <i>change </i>}
                      {at.setUp?.[part]}
                      {part === 'needle' && ' needle'}
                    </span>
                  ))}
                </p>
              )}
              <Checks checks={at.checks} covers={turn.last - turn.first + 1} asked={asked} />
              {at.how.length > 0 && <HowTo how={at.how} />}
              <Folded className={s.noting} summary={note ? 'Your note' : 'Note something'} asked={note !== ''}>
                <Input.TextArea
                  aria-label="Note at this step"
                  autoSize
                  value={note}
                  onChange={(event) => {
                    const { value } = event.currentTarget
                    edit(`note ${turn.step}`, (document) => logStep(document, turn.step, (log) => (log.note = value)))
                  }}
                />
              </Folded>
              {(turn.kind === 'fitting' ||
                turn.kind === 'preparing' ||
                at.checks.some((each) => each.verdict === 'off')) && (
                <FitForm turn={turn} asked={at.checks.some((each) => each.isGate && each.verdict === 'off')} />
              )}
              <OwnWay turn={turn} at={at} steps={steps} />
            </div>
          </div>
          <footer className={s.onward}>
            <Button size="large" disabled={!back} onClick={back}>
              Back
            </Button>
            <Timer at={at} ahead={ahead} />
            {turn.done && (
              <Button
                size="large"
                onClick={() =>
                  edit(
                    '',
                    (document) => logStep(document, turn.step, (log) => (log.done = turn.first - 1)),
                    'Not done after all.',
                  )
                }
              >
                Not done after all
              </Button>
            )}
            {allMade ? (
              <Button type="primary" size="large" onClick={() => go('hand-over')}>
                All made: hand over
              </Button>
            ) : (
              <Button type="primary" size="large" {...(s.next !== undefined && { className: s.next })} onClick={next}>
                {turn.done ? 'Next' : 'Done, next'} <kbd>space</kbd>
              </Button>
            )}
          </footer>
        </>
      )}
    </section>
  )
}

// Two layers seen from their edge, the right side of each drawn as weave.
function Layers({ lies }: { lies: NonNullable<NonNullable<Bench['at']>['lies']> }) {
  return (
    <svg viewBox="0 0 64 34" className={s.layers} aria-hidden>
      {lies === 'right-sides-together' ? (
        <>
          <path className={s.wrong} d="M4 12L20 4H60L44 12Z" />
          <path className={s.right} d="M4 14H44V16H4Z" />
          <path className={s.right} d="M4 20L20 18H60L44 26H4Z" />
        </>
      ) : (
        <path className={lies === 'right-side-up' ? s.right : s.wrong} d="M4 28L20 8H60L44 28Z" />
      )}
    </svg>
  )
}
