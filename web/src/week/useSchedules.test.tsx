import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { act } from 'react'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { api, type JobSchedule } from '../api/client'
import { probe } from '../testing/probe'
import { useSchedules } from './useSchedules'

const on = (promised: string) => ({ promised }) as unknown as JobSchedule
const promised = (schedule: JobSchedule) => (schedule as unknown as { promised: string }).promised

// A server that keeps a schedule of each job by its revision, and is away when it is told to be.
let kept: Map<string, { revision: number; schedule: JobSchedule }>
let away: boolean
let writes: string[]
const of = (job: string) => {
  const known = kept.get(job) ?? { revision: 0, schedule: on('') }
  kept.set(job, known)
  return known
}
interface Asked {
  params: { path: { id: string } }
  body: { from: number; schedule: JobSchedule }
}

let page: ReturnType<typeof probe<undefined, ReturnType<typeof useSchedules>>>
const now = () => page.now()

beforeEach(() => {
  kept = new Map()
  away = false
  writes = []
  vi.spyOn(api, 'GET').mockImplementation(((_: string, { params }: Asked) =>
    away
      ? Promise.reject(new TypeError('no network'))
      : Promise.resolve({ data: { ...of(params.path.id) }, response: new Response() })) as never)
  vi.spyOn(api, 'PUT').mockImplementation(((_: string, { params, body }: Asked) => {
    const known = of(params.path.id)
    const stands = known.revision === body.from
    if (stands) kept.set(params.path.id, { revision: known.revision + 1, schedule: body.schedule })
    writes.push(`${params.path.id} ${promised(body.schedule)}${stands ? '' : ' refused'}`)
    const error = { title: 'It was changed elsewhere.' }
    return Promise.resolve(
      stands ? { data: {}, response: new Response() } : { error, response: new Response(null, { status: 409 }) },
    )
  }) as never)
  page = probe(useSchedules, (inner) => <QueryClientProvider client={new QueryClient()}>{inner}</QueryClientProvider>)
  page.show(undefined)
})
afterEach(() => {
  page.gone()
  vi.restoreAllMocks()
})

const edit = (job: string, day: string) => now().edit(job, () => on(day))

test('changes go one after the other, each from what was said last', async () => {
  await act(() => Promise.all([edit('bench', 'Mon'), edit('bench', 'Tue'), edit('bunks', 'Wed')]))
  expect(writes).toEqual(['bench Mon', 'bench Tue', 'bunks Wed'])
  expect(promised(of('bench').schedule)).toBe('Tue')
  expect(now().canUndo).toBe(true)
})

test('two steps are taken back however fast they are asked for', async () => {
  await act(() => Promise.all([edit('bench', 'Mon'), edit('bunks', 'Tue'), edit('bench', 'Wed')]))
  // The same page, not drawn again in between.
  const { undo } = now()
  await act(() => Promise.all([undo(), undo()]))
  expect([promised(of('bench').schedule), promised(of('bunks').schedule)]).toEqual(['Mon', ''])
  await act(() => now().undo())
  expect(promised(of('bench').schedule)).toBe('')
  expect(now().canUndo).toBe(false)
  // There is no more: nothing is written.
  const before = writes.length
  await act(() => now().undo())
  expect(writes).toHaveLength(before)
})

test('what fails is told, is not a step, and does not hold up the next', async () => {
  away = true
  await act(() => edit('bench', 'Mon'))
  expect(now().problem).toMatch(/does not answer/)
  expect(now().canUndo).toBe(false)
  away = false
  await act(() => edit('bench', 'Tue'))
  expect([now().problem, now().canUndo, promised(of('bench').schedule)]).toEqual(['', true, 'Tue'])
})

test('a change from elsewhere in between is told and overwrites nothing', async () => {
  const elsewhere = (old: JobSchedule) => {
    kept.set('bench', { revision: 7, schedule: on('Fri') })
    return old
  }
  await act(() => now().edit('bench', elsewhere))
  expect(writes).toEqual(['bench  refused'])
  expect(promised(of('bench').schedule)).toBe('Fri')
  expect(now().problem).toBe('It was changed elsewhere.')
})
