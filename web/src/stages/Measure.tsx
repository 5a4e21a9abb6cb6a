import { Input, type InputRef } from 'antd'
import { useRef, useState } from 'react'
import { newId, unitWord, type MakeUp } from '../api/client'
import { EntryField } from '../job/EntryField'
import { changeItem, useAsked, useDraft, useItemField, useScene } from '../job/context'
import { Strokes } from '../job/SketchDrawing'
import { CutFrom } from './CutFrom'
import { OutlineChoice, TraceField } from './OutlineFields'
import { Pad } from './Pad'
import { Photos } from './Photos'
import { MeasureLines, place } from './measureLines'

/** The item drawn large with its dimension lines: pick a line or its letter and type. */
export default function Measure() {
  const { item, makeUps, drafted } = useScene()
  const draft = useDraft()
  const asked = useAsked()
  const makeUp = makeUps.find((each) => each.key === item?.makeUp)
  const fields = useRef(new Map<string, InputRef>())
  const [active, setActive] = useState('')
  const [undrawn, setUndrawn] = useState('')
  if (!item || !makeUp || !draft?.sketch) return <p>…</p>
  const measures = makeUp.measures.filter((measure) => asked('measures', measure.key))
  const drawn = draft.sketch.dimensions.map((line) => line.measure)
  const lengths = measures.filter((measure) => measure.kind === 'length')
  // A field has its place once the drawing is that of the choices made: it must not move away from under the hand that types.
  const off = lengths
    .map((measure) => measure.key)
    .filter((key) => !drawn.includes(key))
    .join(' ')
  if (drafted && off !== undrawn) setUndrawn(off)
  const current = lengths.find((measure) => measure.key === active) ?? lengths[0]
  const next = (key: string) => {
    const at = lengths.findIndex((measure) => measure.key === key)
    fields.current.get(lengths[(at + 1) % lengths.length]?.key ?? '')?.focus()
  }
  const room = place(draft.sketch)
  return (
    <>
      <section className="table" aria-label="Measuring drawing" key={item.id}>
        <div
          className="drawing"
          style={{ aspectRatio: `${room.width} / ${room.height}`, ['--shape' as string]: room.width / room.height }}
        >
          <svg
            viewBox={`${room.x} ${room.y} ${room.width} ${room.height}`}
            role="img"
            aria-label={`${item.name}, to scale`}
          >
            <Strokes sketch={draft.sketch} />
            <MeasureLines sketch={draft.sketch} labels={room.labels} active={current?.key ?? ''} />
          </svg>
          {lengths.map((measure) => {
            const at = room.labels[measure.key]
            return (
              at && (
                <div
                  key={measure.key}
                  className={`label ${at.grows}${measure.key === current?.key ? ' active' : ''}`}
                  style={{ left: `${at.left}%`, top: `${at.top}%` }}
                >
                  <MeasureField
                    measure={measure.key}
                    name={measure.name}
                    ref={(input) => {
                      if (input) fields.current.set(measure.key, input)
                    }}
                    onFocus={() => setActive(measure.key)}
                    onEnter={() => next(measure.key)}
                  />
                </div>
              )
            )
          })}
        </div>
      </section>
      <section className="beside" aria-label="Measuring">
        <ItemLine />
        <div className="outline-choices">
          {makeUp.choices
            .filter((choice) => choice.onMeasure && asked('choices', choice.key))
            .map((choice) => (
              <OutlineChoice key={choice.key} choice={choice} />
            ))}
        </div>
        {measures
          .filter((measure) => measure.kind === 'outline')
          .map((measure) => (
            <TraceField key={`${item.id}/${measure.key}`} measure={measure} />
          ))}
        {draft.pattern?.remarks
          .filter((remark) => remark.onMeasure)
          .map((remark) => (
            <p key={remark.text} className="caution" role="status">
              {remark.text}
            </p>
          ))}
        {current && (
          <div className="hold">
            <h2>
              <kbd>{current.key}</kbd> {current.name}
              {current.optional && <small> if there is one</small>}
            </h2>
            <p>{current.holdTape}</p>
            <Problems measure={current.key} />
            <SecondReading key={`${item.id}/${current.key}`} measure={current} />
          </div>
        )}
        {lengths
          .filter((measure) => !drawn.includes(measure.key) && undrawn.split(' ').includes(measure.key))
          .map((measure) => (
            <LineField key={`${item.id}/${measure.key}`} measure={measure} />
          ))}
        {current && (
          <MeasurePad key={`${item.id}/${current.key}`} measure={current.key} next={() => next(current.key)} />
        )}
        <Notes key={`${item.id}/notes`} />
        <Photos key={`${item.id}/photos`} />
      </section>
    </>
  )
}

function MeasureField({
  measure,
  name,
  ...rest
}: {
  measure: string
  name: string
  ref: (input: InputRef | null) => void
  onFocus: () => void
  onEnter: () => void
}) {
  const { job } = useScene()
  const { field, state, write } = useItemField('measures', measure)
  return (
    <EntryField
      bare
      name={field}
      label={
        <>
          <kbd>{measure}</kbd>
          <span className="unseen">{name}</span>
        </>
      }
      state={state}
      write={write}
      unit={unitWord(job.document.unit)}
      {...rest}
    />
  )
}

// A measure with no line on this drawing.
function LineField({ measure }: { measure: MakeUp['measures'][number] }) {
  const { job } = useScene()
  const { field, state, write } = useItemField('measures', measure.key)
  return (
    <EntryField
      name={field}
      label={
        <>
          <kbd>{measure.key}</kbd> {measure.name}
        </>
      }
      state={state}
      write={write}
      unit={unitWord(job.document.unit)}
    />
  )
}

// Read twice, write once.
function SecondReading({ measure }: { measure: MakeUp['measures'][number] }) {
  const { job } = useScene()
  const { field, state, write } = useItemField('measures', `${measure.key} again`)
  return (
    <EntryField
      name={field}
      label={`${measure.key}, second reading`}
      state={state}
      write={write}
      unit={unitWord(job.document.unit)}
    />
  )
}

function Notes() {
  const { job, item } = useScene()
  const step = useRef('')
  if (!item) return null
  return (
    <label className="notes">
      In the way, comes off, kept
      <Input.TextArea
        value={item.notes}
        rows={2}
        maxLength={4000}
        placeholder="Hinges at the back; leg pads numbered 1 to 4; keep the pleats"
        onFocus={() => {
          step.current = newId()
        }}
        onChange={(event) =>
          job.edit(step.current, (document) =>
            changeItem(document, item.id, (old) => ({ ...old, notes: event.currentTarget.value })),
          )
        }
      />
    </label>
  )
}

function Problems({ measure }: { measure: string }) {
  const { state } = useItemField('measures', measure)
  return state.read && !state.problem ? (
    <p className="reading">
      read as <b>{state.read.text}</b> {state.read.residue && <small>({state.read.residue})</small>}
    </p>
  ) : null
}

function MeasurePad({ measure, next }: { measure: string; next: () => void }) {
  const { job } = useScene()
  const { state, write } = useItemField('measures', measure)
  const step = useRef(newId())
  return (
    <Pad
      unit={job.document.unit}
      typed={state.entry?.typed ?? ''}
      write={(typed) => write(typed, step.current)}
      next={next}
    />
  )
}

function ItemLine() {
  const { job, item, plan } = useScene()
  const step = useRef('')
  if (!item) return null
  const edit = (change: Partial<typeof item>) =>
    job.edit(step.current, (document) => changeItem(document, item.id, (old) => ({ ...old, ...change })))
  const problem = plan?.items
    .find((each) => each.id === item.id)
    ?.draft.problems.find((each) => each.field === 'quantity')
  return (
    <div
      className="item-line"
      onFocus={() => {
        step.current = newId()
      }}
    >
      <label>
        Called
        <Input value={item.name} maxLength={80} onChange={(event) => edit({ name: event.currentTarget.value })} />
      </label>
      <label>
        How many
        <Input
          value={item.quantity}
          inputMode="numeric"
          status={problem ? 'error' : ''}
          onChange={(event) => edit({ quantity: event.currentTarget.value })}
        />
      </label>
      <CutFrom />
      {problem && (
        <p className="problem" role="alert">
          {problem.reason}. <span>For example {problem.example}.</span>
        </p>
      )}
    </div>
  )
}
