import { clsx } from 'clsx'
import { Button, Input, Segmented, Tooltip } from 'antd'
import { memo, useRef } from 'react'
import { Link } from 'react-router'
import { newId, type Unit } from '../api/client'
import { useLight } from '../parts/Look'
import { beside } from './stages'
import { CustomerField } from '../workroom/CustomerField'
import { useEdit, useScene, useUnit } from './scene'
import s from './JobHead.module.css'

/** Name and customer, the unit, undo and redo, light, and how saving stands. */
export const JobHead = memo(function JobHead() {
  const { light, switchLight } = useLight()
  return (
    <header className={s.head}>
      <Link to="/" className={s.word}>
        Wrapper
      </Link>
      <TextField part="name" label="Name of the job" />
      <CustomerField />
      <ToPrice />
      <Saving />
      <ToDecide />
      <Steps />
      <Tape />
      <Button onClick={switchLight} aria-pressed={light === 'dim'}>
        {light === 'dim' ? 'Bright' : 'Dim'}
      </Button>
    </header>
  )
})

function TextField({ part, label }: { part: 'name' | 'customer'; label: string }) {
  const value = useScene((scene) => scene.job.document[part])
  const edit = useEdit()
  const step = useRef('')
  return (
    <Input
      variant="borderless"
      {...(s[part] && { className: s[part] })}
      aria-label={label}
      placeholder={label}
      value={value}
      onFocus={() => {
        step.current = newId()
      }}
      onChange={(event) => edit(step.current, (job) => void (job[part] = event.currentTarget.value))}
    />
  )
}

function ToPrice() {
  const id = useScene((scene) => scene.id)
  return (
    <Link to={`/jobs/${id}/${beside.key}`} className={s.beside}>
      Price
    </Link>
  )
}

function ToDecide() {
  const asked = useScene((scene) => scene.job.asked.length)
  const ask = useScene((scene) => scene.ask)
  return (
    asked > 0 && (
      <Button danger onClick={ask}>
        {asked} to decide
      </Button>
    )
  )
}

function Steps() {
  const canUndo = useScene((scene) => scene.job.canUndo)
  const canRedo = useScene((scene) => scene.job.canRedo)
  const undo = useScene((scene) => scene.job.undo)
  const redo = useScene((scene) => scene.job.redo)
  return (
    <>
      <Tooltip title="Ctrl Z">
        <Button disabled={!canUndo} onClick={undo}>
          Undo
        </Button>
      </Tooltip>
      <Tooltip title="Ctrl Shift Z">
        <Button disabled={!canRedo} onClick={redo}>
          Redo
        </Button>
      </Tooltip>
    </>
  )
}

function Tape() {
  const unit = useUnit()
  const edit = useEdit()
  return (
    <Segmented<Unit>
      tabIndex={-1}
      aria-label="Tape"
      name="unit"
      value={unit}
      options={[
        { value: 'in', label: '1/16 in' },
        { value: 'in8', label: '1/8 in' },
        { value: 'cm', label: 'cm' },
      ]}
      onChange={(unit) => edit('', (job) => void (job.unit = unit))}
    />
  )
}

function Saving() {
  const saving = useScene((scene) => scene.job.saving)
  const kept = useScene((scene) => scene.job.kept)
  const told = useScene((scene) => scene.job.told)
  const text = { saved: 'Saved', saving: 'Saving', waiting: 'Not saved yet', refused: 'Not saved' }[saving.is]
  const stopped = saving.is === 'waiting' || saving.is === 'refused'
  const where = kept
    ? 'Your changes are kept in this browser.'
    : 'This browser does not let them be kept: leave this page open until they are saved.'
  return (
    <p className={clsx(s.saving, s[saving.is])} role="status" data-testid="saving">
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
