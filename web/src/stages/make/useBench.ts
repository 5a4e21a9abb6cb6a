import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useDeferredValue } from 'react'
import { answer, api } from '../../api/client'
import { useDocument } from '../../job/scene'
import { identity } from '../../parts/identity'

/** The making of the job with the turn `at`, and the server's clock as it is now. */
export function useBench(at: string) {
  const document = useDeferredValue(useDocument())
  const { data, dataUpdatedAt, isPlaceholderData, failureReason } = useQuery({
    queryKey: ['bench', identity(document), at],
    queryFn: ({ signal }) => answer(api.POST('/api/bench', { params: { query: { at } }, body: document, signal })),
    placeholderData: keepPreviousData,
    gcTime: 10_000,
    retry: true,
    retryDelay: (failures) => Math.min(4_000, 500 * 2 ** failures),
  })
  return {
    bench: data,
    fresh: !isPlaceholderData,
    // It is asked again until it answers.
    failed: failureReason?.message ?? '',
    // Devices need not agree on the time; the server's counts.
    ahead: data ? Date.parse(data.now) - dataUpdatedAt : 0,
  }
}
