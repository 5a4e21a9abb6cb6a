import { useQuery } from '@tanstack/react-query'
import { answer, api } from '../api/client'

/** What a thing is called in this workroom, by this program's own word for it. */
export function useWord(term: string): string {
  const words = useQuery({ queryKey: ['workroom'], queryFn: () => answer(api.GET('/api/workroom')) }).data?.words
  return words?.[term] ?? term
}
