import { useQuery, useQueryClient, type QueryKey } from '@tanstack/react-query'
import { useRef, useState } from 'react'
import { Refused } from '../api/client'
import { told } from './told'

interface Kept<View, Content> {
  key: QueryKey
  read: () => Promise<View>
  /** Keeps what is there, from the revision that it names; gives it as it is then. */
  write: (now: View) => Promise<View>
  of: (view: View) => Content
  put: (view: View, content: Content) => View
  /** What else is to be asked anew once it is kept. */
  then?: () => Promise<unknown>
}

/**
 * Something that is kept as a whole by its revision: `edit` changes it here at once and keeps it one change at a time;
 * what is typed while a change is on its way stays, and after a conflict it is read anew.
 */
export function useKept<View, Content>({ key, read, write, of, put, then }: Kept<View, Content>) {
  const queries = useQueryClient()
  const asked = useQuery({ queryKey: key, queryFn: read })
  const [problem, setProblem] = useState('')
  const line = useRef<Promise<unknown>>(Promise.resolve())
  const now = () => queries.getQueryData<View>(key)
  const keep = async () => {
    const view = now()
    if (view === undefined) return
    try {
      const kept = await write(view)
      const latest = now() ?? view
      queries.setQueryData(key, of(latest) === of(view) ? kept : put(kept, of(latest)))
      setProblem('')
    } catch (error) {
      setProblem(told(error))
      if (error instanceof Refused && error.status === 409) await queries.invalidateQueries({ queryKey: key })
    }
    await then?.()
  }
  const again = () => (line.current = line.current.then(keep))
  const edit = (change: (content: Content) => Content) => {
    const view = now()
    if (view === undefined) return
    queries.setQueryData(key, put(view, change(of(view))))
    void again()
  }
  return { view: asked.data, failed: asked.isError ? told(asked.error) : '', problem, edit, again }
}
