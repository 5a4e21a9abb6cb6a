import { useState, type ReactNode } from 'react'

interface Props {
  summary: ReactNode
  className: string | undefined
  /** Opens by itself once something stands in it. */
  asked?: boolean
  children: ReactNode
}

/** What is folded away until somebody looks: until then nothing of it is drawn, so that it costs nothing while somebody types. */
export function Folded({ summary, className, asked = false, children }: Props) {
  const [open, setOpen] = useState(asked)
  const [was, setWas] = useState(asked)
  if (was !== asked) {
    setWas(asked)
    if (asked) setOpen(true)
  }
  return (
    <details className={className} open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary>{summary}</summary>
      {open && children}
    </details>
  )
}
