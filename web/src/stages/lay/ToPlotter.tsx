import { useQueryClient } from '@tanstack/react-query'
import { Button } from 'antd'
import { useState } from 'react'
import { Link } from 'react-router'
import { answer, api } from '../../api/client'
import { useScene } from '../../job/scene'
import { told } from '../../parts/told'

/** Sends the lay of a cloth to the cutting plotter; what it says is told here, and nothing waits for it. */
export function ToPlotter({ cloth }: { cloth: string }) {
  const id = useScene((scene) => scene.id)
  const queries = useQueryClient()
  const [sent, setSent] = useState('')
  const [problem, setProblem] = useState('')
  const send = async () => {
    setSent('')
    try {
      const state = await answer(api.POST('/api/jobs/{id}/cloths/{cloth}/plot', { params: { path: { id, cloth } } }))
      setProblem('')
      setSent(
        state.windows === 1
          ? 'The plotter is cutting it.'
          : `The plotter is cutting it, in ${state.windows} windows of its bed.`,
      )
    } catch (error) {
      setProblem(told(error))
    }
    await queries.invalidateQueries({ queryKey: ['plotter'] })
  }
  return (
    <>
      <Button onClick={() => void send()}>Send it to the plotter</Button>
      {sent && (
        <span role="status">
          {sent} <Link to="/devices">Look</Link>
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
