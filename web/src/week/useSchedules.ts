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
  // What can be taken back as of now: whoever is quick takes back two steps before the page is drawn again.
  const steps = useRef<Step[]>([])
  const [canUndo, setCanUndo] = useState(false)
  const keep = (now: Step[]) => {
    steps.current = now
    setCanUndo(now.length > 0)
  }
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
      keep([...steps.current.slice(-99), { job, before }])
    })
  const undo = () =>
    next(async () => {
      const last = steps.current.at(-1)
      if (!last) return
      await write(last.job, () => last.before)
      keep(steps.current.slice(0, -1))
    })
  return { edit, undo, canUndo, problem }
}
