import { Button, Modal } from 'antd'
import { useEffect, useRef, type ReactNode } from 'react'

interface Props {
  title: string
  children: ReactNode
  /** Leaves the dialog; without it the dialog must be answered. */
  close?: () => void
  footer?: ReactNode
}

/** A modal sheet: focus stays inside, Esc leaves, and focus returns. The field marked data-first has it at once. */
export function Dialog({ title, children, close, footer }: Props) {
  const inside = useRef<HTMLDivElement>(null)
  const before = useRef(document.activeElement)
  useEffect(() => {
    const from = before.current
    inside.current?.querySelector<HTMLElement>('[data-first]')?.focus()
    return () => {
      if (from instanceof HTMLElement) from.focus()
    }
  }, [])
  return (
    <Modal
      open
      centered
      title={title}
      width={760}
      closable={false}
      keyboard={close !== undefined}
      mask={{ closable: false }}
      {...(close && { onCancel: close })}
      footer={
        <>
          {close && <Button onClick={close}>Close</Button>}
          {footer}
        </>
      }
    >
      <div ref={inside}>{children}</div>
    </Modal>
  )
}
