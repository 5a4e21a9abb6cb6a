import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useDeferredValue, useEffect, useMemo, useState } from 'react'
import { answer, api, newId, Refused, type JobDocument, type Plan } from '../api/client'
import { Drafts } from './drafts'
import { identity } from '../parts/identity'

export interface JobPlan {
  /** Drafts of the document as it is; lays of it too once they are there. */
  plan: Plan | undefined
  /** Whether the lays shown are still those of an earlier document. */
  stale: boolean
  /** Whether the drafts shown are of the document as it is. */
  drafted: boolean
  /** How many lays are worked on before this one; 0 while it is worked on or there is none. */
  waiting: number
  /** Why the lays of the document as it is could not be made; empty while they can. */
  failed: string
}

// Somebody who waits longer than this is told why.
const soon = 1500

// A server that is away is asked again until it is back; what it refuses it would refuse again.
const untilAnswered = {
  retry: (_: number, error: Error) => !(error instanceof Refused && error.status < 500),
  retryDelay: (failures: number) => Math.min(4_000, 500 * 2 ** failures),
}

// A document is sent when the frame of the key that changed it is out; one that is typed over by then is not sent at all.
const afterFrame = async (signal: AbortSignal) => {
  await new Promise((go) => setTimeout(go, 20))
  signal.throwIfAborted()
}

/** What there was last, while there is nothing newer. */
function useLast<T>(data: T | undefined): T | undefined {
  const [last, setLast] = useState(data)
  if (data !== undefined && data !== last) setLast(data)
  return data ?? last
}

/** The place in line of a call that is on its way, asked again and again. */
function usePlaceInLine(call: string, isAway: boolean): number {
  const [late, setLate] = useState('')
  useEffect(() => {
    if (!isAway) return
    const timer = setTimeout(() => setLate(call), soon)
    return () => clearTimeout(timer)
  }, [call, isAway])
  const place = useQuery({
    queryKey: ['waiting', call],
    queryFn: () => answer(api.GET('/api/waiting/{call}', { params: { path: { call } } })),
    enabled: isAway && late === call,
    refetchInterval: soon,
    gcTime: 0,
  })
  return isAway && late === call ? (place.data?.place ?? 0) : 0
}

/**
 * Plans the document: drafts first, then lays. Superseded calls are aborted; the old lay stays until the new one is there.
 * Differences of cloth are told against what was bought when the current `step` began.
 */
export function usePlan(document: JobDocument, step: string): JobPlan {
  const wanted = useDeferredValue(document)
  const [mark, setMark] = useState<{ step: string; before: number | undefined; bought: number | undefined }>({
    step,
    before: undefined,
    bought: undefined,
  })
  if (mark.step !== step) setMark({ step, before: mark.bought, bought: mark.bought })

  const [call] = useState(newId)
  const [draftsOf] = useState(() => new Drafts())
  const drafts = useQuery({
    queryKey: ['drafts', identity(wanted)],
    queryFn: async ({ signal }) => {
      await afterFrame(signal)
      return draftsOf.of(wanted, signal)
    },
    placeholderData: keepPreviousData,
    structuralSharing: false,
    gcTime: 10_000,
    ...untilAnswered,
  })
  const lays = useQuery({
    queryKey: ['lays', identity(wanted), mark.before],
    queryFn: async ({ signal }) => {
      await afterFrame(signal)
      const plan = await answer(
        api.POST('/api/plan', {
          headers: { 'X-Call': call },
          params: {
            query: { lay: 'instant', of: '', ...(mark.before === undefined ? {} : { before: mark.before }) },
          },
          body: wanted,
          signal,
        }),
      )
      // Reading it was a frame's work; comparing it with the last one is another's.
      await afterFrame(signal)
      return plan
    },
    placeholderData: keepPreviousData,
    enabled: !drafts.isPlaceholderData && drafts.isSuccess,
    gcTime: 10_000,
    ...untilAnswered,
  })
  const drafted = useLast(drafts.data)
  const laid = useLast(lays.data)
  const waiting = usePlaceInLine(call, lays.isFetching)
  const settled = lays.data !== undefined && !lays.isPlaceholderData
  const bought = settled ? lays.data.totals?.ticks : mark.bought
  if (bought !== mark.bought) setMark({ ...mark, bought })

  const plan = useMemo(
    () =>
      drafted && {
        ...drafted,
        cloths: laid?.cloths ?? drafted.cloths,
        totals: laid?.totals ?? null,
        // What rests on the lays is as far as the lays that are shown.
        stages: drafted.stages.map((each) =>
          each.stage === 'lay' || each.stage === 'buy'
            ? (laid?.stages.find(({ stage }) => stage === each.stage) ?? each)
            : each,
        ),
      },
    [drafted, laid],
  )
  const stale = !settled && laid !== undefined
  const isDrafted = wanted === document && drafts.isSuccess && !drafts.isPlaceholderData
  const failed = (lays.error ?? drafts.error)?.message ?? ''
  return useMemo(
    () => ({ plan, stale, drafted: isDrafted, waiting, failed }),
    [plan, stale, isDrafted, waiting, failed],
  )
}
