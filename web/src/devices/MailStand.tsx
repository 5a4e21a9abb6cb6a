import { useQuery, useQueryClient } from '@tanstack/react-query'
import { Button } from 'antd'
import { useState } from 'react'
import { answer, api } from '../api/client'
import { told } from '../parts/told'
import s from './devices.module.css'

/** The mail room: letters in its tray, each opened by a mail program to be sent by hand. */
export function MailStand() {
  const queries = useQueryClient()
  const [problem, setProblem] = useState('')
  const letters = useQuery({ queryKey: ['letters'], queryFn: () => answer(api.GET('/api/devices/mail')), staleTime: 0 })
  if (!letters.data) return null
  const remove = async (id: string) => {
    try {
      const left = await answer(api.DELETE('/api/devices/mail/{id}', { params: { path: { id } } }))
      queries.setQueryData(['letters'], left)
      setProblem('')
    } catch (error) {
      setProblem(told(error))
    }
  }
  return (
    <section className={s.device} aria-label="Mail room">
      <h2>Mail room</h2>
      <p>
        {letters.data.length === 0
          ? 'Its tray is empty. Letters come here from papers, drawings and recalls.'
          : 'Nothing is sent from here: each letter opens in your own mail program, with what goes with it.'}
      </p>
      {problem && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
      <ul aria-label="Letters">
        {letters.data.map((letter) => (
          <li key={letter.id} className={s.letter}>
            <a download href={`/api/devices/mail/${letter.id}.eml`}>
              {letter.subject || 'No subject'}
            </a>
            <span>
              to {letter.to}
              {letter.enclosures.length > 0 && `, with ${letter.enclosures.join(', ')}`}
            </span>
            <Button onClick={() => void remove(letter.id)} aria-label={`Take out ${letter.subject}`}>
              Take out
            </Button>
          </li>
        ))}
      </ul>
    </section>
  )
}
