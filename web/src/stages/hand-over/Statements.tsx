import { useQueryClient } from '@tanstack/react-query'
import { Button, Input } from 'antd'
import { useState } from 'react'
import { answer, api, newId, Refused } from '../../api/client'
import { Folded } from '../../parts/Folded'
import { useStates } from './useHandOver'
import s from './hand-over.module.css'

/** The statements that every record can begin from, in the workroom's own words; what is to be filled in stands in square brackets. */
export function Statements() {
  return (
    <Folded className={s.statements} summary="Change the statements to begin from">
      <Editing />
    </Folded>
  )
}

function Editing() {
  const queries = useQueryClient()
  const states = useStates().data
  const [typed, setTyped] = useState<NonNullable<typeof states>['statements']>()
  const [told, setTold] = useState('')
  if (!states) return null
  const rows = typed ?? states.statements
  const change = (id: string, to: { name?: string; text?: string }) =>
    setTyped(rows.map((row) => (row.id === id ? { ...row, ...to } : row)))
  const keep = async () => {
    try {
      const statements = rows.filter((row) => row.name.trim() !== '' || row.text.trim() !== '')
      queries.setQueryData(
        ['states'],
        await answer(api.PUT('/api/workroom/hand-over', { body: { ...states, statements } })),
      )
      setTyped(undefined)
      setTold('Kept for every job.')
    } catch (error) {
      setTold(error instanceof Refused ? error.message : 'The server does not answer. Nothing was kept: try again.')
    }
  }
  return (
    <>
      {rows.map((row) => (
        <div key={row.id}>
          <Input
            aria-label="What the statement is called"
            placeholder="What it is called"
            value={row.name}
            maxLength={80}
            onChange={(event) => change(row.id, { name: event.currentTarget.value })}
          />
          <Input.TextArea
            aria-label={`Statement: ${row.name}`}
            placeholder="What it says; [what is to be filled in] in square brackets"
            autoSize
            value={row.text}
            maxLength={2000}
            onChange={(event) => change(row.id, { text: event.currentTarget.value })}
          />
          <Button onClick={() => setTyped(rows.filter((each) => each.id !== row.id))}>Take it out</Button>
        </div>
      ))}
      <p className={s.begin}>
        <Button onClick={() => setTyped([...rows, { id: newId(), name: '', text: '' }])}>Another statement</Button>
        <Button type="primary" disabled={typed === undefined} onClick={() => void keep()}>
          Keep the statements
        </Button>
        {told && <span role="status">{told}</span>}
      </p>
    </>
  )
}
