import { useQueryClient } from '@tanstack/react-query'
import { Input } from 'antd'
import { useId, useState } from 'react'
import { answer, api, Refused } from '../../api/client'
import { useStates } from './useHandOver'

/** The workroom's postcode, the same for every job; kept when the field is left. */
export function Postcode() {
  const id = useId()
  const queries = useQueryClient()
  const states = useStates().data
  const [typed, setTyped] = useState<string>()
  const [problem, setProblem] = useState('')
  const keep = async () => {
    if (!states || typed === undefined || typed === states.postcode) return
    try {
      const kept = await answer(api.PUT('/api/workroom/hand-over', { body: { ...states, postcode: typed.trim() } }))
      queries.setQueryData(['states'], kept)
      setTyped(undefined)
      setProblem('')
      await queries.invalidateQueries({ queryKey: ['hand-over'] })
    } catch (error) {
      setProblem(
        error instanceof Refused
          ? (error.problems[0]?.reason ?? error.message)
          : 'The server does not answer; it is kept when the field is left again.',
      )
    }
  }
  return (
    <div className="entry">
      <label htmlFor={id}>The workroom’s postcode</label>
      <Input
        id={id}
        value={typed ?? states?.postcode ?? ''}
        status={problem ? 'error' : ''}
        onChange={(event) => setTyped(event.currentTarget.value)}
        onBlur={() => void keep()}
        onPressEnter={(event) => event.currentTarget.blur()}
      />
      {problem && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
    </div>
  )
}
