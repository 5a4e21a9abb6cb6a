import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useRef, useState } from 'react'
import { answer, api, Refused, type PriceBook } from '../api/client'
import type { components } from '../api/schema'
import { told } from '../parts/told'

export type PriceBookView = components['schemas']['PriceBookView']

const key = ['price-book']

/** The price book; `edit` changes it here at once and keeps it one change at a time. */
export function usePriceBook() {
  const queries = useQueryClient()
  const asked = useQuery({ queryKey: key, queryFn: () => answer(api.GET('/api/price-book')) })
  const [problem, setProblem] = useState('')
  const line = useRef<Promise<unknown>>(Promise.resolve())
  const now = () => queries.getQueryData<PriceBookView>(key)
  const keep = async () => {
    const view = now()
    if (!view) return
    try {
      const kept = await answer(api.PUT('/api/price-book', { body: { from: view.revision, book: view.book } }))
      const latest = now()
      queries.setQueryData(key, { ...kept, book: latest && latest.book !== view.book ? latest.book : kept.book })
      setProblem('')
    } catch (error) {
      setProblem(told(error))
      if (error instanceof Refused && error.status === 409) await queries.invalidateQueries({ queryKey: key })
    }
  }
  const edit = (change: (book: PriceBook) => PriceBook) => {
    const view = now()
    if (!view) return
    queries.setQueryData(key, { ...view, book: change(view.book) })
    line.current = line.current.then(keep)
  }
  return {
    view: asked.data,
    failed: asked.isError ? told(asked.error) : '',
    problem,
    edit,
    again: () => (line.current = line.current.then(keep)),
  }
}
