import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useDeferredValue } from 'react'
import { answer, api } from '../api/client'
import { useDocument } from '../job/scene'
import { identity } from '../parts/identity'

/** An item sewn from its seams, with what the lay prints on it; sewn anew when the document has come to rest. */
export function useSewn(item: string) {
  const job = useDeferredValue(useDocument())
  return useQuery({
    queryKey: ['sewn', identity(job), item],
    queryFn: ({ signal }) => answer(api.POST('/api/sewn', { body: { job, item }, signal })),
    placeholderData: (last, query) => (query?.queryKey[2] === item ? keepPreviousData(last) : undefined),
    gcTime: 10_000,
    retry: false,
  })
}
