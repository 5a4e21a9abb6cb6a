import { useQuery } from '@tanstack/react-query'

// A browser has six connections to one server; pictures that are still being drawn must not hold them all.
const most = 2

let drawing = 0
const line: (() => void)[] = []

/** Does what costs the server something when its turn comes. */
export async function queued<T>(work: () => Promise<T>): Promise<T> {
  if (drawing >= most) await new Promise<void>((turn) => line.push(turn))
  else drawing++
  try {
    return await work()
  } finally {
    const next = line.shift()
    if (next) next()
    else drawing--
  }
}

/** Fetches a picture when its turn comes, as the address of an image; null where there is none yet. A refusal is thrown, to be asked again. */
export const inTurn = (fetched: () => Promise<Response>, signal: AbortSignal): Promise<string | null> =>
  queued(async () => {
    if (signal.aborted) return null
    const answer = await fetched()
    if (!answer.ok) throw new Error(`no picture: ${answer.status}`)
    return answer.status === 204 ? null : asData(await answer.blob())
  })

const asData = (picture: Blob) =>
  new Promise<string>((told, failed) => {
    const reader = new FileReader()
    reader.onload = () => told(reader.result as string)
    reader.onerror = () => failed(reader.error ?? new Error('unreadable'))
    reader.readAsDataURL(picture)
  })

/** The picture at an address of the server, once it is there; not asked for until it is wanted. */
export function usePicture(address: string, wanted = true): string | undefined {
  return (
    useQuery({
      queryKey: ['picture', address],
      queryFn: ({ signal }) => inTurn(() => fetch(address, { signal }), signal),
      enabled: wanted,
      staleTime: Infinity,
      gcTime: 600_000,
      retry: false,
    }).data ?? undefined
  )
}
