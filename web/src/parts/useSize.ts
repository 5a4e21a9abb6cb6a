import { useCallback, useState } from 'react'

/** The room that an element has, in pixels; nothing until it is on the page. */
export function useSize() {
  const [size, setSize] = useState<{ width: number; height: number }>()
  const ref = useCallback((element: HTMLElement | null) => {
    if (!element) return undefined
    const observer = new ResizeObserver(() => {
      const [width, height] = [element.clientWidth, element.clientHeight]
      setSize((old) => (old?.width === width && old.height === height ? old : { width, height }))
    })
    observer.observe(element)
    setSize({ width: element.clientWidth, height: element.clientHeight })
    return () => observer.disconnect()
  }, [])
  return { ref, size }
}
