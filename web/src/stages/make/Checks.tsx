import { Button, Input } from 'antd'
import { clsx } from 'clsx'
import { useEffect } from 'react'
import { unitWord, type Bench } from '../../api/client'
import { useDocument, useEdit, useUnit } from '../../job/scene'
import { logCheck, logFit } from './logging'
import s from './make.module.css'

type Check = NonNullable<Bench['at']>['checks'][number]
type Answer = 'holds' | 'off' | 'redo' | 'accepted'

interface Props {
  checks: Check[]
  covers: number
  /** Whether somebody wanted to go on while one of them is not settled. */
  asked: boolean
}

// One check over all covers of the turn: its name among the checks of the step.
const nameOf = (check: Check) => check.id.split('/').at(-2) ?? ''

const told = {
  open: '',
  holds: 'holds',
  off: 'does not hold',
  redo: 'to be done again',
  accepted: 'accepted as it is',
}

/** What is looked at and measured at this step. A digit answers the line of that number; figures are typed, Enter goes on. */
export function Checks({ checks, covers, asked }: Props) {
  const edit = useEdit()
  const names = [...new Set(checks.map(nameOf))]
  const answer = (of: Check[], to: Answer, did: string) =>
    edit(
      '',
      (document) => {
        for (const check of of) logCheck(document, check.id, (log) => (log.answer = to))
      },
      did,
    )
  const decide = (check: Check, to: Answer) =>
    answer([check], to, to === 'redo' ? 'It is done again.' : 'It stays as it is.')
  const undecided = checks.filter((check) => check.verdict === 'off')
  // A digit for each line, then two for each decision that is asked for.
  const acts = [
    ...names.map((name) => () => {
      const own = checks.filter((check) => nameOf(check) === name)
      if (own[0]?.reads) {
        const fields = [...document.querySelectorAll<HTMLInputElement>(`[data-check="${name}"] [data-verdict] input`)]
        const field = fields.find((each) => each.value === '') ?? fields[0]
        field?.focus()
      } else answer(own, 'holds', `${own[0]?.text ?? ''} Yes.`)
    }),
    ...undecided.flatMap((check) => [() => decide(check, 'redo'), () => decide(check, 'accepted')]),
  ]
  const lines = names.map((name, at) => {
    const own = checks.filter((check) => nameOf(check) === name)
    const [first] = own
    if (!first) return null
    const off = own.some((check) => check.verdict === 'off')
    return (
      <li
        key={name}
        data-check={name}
        className={clsx(s.check, asked && own.some((each) => !each.settled) && s.wanted)}
      >
        <p className={s.question}>
          <kbd>{at + 1}</kbd> {first.text}
          {first.target && (
            <b className="finished">
              {first.target.text} <small>± {first.tolerance}</small>
            </b>
          )}
        </p>
        {first.reads ? own.map((check) => <Readings key={check.id} check={check} covers={covers} />) : null}
        {!first.reads && (
          <p className={s.answers}>
            <Button
              type={own.every((each) => each.verdict === 'holds') ? 'primary' : 'default'}
              aria-pressed={own.every((each) => each.verdict === 'holds')}
              onClick={() => {
                answer(own, 'holds', `${first.text} Yes.`)
              }}
            >
              {covers > 1 ? `Yes, all ${covers}` : 'Yes'}
            </Button>
            <Button
              aria-pressed={off}
              onClick={() => {
                answer(own, 'off', `${first.text} No.`)
              }}
            >
              No
            </Button>
            {covers > 1 && !own.every((each) => each.verdict === own[0]?.verdict) && (
              <span>{own.map((each) => `cover ${each.cover} ${told[each.verdict]}`).join(', ')}</span>
            )}
          </p>
        )}
        {own.map(
          (check) =>
            (check.verdict === 'off' || check.verdict === 'redo' || check.verdict === 'accepted') && (
              <Off
                key={check.id}
                check={check}
                covers={covers}
                digit={names.length + 1 + 2 * undecided.indexOf(check)}
                answer={(to) => decide(check, to)}
              />
            ),
        )}
        {asked && own.some((each) => each.isGate && each.verdict === 'open') && (
          <p className="problem" role="alert">
            Answer this first: what is trimmed or filled cannot be let out.
          </p>
        )}
      </li>
    )
  })
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      const { target, key } = event
      if (
        !/^[1-9]$/.test(key) ||
        event.altKey ||
        event.ctrlKey ||
        (target instanceof HTMLElement && /^(INPUT|TEXTAREA)$/.test(target.tagName)) ||
        document.querySelector('[role=dialog]')
      )
        return
      const run = acts[Number(key) - 1]
      if (!run) return
      event.preventDefault()
      run()
    }
    window.addEventListener('keydown', pressed)
    return () => window.removeEventListener('keydown', pressed)
  })
  if (checks.length === 0) return null
  return (
    <section className={s.checks} aria-label="Checks">
      <h3>Before the next step</h3>
      <ol>{lines}</ol>
    </section>
  )
}

// The figures of one cover, place by place.
function Readings({ check, covers }: { check: Check; covers: number }) {
  const unit = useUnit()
  const edit = useEdit()
  const typed = useDocument().making.checks.find((log) => log.id === check.id)?.readings ?? check.readings
  const write = (place: number, value: string) =>
    edit(`read ${check.id} ${place}`, (document) =>
      logCheck(document, check.id, (log) => {
        while (log.readings.length < check.places.length) log.readings.push({ typed: '', unit })
        log.readings[place] = { typed: value, unit }
        // A new figure is judged anew.
        log.answer = 'open'
      }),
    )
  return (
    <div className={s.readings} data-verdict={check.verdict}>
      {covers > 1 && <b>{check.cover}</b>}
      {check.places.map((place, n) => {
        const problem = check.problems.find((each) => each.field === `checks.${check.id}.${n}`)
        const label = place || 'Read'
        return (
          <label key={place}>
            <span>
              {label}
              <span className="unseen">{covers > 1 ? `, cover ${check.cover}: ${check.text}` : `: ${check.text}`}</span>
            </span>
            <Input
              value={typed[n]?.typed ?? ''}
              placeholder={unitWord(unit)}
              inputMode="text"
              autoComplete="off"
              status={problem ? 'error' : ''}
              aria-invalid={problem !== undefined}
              onChange={(event) => write(n, event.currentTarget.value)}
              onKeyDown={(event) => {
                if (event.key !== 'Enter' && event.key !== 'Escape') return
                event.preventDefault()
                const fields = [
                  ...(event.currentTarget.closest('li')?.querySelectorAll<HTMLInputElement>('[data-verdict] input') ??
                    []),
                ]
                const next = fields[fields.indexOf(event.currentTarget) + 1]
                if (next && event.key === 'Enter') next.focus()
                else event.currentTarget.blur()
              }}
            />
            {problem && (
              <span className="problem" role="alert">
                {problem.reason}. <span>For example {problem.example}.</span>
              </span>
            )}
          </label>
        )
      })}
      {check.share === null && check.verdict === 'holds' && <b className={s.holds}>holds</b>}
      {check.share !== null && <Share check={check} share={check.share} reading={typed[0]} />}
    </div>
  )
}

// What was found by pull, and the way to the log of fits, from which the workroom's own ratio comes.
function Share({
  check,
  share,
  reading,
}: {
  check: Check
  share: number
  reading: Check['readings'][number] | undefined
}) {
  const edit = useEdit()
  const { making } = useDocument()
  const item = check.id.split('/')[0] ?? ''
  const id = `share ${check.id}`
  const logged = making.fits.some((fit) => fit.id === id)
  if (!reading) return null
  return (
    <p className={s.answers}>
      <b>{share} per cent of the edge</b>
      {logged ? (
        'in the log of fits'
      ) : (
        <Button
          onClick={() =>
            edit(
              '',
              (document) =>
                logFit(document, {
                  id,
                  item,
                  where: 'edge',
                  change: 'found',
                  by: { ...reading },
                  why: 'by pull',
                  subject: check.shareField,
                  found: { typed: `${share}`, unit: reading.unit },
                }),
              'It is in the log of fits.',
            )
          }
        >
          Log it
        </Button>
      )}
    </p>
  )
}

interface OffProps {
  check: Check
  covers: number
  /** What answers the first of its two decisions. */
  digit: number
  answer: (to: Answer) => void
}

// What does not hold: what it means, and what is done about it.
function Off({ check, covers, digit, answer }: OffProps) {
  const edit = useEdit()
  const note = useDocument().making.checks.find((log) => log.id === check.id)?.note ?? ''
  const decided = check.verdict !== 'off'
  return (
    <div className={s.off}>
      <p role="alert">
        {covers > 1 && <b>Cover {check.cover}. </b>}
        {check.told && <b>{check.told}. </b>}
        {check.otherwise}
      </p>
      {decided ? (
        <p>
          <b>{told[check.verdict]}</b>
        </p>
      ) : (
        <p className={s.answers}>
          <Button onClick={() => answer('redo')}>
            <kbd>{digit}</kbd> Do it again
          </Button>
          <Button onClick={() => answer('accepted')}>
            <kbd>{digit + 1}</kbd> Leave it, and note why
          </Button>
        </p>
      )}
      {check.verdict === 'accepted' && (
        <Input.TextArea
          autoSize
          aria-label="Why it stays"
          placeholder="Why it stays, and what was agreed"
          value={note}
          onChange={(event) => {
            const { value } = event.currentTarget
            edit(`why ${check.id}`, (document) => logCheck(document, check.id, (log) => (log.note = value)))
          }}
        />
      )}
    </div>
  )
}
