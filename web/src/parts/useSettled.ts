import { useEffect, useState } from 'react'

/** A value once it has stayed the same for so many milliseconds; undefined until it first has. */
export function useSettled<T>(value: T, rest: number): T | undefined {
  const [settled, setSettled] = useState<T>()
  useEffect(() => {
    const timer = setTimeout(() => setSettled(() => value), rest)
    return () => clearTimeout(timer)
  }, [value, rest])
  return settled
}
