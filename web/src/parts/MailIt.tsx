import { useQueryClient } from '@tanstack/react-query'
import { Button, Input } from 'antd'
import { useState } from 'react'
import { Link } from 'react-router'
import { answer, api, Refused, type WriteLetter } from '../api/client'
import { Dialog } from './Dialog'
import { told } from './told'
import s from './mail-it.module.css'

interface Props {
  /** What the button says. */
  children: string
  to: string
  subject: string
  text: string
  /** What goes with it. */
  enclose: WriteLetter['with']
}

/** Writes a letter with a sheet or paper into the tray of the mail room. */
export function MailIt({ children, ...letter }: Props) {
  const [open, setOpen] = useState(false)
  const [done, setDone] = useState(false)
  return (
    <>
      <Button onClick={() => setOpen(true)}>{children}</Button>
      {done && (
        <span role="status">
          It lies in the mail room. <Link to="/devices">Look</Link>
        </span>
      )}
      {open && (
        <Writing
          {...letter}
          close={(written) => {
            setOpen(false)
            setDone(written)
          }}
        />
      )}
    </>
  )
}

function Writing({
  to: begun,
  subject: about,
  text: said,
  enclose,
  close,
}: Omit<Props, 'children'> & { close: (written: boolean) => void }) {
  const queries = useQueryClient()
  const [to, setTo] = useState(begun)
  const [subject, setSubject] = useState(about)
  const [text, setText] = useState(said)
  const [problem, setProblem] = useState<{ field: string; told: string }>()
  const write = async () => {
    try {
      const letters = await answer(api.POST('/api/devices/mail', { body: { to, subject, text, with: enclose } }))
      queries.setQueryData(['letters'], letters)
      close(true)
    } catch (error) {
      const first = error instanceof Refused ? error.problems[0] : undefined
      setProblem({
        field: first?.field ?? '',
        told: first ? `${first.reason}; for example ${first.example}` : told(error),
      })
    }
  }
  return (
    <Dialog title="A letter" close={() => close(false)}>
      <form
        className={s.letter}
        onSubmit={(event) => {
          event.preventDefault()
          void write()
        }}
      >
        <label>
          To
          <Input
            value={to}
            data-first=""
            status={problem?.field === 'to' ? 'error' : ''}
            onChange={(event) => setTo(event.currentTarget.value)}
          />
        </label>
        <label>
          About
          <Input value={subject} onChange={(event) => setSubject(event.currentTarget.value)} />
        </label>
        <label>
          What it says
          <Input.TextArea
            autoSize={{ minRows: 4, maxRows: 10 }}
            value={text}
            onChange={(event) => setText(event.currentTarget.value)}
          />
        </label>
        {problem && (
          <p className="problem" role="alert">
            {problem.told}
          </p>
        )}
        <Button type="primary" htmlType="submit">
          Put it in the mail room
        </Button>
      </form>
    </Dialog>
  )
}
