import { clsx } from 'clsx'
import { Input, type InputRef } from 'antd'
import { memo, useCallback, useRef, useState } from 'react'
import { newId, unitWord, type MakeUp } from '../../api/client'
import { EntryField } from '../../job/EntryField'
import { Strokes } from '../../parts/SketchDrawing'
import { Made } from './Made'
import { CutFrom } from './CutFrom'
import { OutlineChoice, TraceField } from './OutlineFields'
import { Pad } from './Pad'
import { Photos } from './Photos'
import { MeasureLines, place } from './measureLines'
import { draftInHand, useAsked, useEditItem, useScene, useSceneStore, useUnit, type JobScene } from '../../job/scene'
import { useItemField } from '../../job/useItemField'
import s from './measure.module.css'

const makeUpInHand = ({ makeUps, item }: JobScene) => makeUps.find((each) => each.key === item?.makeUp)

function lengthsAsked(scene: JobScene) {
  const asked = draftInHand(scene)?.asked
  return (
    makeUpInHand(scene)?.measures.filter(
      (measure) => measure.kind === 'length' && asked?.includes(`measures.${measure.key}`),
    ) ?? []
  )
}

/** The item drawn large with its dimension lines: pick a line or its letter and type. */
export default function Measure() {
  const store = useSceneStore()
  const id = useScene((scene) => scene.item?.id)
  const name = useScene((scene) => scene.item?.name)
  const makeUp = useScene(makeUpInHand)
  const drafted = useScene((scene) => scene.drafted)
  const sketch = useScene((scene) => draftInHand(scene)?.sketch)
  const remarks = useScene((scene) => draftInHand(scene)?.pattern?.remarks)
  const asked = useAsked()
  const fields = useRef(new Map<string, InputRef>())
  const [active, setActive] = useState('')
  const [undrawn, setUndrawn] = useState('')
  const register = useCallback((key: string, input: InputRef | null) => {
    if (input) fields.current.set(key, input)
  }, [])
  const next = useCallback(
    (key: string) => {
      const lengths = lengthsAsked(store.get())
      const at = lengths.findIndex((measure) => measure.key === key)
      fields.current.get(lengths[(at + 1) % lengths.length]?.key ?? '')?.focus()
    },
    [store],
  )
  if (id === undefined || !makeUp || !sketch) return <p>…</p>
  const measures = makeUp.measures.filter((measure) => asked('measures', measure.key))
  const drawn = sketch.dimensions.map((line) => line.measure)
  const lengths = measures.filter((measure) => measure.kind === 'length')
  // A field has its place once the drawing is that of the choices made: it must not move away from under the hand that types.
  const off = lengths
    .map((measure) => measure.key)
    .filter((key) => !drawn.includes(key))
    .join(' ')
  if (drafted && off !== undrawn) setUndrawn(off)
  const current = lengths.find((measure) => measure.key === active) ?? lengths[0]
  const room = place(sketch)
  return (
    <>
      <section className="table" aria-label="Measuring drawing" key={id}>
        <div
          className={s.drawing}
          style={{ aspectRatio: `${room.width} / ${room.height}`, ['--shape' as string]: room.width / room.height }}
        >
          <svg viewBox={`${room.x} ${room.y} ${room.width} ${room.height}`} role="img" aria-label={`${name}, to scale`}>
            <Strokes sketch={sketch} only="faces" />
            <Made item={id} sketch={sketch} />
            <Strokes sketch={sketch} only="lines" />
            <MeasureLines sketch={sketch} labels={room.labels} active={current?.key ?? ''} />
          </svg>
          {lengths.map((measure) => {
            const at = room.labels[measure.key]
            return (
              at && (
                <div
                  key={measure.key}
                  className={clsx(s.label, s[at.grows], measure.key === current?.key && s.active)}
                  style={{ left: `${at.left}%`, top: `${at.top}%` }}
                >
                  <MeasureField
                    measure={measure.key}
                    name={measure.name}
                    register={register}
                    activate={setActive}
                    next={next}
                  />
                </div>
              )
            )
          })}
        </div>
      </section>
      <section className={s.beside} aria-label="Measuring">
        <ItemLine />
        <div className={s.outlineChoices}>
          {makeUp.choices
            .filter((choice) => choice.onMeasure && asked('choices', choice.key))
            .map((choice) => (
              <OutlineChoice key={choice.key} choice={choice} />
            ))}
        </div>
        {measures
          .filter((measure) => measure.kind === 'outline')
          .map((measure) => (
            <TraceField key={`${id}/${measure.key}`} measure={measure} />
          ))}
        {remarks
          ?.filter((remark) => remark.onMeasure)
          .map((remark) => (
            <p key={remark.text} className={s.caution} role="status">
              {remark.text}
            </p>
          ))}
        {current && (
          <div className={s.hold}>
            <h2>
              <kbd>{current.key}</kbd> {current.name}
              {current.optional && <small> if there is one</small>}
            </h2>
            <p>{current.holdTape}</p>
            <Problems measure={current.key} />
            <SecondReading key={`${id}/${current.key}`} measure={current} />
          </div>
        )}
        {lengths
          .filter((measure) => !drawn.includes(measure.key) && undrawn.split(' ').includes(measure.key))
          .map((measure) => (
            <LineField key={`${id}/${measure.key}`} measure={measure} />
          ))}
        {current && <MeasurePad key={`${id}/${current.key}`} measure={current.key} next={next} />}
        <Notes key={`${id}/notes`} />
        <Photos key={`${id}/photos`} />
      </section>
    </>
  )
}

const MeasureField = memo(function MeasureField({
  measure,
  name,
  register,
  activate,
  next,
}: {
  measure: string
  name: string
  register: (measure: string, input: InputRef | null) => void
  activate: (measure: string) => void
  next: (measure: string) => void
}) {
  const jobUnit = useUnit()
  const { field, state, write } = useItemField('measures', measure)
  const ref = useCallback((input: InputRef | null) => register(measure, input), [register, measure])
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
      unit={unitWord(jobUnit)}
      ref={ref}
      onFocus={() => activate(measure)}
      onEnter={() => next(measure)}
    />
  )
})

// A measure with no line on this drawing.
function LineField({ measure }: { measure: MakeUp['measures'][number] }) {
  const jobUnit = useUnit()
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
      unit={unitWord(jobUnit)}
    />
  )
}

// Read twice, write once.
function SecondReading({ measure }: { measure: MakeUp['measures'][number] }) {
  const jobUnit = useUnit()
  const { field, state, write } = useItemField('measures', `${measure.key} again`)
  return (
    <EntryField
      name={field}
      label={`${measure.key}, second reading`}
      state={state}
      write={write}
      unit={unitWord(jobUnit)}
    />
  )
}

const Notes = memo(function Notes() {
  const editItem = useEditItem()
  const id = useScene((scene) => scene.item?.id)
  const notes = useScene((scene) => scene.item?.notes)
  const step = useRef('')
  if (id === undefined) return null
  return (
    <label className={s.notes}>
      In the way, comes off, kept
      <Input.TextArea
        value={notes}
        rows={2}
        maxLength={4000}
        placeholder="Hinges at the back; leg pads numbered 1 to 4; keep the pleats"
        onFocus={() => {
          step.current = newId()
        }}
        onChange={(event) => editItem(step.current, id, (item) => void (item.notes = event.currentTarget.value))}
      />
    </label>
  )
})

function Problems({ measure }: { measure: string }) {
  const { state } = useItemField('measures', measure)
  return state.read && !state.problem ? (
    <p className={s.reading}>
      read as <b>{state.read.text}</b> {state.read.residue && <small>({state.read.residue})</small>}
    </p>
  ) : null
}

function MeasurePad({ measure, next }: { measure: string; next: (measure: string) => void }) {
  const store = useSceneStore()
  const unit = useUnit()
  const editItem = useEditItem()
  const [step] = useState(newId)
  const change = useCallback(
    (how: (typed: string) => string) => {
      const { item } = store.get()
      if (item)
        editItem(step, item.id, ({ measures }, document) => {
          measures[measure] = { typed: how(measures[measure]?.typed ?? ''), unit: document.unit }
        })
    },
    [store, editItem, step, measure],
  )
  const onward = useCallback(() => next(measure), [next, measure])
  return <Pad unit={unit} change={change} next={onward} />
}

const ItemLine = memo(function ItemLine() {
  const editItem = useEditItem()
  const id = useScene((scene) => scene.item?.id)
  const name = useScene((scene) => scene.item?.name)
  const quantity = useScene((scene) => scene.item?.quantity)
  const problem = useScene((scene) => draftInHand(scene)?.problems.find((each) => each.field === 'quantity'))
  const step = useRef('')
  if (id === undefined) return null
  const edit = (change: { name: string } | { quantity: string }) =>
    editItem(step.current, id, (old) => void Object.assign(old, change))
  return (
    <div
      className={s.itemLine}
      onFocus={() => {
        step.current = newId()
      }}
    >
      <label>
        Called
        <Input value={name} maxLength={80} onChange={(event) => edit({ name: event.currentTarget.value })} />
      </label>
      <label>
        How many
        <Input
          value={quantity}
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
})
