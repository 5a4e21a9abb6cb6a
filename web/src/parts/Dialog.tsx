import { useEffect, useId, useRef, type ReactNode } from 'react'
import { Button } from 'antd'

interface Props {
  title: string
  children: ReactNode
  /** Leaves the dialog; without it the dialog must be answered. */
  close?: () => void
  footer?: ReactNode
}

/** A modal sheet of the browser's own: focus stays inside, Esc leaves, and focus returns. The field marked data-first has it at once. */
export function Dialog({ title, children, close, footer }: Props) {
  const sheet = useRef<HTMLDialogElement>(null)
  const id = useId()
  useEffect(() => {
    const open = sheet.current
    open?.showModal()
    open?.querySelector<HTMLElement>('[data-first]')?.focus()
    return () => open?.close()
  }, [])
  return (
    <dialog
      ref={sheet}
      aria-labelledby={id}
      onCancel={(event) => {
        event.preventDefault()
        close?.()
      }}
    >
      <header>
        <h2 id={id}>{title}</h2>
        {close && <Button onClick={close}>Close</Button>}
      </header>
      {children}
      {footer && <footer>{footer}</footer>}
    </dialog>
  )
}
