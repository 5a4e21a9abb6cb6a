import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useDeferredValue } from 'react'
import { answer, api } from '../api/client'
import { useDocument, useScene } from './scene'
import { identity } from '../parts/identity'

/** What fittings of an item can be about, and what those that were logged propose for it. */
export function useLearnt(item: string | undefined) {
  const id = useScene((scene) => scene.id)
  const job = useDeferredValue(useDocument())
  return useQuery({
    queryKey: ['learnt', identity(job), item],
    queryFn: ({ signal }) => answer(api.POST('/api/learnt', { body: { id, job, item: item ?? '' }, signal })),
    placeholderData: keepPreviousData,
    enabled: item !== undefined,
    gcTime: 10_000,
  }).data
}
