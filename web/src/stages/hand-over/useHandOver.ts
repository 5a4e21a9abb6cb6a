import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useDeferredValue } from 'react'
import { answer, api } from '../../api/client'
import { useDocument } from '../../job/scene'
import { identity } from '../../parts/identity'

/** What can be said today of the covers of the job. */
export function useHandOver() {
  const document = useDeferredValue(useDocument())
  return useQuery({
    queryKey: ['hand-over', identity(document)],
    queryFn: ({ signal }) => answer(api.POST('/api/hand-over', { body: document, signal })),
    placeholderData: keepPreviousData,
    gcTime: 10_000,
    retry: true,
    retryDelay: (failures) => Math.min(4_000, 500 * 2 ** failures),
  })
}

/** Every care mark there is. */
export const useCareMarks = () =>
  useQuery({
    queryKey: ['care-marks'],
    queryFn: () => answer(api.GET('/api/care-marks')),
    staleTime: Infinity,
  }).data ?? []

/** What the workroom states: its postcode, and statements to begin from. */
export const useStates = () =>
  useQuery({ queryKey: ['states'], queryFn: () => answer(api.GET('/api/workroom/hand-over')), staleTime: 0 })
