import type { JobDocument } from '../../api/client'

type StepLog = JobDocument['making']['steps'][number]
type CheckLog = JobDocument['making']['checks'][number]

/** Writes into what is known of a step, which is there from then on. */
export function logStep(document: JobDocument, id: string, change: (log: StepLog) => void) {
  const { steps } = document.making
  let log = steps.find((each) => each.id === id)
  if (!log) {
    steps.push({ id, done: 0, seconds: 0, began: '', took: '', kind: '', reckoned: 0, note: '' })
    log = steps[steps.length - 1]
  }
  if (log) change(log)
}

/** Writes into what was answered to a check. */
export function logCheck(document: JobDocument, id: string, change: (log: CheckLog) => void) {
  const { checks } = document.making
  let log = checks.find((each) => each.id === id)
  if (!log) {
    checks.push({ id, answer: 'open', readings: [], note: '' })
    log = checks[checks.length - 1]
  }
  if (log) change(log)
}

/** Starts the timer of a step at `now`, by the server's clock. */
export const start = (document: JobDocument, id: string, now: number) =>
  logStep(document, id, (log) => {
    if (log.began === '') log.began = new Date(now).toISOString()
  })

/** Stops it: what it ran is added, and nothing where the clock was set back meanwhile. */
export const stop = (document: JobDocument, id: string, now: number) =>
  logStep(document, id, (log) => {
    if (log.began === '') return
    log.seconds += Math.max(0, Math.round((now - Date.parse(log.began)) / 1000))
    log.began = ''
  })
