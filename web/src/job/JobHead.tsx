import { Button, Input, Segmented } from 'antd'
import { useRef } from 'react'
import { Link } from 'react-router'
import { newId, type Unit } from '../api/client'
import { useLight } from '../Look'
import { useScene } from './context'
import type { OpenJob } from './useJob'

/** Name and customer, the unit, undo and redo, light, and how saving stands. */
export function JobHead() {
  const { job, ask } = useScene()
  const { document } = job
  const { light, turn } = useLight()
  const step = useRef('')
  const text = (key: 'name' | 'customer', label: string) => (
    <Input
      variant="borderless"
      className={key}
      aria-label={label}
      placeholder={label}
      value={document[key]}
      onFocus={() => {
        step.current = newId()
      }}
      onChange={(event) => job.edit(step.current, (old) => ({ ...old, [key]: event.currentTarget.value }))}
    />
  )
  return (
    <header className="head">
      <Link to="/" className="word">
        Wrapper
      </Link>
      {text('name', 'Name of the job')}
      {text('customer', 'Customer')}
      <Saving job={job} />
      {job.asked.length > 0 && (
        <Button danger onClick={ask}>
          {job.asked.length} to decide
        </Button>
      )}
      <Button disabled={!job.canUndo} onClick={job.undo} title="Ctrl Z">
        Undo
      </Button>
      <Button disabled={!job.canRedo} onClick={job.redo} title="Ctrl Shift Z">
        Redo
      </Button>
      <Segmented<Unit>
        tabIndex={-1}
        aria-label="Tape"
        name="unit"
        value={document.unit}
        options={[
          { value: 'in', label: '1/16 in' },
          { value: 'in8', label: '1/8 in' },
          { value: 'cm', label: 'cm' },
        ]}
        onChange={(unit) => job.edit('', (old) => ({ ...old, unit }))}
      />
      <Button onClick={turn} aria-pressed={light === 'dim'}>
        {light === 'dim' ? 'Bright' : 'Dim'}
      </Button>
    </header>
  )
}

function Saving({ job: { saving, kept, told } }: { job: OpenJob }) {
  const text = { saved: 'Saved', saving: 'Saving', waiting: 'Not saved yet', refused: 'Not saved' }[saving.is]
  const stopped = saving.is === 'waiting' || saving.is === 'refused'
  const where = kept
    ? 'Your changes are kept in this browser.'
    : 'This browser does not let them be kept: leave this page open until they are saved.'
  return (
    <p className={`saving ${saving.is}`} role="status" data-testid="saving">
      {text}
      {stopped && (
        <small>
          {saving.why} {where}
        </small>
      )}
      {saving.is === 'saving' && !kept && <small>{where}</small>}
      {told && <small>{told}</small>}
    </p>
  )
}
