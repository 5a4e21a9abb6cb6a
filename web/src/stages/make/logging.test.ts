import { afterEach, describe, expect, it, vi } from 'vitest'
import type { JobDocument } from '../../api/client'
import { logCheck, logFit, logStep, start, stop } from './logging'

const blank = () => ({ making: { order: 'batch', steps: [], fits: [], checks: [] } }) as unknown as JobDocument
const nine = Date.parse('2026-11-26T09:00:00Z')

describe('the log of the making', () => {
  it('adds up the stretches that the timer ran', () => {
    const job = blank()
    start(job, 'a/cutting', nine)
    stop(job, 'a/cutting', nine + 90_000)
    start(job, 'a/cutting', nine + 200_000)
    stop(job, 'a/cutting', nine + 230_400)
    expect(job.making.steps).toEqual([
      { id: 'a/cutting', done: 0, seconds: 120, began: '', took: '', kind: '', reckoned: 0, note: '' },
    ])
  })

  it('goes on from when it was started first, on whichever device', () => {
    const job = blank()
    start(job, 'a/cutting', nine)
    start(job, 'a/cutting', nine + 60_000)
    stop(job, 'a/cutting', nine + 120_000)
    expect(job.making.steps[0]?.seconds).toBe(120)
  })

  it('takes nothing away when the clock was set back, and adds nothing to a timer that stands', () => {
    const job = blank()
    logStep(job, 'a/cutting', (log) => (log.seconds = 300))
    start(job, 'a/cutting', nine)
    stop(job, 'a/cutting', nine - 3_600_000)
    stop(job, 'a/cutting', nine + 3_600_000)
    expect(job.making.steps[0]).toMatchObject({ seconds: 300, began: '' })
  })

  it('keeps one answer of a check', () => {
    const job = blank()
    logCheck(job, 'a/cutting/grain/1', (log) => (log.answer = 'holds'))
    logCheck(job, 'a/cutting/grain/1', (log) => (log.note = 'brushed'))
    expect(job.making.checks).toEqual([{ id: 'a/cutting/grain/1', answer: 'holds', readings: [], note: 'brushed' }])
  })

  it('logs a fit with the make-up and the cloth of that day, by the maker’s calendar', () => {
    vi.useFakeTimers()
    vi.setSystemTime(new Date(2026, 0, 5, 0, 30))
    const job = {
      ...blank(),
      items: [{ id: 'a', makeUp: 'some-cover', cloth: 'c2' }],
      cloths: [
        { id: 'c1', name: 'Plum' },
        { id: 'c2', name: 'Moss' },
      ],
    } as unknown as JobDocument
    const found = { where: 'edge', change: 'found', by: { typed: '1', unit: 'in' }, why: '', subject: '' } as const
    logFit(job, { id: 'f1', item: 'a', found: null, ...found })
    logFit(job, { id: 'f2', item: 'gone', found: null, ...found })
    expect(job.making.fits).toMatchObject([
      { id: 'f1', makeUp: 'some-cover', cloth: 'Moss', date: '2026-01-05' },
      { id: 'f2', makeUp: '', cloth: 'Plum' },
    ])
  })
})

afterEach(() => vi.useRealTimers())
