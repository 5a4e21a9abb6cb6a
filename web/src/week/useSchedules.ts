import { useQueryClient } from '@tanstack/react-query'
import { useRef, useState } from 'react'
import { answer, api, type JobSchedule } from '../api/client'
import { told } from '../parts/told'

interface Step {
  job: string
  before: JobSchedule
}

const read = (job: string) => answer(api.GET('/api/jobs/{id}/schedule', { params: { path: { id: job } } }))

/** Changes when jobs are made, one change at a time, each from what was said last; and takes changes back. */
export function useSchedules() {
  const queries = useQueryClient()
  const [problem, setProblem] = useState('')
  const [steps, setSteps] = useState<Step[]>([])
  const line = useRef<Promise<unknown>>(Promise.resolve())
  const write = async (job: string, change: (old: JobSchedule) => JobSchedule) => {
    const { revision, schedule } = await read(job)
    await answer(
      api.PUT('/api/jobs/{id}/schedule', {
        params: { path: { id: job } },
        body: { from: revision, schedule: change(schedule) },
      }),
    )
    await Promise.all([
      queries.invalidateQueries({ queryKey: ['week'] }),
      queries.invalidateQueries({ queryKey: ['schedule', job] }),
      queries.invalidateQueries({ queryKey: ['when', job] }),
    ])
    return schedule
  }
  const next = (work: () => Promise<void>) => {
    const run = line.current.then(async () => {
      try {
        await work()
        setProblem('')
      } catch (error) {
        setProblem(told(error))
      }
    })
    line.current = run
    return run
  }
  const edit = (job: string, change: (old: JobSchedule) => JobSchedule) =>
    next(async () => {
      const before = await write(job, change)
      setSteps((old) => [...old.slice(-99), { job, before }])
    })
  const undo = () =>
    next(async () => {
      const last = steps.at(-1)
      if (!last) return
      await write(last.job, () => last.before)
      setSteps((old) => old.slice(0, -1))
    })
  return { edit, undo, canUndo: steps.length > 0, problem }
}
