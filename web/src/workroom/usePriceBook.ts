import { answer, api } from '../api/client'
import type { components } from '../api/schema'
import { useKept } from '../parts/useKept'

export type PriceBookView = components['schemas']['PriceBookView']

/** The price book. */
export const usePriceBook = () =>
  useKept({
    key: ['price-book'],
    read: () => answer(api.GET('/api/price-book')),
    write: ({ revision, book }: PriceBookView) =>
      answer(api.PUT('/api/price-book', { body: { from: revision, book } })),
    of: ({ book }) => book,
    put: (view, book) => ({ ...view, book }),
  })
