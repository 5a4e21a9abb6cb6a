import { Button, Input, Select, Upload } from 'antd'
import { memo, useId, useRef, useState } from 'react'
import { answer, api, newId, Refused, unitWord, type Choice, type MakeUp } from '../../api/client'
import { EntryField } from '../../job/EntryField'
import { useUnit } from '../../job/scene'
import { useItemField } from '../../job/useItemField'
import { FromPhoto } from './FromPhoto'
import s from './measure.module.css'

/** A choice that decides what is measured. */
export const OutlineChoice = memo(function OutlineChoice({ choice }: { choice: Choice }) {
  const jobUnit = useUnit()
  const id = useId()
  const { field, state, write } = useItemField('choices', choice.key)
  if (choice.kind !== 'option')
    return (
      <div>
        <EntryField
          name={field}
          label={choice.name}
          state={state}
          write={write}
          unit={choice.kind === 'length' ? unitWord(jobUnit) : ''}
        />
      </div>
    )
  return (
    <div className={s.outlineChoice}>
      <label htmlFor={id}>{choice.name}</label>
      <Select
        id={id}
        data-choice={choice.key}
        value={state.entry?.typed ?? choice.default}
        listHeight={420}
        options={choice.options.map((option) => ({ value: option.key, label: option.name, title: option.suits }))}
        onChange={(option) => write(option, '')}
      />
      {state.problem && (
        <p className="problem" role="alert">
          {state.problem.reason}.
        </p>
      )}
    </div>
  )
})

// What the server takes, with room for what quotes it.
const mostDrawn = 3 * 1024 * 1024

/** A traced outline: points and arcs written down, or the path of an SVG drawing. */
export function TraceField({ measure }: { measure: MakeUp['measures'][number] }) {
  const id = useId()
  const step = useRef('')
  const unit = useUnit()
  const [failed, setFailed] = useState('')
  const { field, state, write } = useItemField('measures', measure.key)
  const readDrawing = async (drawing: File) => {
    if (drawing.size > mostDrawn) {
      setFailed(`${drawing.name} is larger than 3 MB: save the outline alone.`)
      return
    }
    try {
      const text = await drawing.text()
      const isDxf = drawing.name.toLowerCase().endsWith('.dxf')
      const { path } = await answer(
        api.POST('/api/outlines', { body: { svg: isDxf ? null : text, dxf: isDxf ? text : null, unit } }),
      )
      write(path, newId())
      setFailed('')
    } catch (error) {
      setFailed(
        error instanceof Refused
          ? (error.problems[0]?.reason ?? error.message)
          : 'The server does not answer. Try again.',
      )
    }
  }
  return (
    <div className={s.trace}>
      <label htmlFor={id}>
        <kbd>{measure.key}</kbd> {measure.name}
      </label>
      <p>{measure.holdTape}</p>
      <Input.TextArea
        id={id}
        data-field={field}
        value={state.entry?.typed ?? ''}
        rows={6}
        maxLength={4000}
        status={state.problem ? 'error' : ''}
        aria-invalid={state.problem !== undefined}
        onFocus={() => {
          step.current = newId()
        }}
        onChange={(event) => write(event.currentTarget.value, step.current)}
      />
      {state.problem && (
        <p className="problem" role="alert">
          {state.problem.reason}. <span>For example {state.problem.example}</span>
        </p>
      )}
      <Upload
        accept=".svg,.dxf,image/svg+xml"
        aria-label="Drawing, SVG or DXF"
        showUploadList={false}
        customRequest={({ file }) => void readDrawing(file as File)}
      >
        <Button>Read it from a drawing</Button>
      </Upload>
      <FromPhoto take={(points) => write(points, newId())} />
      {failed && (
        <p className="problem" role="alert">
          {failed}.
        </p>
      )}
    </div>
  )
}
