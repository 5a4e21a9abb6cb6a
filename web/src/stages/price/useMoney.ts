import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useRef, useState } from 'react'
import { answer, api, Refused, type JobMoney, type PriceSheet } from '../../api/client'
import { told } from '../../parts/told'

export const moneyKey = (job: string) => ['money', job]

/** The price sheet and the papers of a job; `edit` changes the sheet here at once and keeps it one change at a time. */
export function useMoney(job: string) {
  const queries = useQueryClient()
  const params = { params: { path: { id: job } } }
  const asked = useQuery({
    queryKey: moneyKey(job),
    queryFn: () => answer(api.GET('/api/jobs/{id}/money', params)),
  })
  const [problem, setProblem] = useState('')
  const line = useRef<Promise<unknown>>(Promise.resolve())
  const set = (money: JobMoney) => queries.setQueryData(moneyKey(job), money)
  const now = () => queries.getQueryData<JobMoney>(moneyKey(job))
  const keep = async () => {
    const money = now()
    if (!money) return
    try {
      const kept = await answer(
        api.PUT('/api/jobs/{id}/money', { ...params, body: { from: money.revision, sheet: money.sheet } }),
      )
      const latest = now()
      // What was typed while it was on its way stays.
      set({ ...kept, sheet: latest && latest.sheet !== money.sheet ? latest.sheet : kept.sheet })
      setProblem('')
    } catch (error) {
      setProblem(told(error))
      if (error instanceof Refused && error.status === 409) await queries.invalidateQueries({ queryKey: moneyKey(job) })
    }
  }
  const edit = (change: (sheet: PriceSheet) => PriceSheet) => {
    const money = now()
    if (!money) return
    set({ ...money, sheet: change(money.sheet) })
    line.current = line.current.then(keep)
  }
  return {
    money: asked.data,
    failed: asked.isError ? told(asked.error) : '',
    problem,
    edit,
    again: () => (line.current = line.current.then(keep)),
    refresh: () => queries.invalidateQueries({ queryKey: moneyKey(job) }),
  }
}
