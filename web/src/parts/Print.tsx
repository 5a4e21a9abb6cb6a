import { Button } from 'antd'
import { useState, type MouseEvent } from 'react'
import { ToPrinter } from './ToPrinter'
import { notSaved, type Saving } from './beforePrint'
import { keptPaper } from './keptPaper'

interface Props {
  href: string
  children: string
  /** What the file is called at the printer; as the button says otherwise. */
  name?: string
  /** What keeps what is typed from being part of what is printed; nothing where all of it is. */
  saving?: Saving | undefined
}

/** The sheet that is chosen for drawings on this device, where a sheet can be on it; else the workroom's usual one. */
export const sheetPaper = () => {
  const paper = keptPaper()
  return paper === 'letter' || paper === 'a4' ? paper : undefined
}

/** Opens a sheet as it is printed, from where the browser's own viewer prints it. Also by the browser's key for printing. */
export function Print({ href, children, name = children, saving }: Props) {
  const [isLate, setIsLate] = useState(false)
  const open = (event: MouseEvent) => {
    setIsLate(false)
    if (!saving || saving.isDone()) return
    event.preventDefault()
    void saving.done().then((done) => {
      if (done) window.open(href, '_blank', 'noopener')
      setIsLate(!done)
    })
  }
  return (
    <>
      <Button href={href} target="_blank" rel="noopener" data-print="" onClick={open}>
        {children}
      </Button>
      <ToPrinter href={href} name={name} saving={saving} />
      {isLate && (
        <span className="problem" role="alert">
          {notSaved}
        </span>
      )}
    </>
  )
}

/** The browser's key for printing prints the sheet of the view, never the page. */
export function printsSheets() {
  window.addEventListener('keydown', (event) => {
    if (event.key !== 'p' || !(event.ctrlKey || event.metaKey) || event.shiftKey || event.altKey) return
    const sheet = document.querySelector<HTMLElement>('[data-print]')
    if (!sheet) return
    event.preventDefault()
    sheet.click()
  })
}
