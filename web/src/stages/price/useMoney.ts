import { useQueryClient } from '@tanstack/react-query'
import { answer, api, type JobMoney } from '../../api/client'
import { useKept } from '../../parts/useKept'

/** The price sheet and the papers of a job. */
export function useMoney(job: string) {
  const queries = useQueryClient()
  const key = ['money', job]
  const params = { params: { path: { id: job } } }
  const { view, ...kept } = useKept({
    key,
    read: () => answer(api.GET('/api/jobs/{id}/money', params)),
    write: ({ revision, sheet }: JobMoney) =>
      answer(api.PUT('/api/jobs/{id}/money', { ...params, body: { from: revision, sheet } })),
    of: ({ sheet }) => sheet,
    put: (money, sheet) => ({ ...money, sheet }),
  })
  return { ...kept, money: view, refresh: () => queries.invalidateQueries({ queryKey: key }) }
}
