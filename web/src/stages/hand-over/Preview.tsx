import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useDeferredValue } from 'react'
import { answer, api } from '../../api/client'
import { useDocument } from '../../job/scene'
import { identity } from '../../parts/identity'
import { SheetPages } from '../../parts/SheetPages'

/** What is said now, as it would be printed; a label at its true size. */
export function Preview({ sheet, item }: { sheet: string; item: string | undefined }) {
  const document = useDeferredValue(useDocument())
  const pages = useQuery({
    queryKey: ['sheet', sheet, item, identity(document)],
    queryFn: ({ signal }) =>
      answer(
        api.POST('/api/sheets/{sheet}', {
          params: { path: { sheet }, query: { ...(item && { item }), ...(sheet === 'label' && { paper: sheet }) } },
          body: document,
          signal,
        }),
      ),
    placeholderData: keepPreviousData,
    gcTime: 10_000,
    retry: true,
    retryDelay: (failures) => Math.min(4_000, 500 * 2 ** failures),
  })
  return pages.data ? <SheetPages sheet={pages.data} /> : <p>…</p>
}
