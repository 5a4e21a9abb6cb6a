import { useQuery } from '@tanstack/react-query'
import { answer, api } from '../api/client'
import { SheetPages } from '../parts/SheetPages'

/** A paper as it was given out, page by page. */
export function PaperPages({ id }: { id: string }) {
  const pages = useQuery({
    queryKey: ['paper', id, 'pages'],
    queryFn: () => answer(api.GET('/api/papers/{paper}/pages', { params: { path: { paper: id } } })),
    // What was given out stays as it is.
    staleTime: Infinity,
  })
  return pages.data ? <SheetPages sheet={pages.data} /> : null
}
