import { Button, Input, Segmented } from 'antd'
import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { answer, api, Refused, type Unit, type Workroom } from '../api/client'
import s from './Home.module.css'

interface Props {
  workroom: Workroom
  /** What the button says. */
  action: string
  done: () => void
}

/** What the workroom is called and how it measures. */
export function WorkroomForm({ workroom, action, done }: Props) {
  const queries = useQueryClient()
  const [name, setName] = useState(workroom.name)
  const [unit, setUnit] = useState<Unit>(workroom.unit)
  const [problem, setProblem] = useState('')
  const tell = async () => {
    try {
      queries.setQueryData(['workroom'], await answer(api.PUT('/api/workroom', { body: { name, unit } })))
      done()
    } catch (error) {
      const told = error instanceof Refused ? error.problems[0] : undefined
      setProblem(
        told
          ? `${told.reason}. For example ${told.example}.`
          : error instanceof Refused
            ? error.message
            : 'The server does not answer. Try again.',
      )
    }
  }
  return (
    <form
      className={s.workroom}
      onSubmit={(event) => {
        event.preventDefault()
        void tell()
      }}
    >
      <label htmlFor="workroom-name">The workroom is called</label>
      <Input
        id="workroom-name"
        data-first
        autoFocus
        value={name}
        placeholder="As it stands on what you print"
        maxLength={120}
        aria-invalid={problem !== ''}
        onChange={(event) => {
          setName(event.currentTarget.value)
          setProblem('')
        }}
      />
      <span id="workroom-unit">New jobs are measured in</span>
      <Segmented
        aria-labelledby="workroom-unit"
        name="workroom-unit"
        value={unit}
        options={[
          { value: 'in', label: 'inches' },
          { value: 'cm', label: 'centimetres' },
        ]}
        onChange={setUnit}
      />
      {problem && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
      <Button type="primary" htmlType="submit">
        {action}
      </Button>
    </form>
  )
}
