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

type FitLog = JobDocument['making']['fits'][number]

/** Logs what a fitting of an item found, with the make-up and the cloth that it has now. */
export function logFit(document: JobDocument, fit: Omit<FitLog, 'makeUp' | 'cloth' | 'date'>) {
  const item = document.items.find((each) => each.id === fit.item)
  const cloth = document.cloths.find((each) => each.id === item?.cloth) ?? document.cloths[0]
  const now = new Date()
  const two = (n: number) => `${n}`.padStart(2, '0')
  document.making.fits.push({
    ...fit,
    makeUp: item?.makeUp ?? '',
    cloth: cloth?.name ?? '',
    // The day as the maker's calendar has it.
    date: `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`,
  })
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
