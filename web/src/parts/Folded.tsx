import { useState, type ReactNode } from 'react'
import { usePrinting } from './usePrinting'

interface Props {
  summary: ReactNode
  className: string | undefined
  /** Opens by itself once something stands in it. */
  asked?: boolean
  /** Stands on the print, folded or not. */
  printed?: boolean
  children: ReactNode
}

/** What is folded away until somebody looks: until then nothing of it is drawn, so that it costs nothing while somebody types. */
export function Folded({ summary, className, asked = false, printed = false, children }: Props) {
  const [open, setOpen] = useState(asked)
  const [was, setWas] = useState(asked)
  if (was !== asked) {
    setWas(asked)
    if (asked) setOpen(true)
  }
  const printing = usePrinting(printed)
  return (
    <details
      className={className}
      open={open || printing}
      onToggle={(event) => !printing && setOpen(event.currentTarget.open)}
    >
      <summary>{summary}</summary>
      {(open || printing) && children}
    </details>
  )
}
