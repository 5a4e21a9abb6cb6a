import { Button } from 'antd'
import { useState } from 'react'
import { Link } from 'react-router'
import { answer, api } from '../api/client'
import { told } from '../parts/told'

/** The letters about a batch, opened as they are printed. */
export function Letters({ batch, text }: { batch: string; text: string }) {
  const [problem, setProblem] = useState('')
  const [written, setWritten] = useState('')
  const open = async () => {
    setProblem('')
    try {
      const pdf = await answer(api.POST('/api/recall/letters.pdf', { body: { batch, text }, parseAs: 'blob' }))
      window.open(URL.createObjectURL(pdf), '_blank')
    } catch (error) {
      setProblem(told(error))
    }
  }
  const mail = async () => {
    setProblem('')
    try {
      const done = await answer(api.POST('/api/recall/mail', { body: { batch, text } }))
      setWritten(
        [
          `${done.written} ${done.written === 1 ? 'letter lies' : 'letters lie'} in the mail room.`,
          ...(done.withoutAddress.length > 0
            ? [`Without an address for mail: ${done.withoutAddress.join(', ')}.`]
            : []),
        ].join(' '),
      )
    } catch (error) {
      setProblem(told(error))
    }
  }
  return (
    <>
      <Button data-print="" onClick={() => void open()}>
        Print the letters
      </Button>
      <Button onClick={() => void mail()}>Mail the letters</Button>
      {written !== '' && (
        <span role="status">
          {written} <Link to="/devices">Look</Link>
        </span>
      )}
      {problem && (
        <span className="problem" role="alert">
          {problem}
        </span>
      )}
    </>
  )
}
