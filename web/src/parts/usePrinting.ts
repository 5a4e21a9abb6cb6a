import { useEffect, useState } from 'react'
import { flushSync } from 'react-dom'

/** Whether the page is being printed: what stands on sheets alone is drawn then, and only where it is wanted. */
export function usePrinting(wanted = true): boolean {
  const [printing, setPrinting] = useState(false)
  useEffect(() => {
    if (!wanted) return undefined
    const [begin, end] = [() => flushSync(() => setPrinting(true)), () => setPrinting(false)]
    window.addEventListener('beforeprint', begin)
    window.addEventListener('afterprint', end)
    return () => {
      window.removeEventListener('beforeprint', begin)
      window.removeEventListener('afterprint', end)
    }
  }, [wanted])
  return printing
}
