import { Button, Drawer, Input, type InputRef } from 'antd'
import { memo, useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { newId, unitWord, type MakeUp } from '../../api/client'
import { EntryField } from '../../job/EntryField'
import { CutFrom } from './CutFrom'
import { OutlineChoice, TraceField } from './OutlineFields'
import { MeasurePad } from './MeasurePad'
import { PartsOff } from './PartsOff'
import { Photos } from '../../job/Photos'
import { Table } from './Table'
import { TapeLine } from './TapeLine'
import { Walk } from './Walk'
import { PrintSheet } from '../../job/PrintSheet'
import { draftInHand, useAsked, useEditItem, useScene, useSceneStore, useUnit, type JobScene } from '../../job/scene'
import { useItemField } from '../../job/useItemField'
import { Room } from './Room'
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

// The sizes that something stands in, whatever it is.
const enteredSizes = ({ item }: JobScene) =>
  Object.entries(item?.measures ?? {})
    .filter(([, entry]) => entry.typed.trim() !== '')
    .map(([key]) => key)
    .join(' ')

/** The item drawn large with its dimension lines: pick a line or its letter and type. */
export default function Measure() {
  const store = useSceneStore()
  const id = useScene((scene) => scene.item?.id)
  const name = useScene((scene) => scene.item?.name)
  const makeUp = useScene(makeUpInHand)
  const drafted = useScene((scene) => scene.drafted)
  const sketch = useScene((scene) => draftInHand(scene)?.sketch)
  const remarks = useScene((scene) => draftInHand(scene)?.pattern?.remarks)
  const entered = useScene(enteredSizes)
  const asked = useAsked()
  const fields = useRef(new Map<string, InputRef>())
  const [active, setActive] = useState('')
  const [undrawn, setUndrawn] = useState('')
  // Sizes that were asked for though they are not always there, of which item.
  const [offered, setOffered] = useState<{ of: string | undefined; keys: string[] }>({ of: undefined, keys: [] })
  const [twice, setTwice] = useState<{ key: string }>()
  const [walking, setWalking] = useState(false)
  const begun = useRef<string>(undefined)
  const register = useCallback(
    (key: string, input: InputRef | null) => {
      if (!input) return void fields.current.delete(key)
      fields.current.set(key, input)
      // Of an item that nothing is entered of the first size is what comes next, once it is taken in hand.
      const scene = store.get()
      if (begun.current === scene.item?.id || lengthsAsked(scene)[0]?.key !== key) return
      begun.current = scene.item?.id
      if (enteredSizes(scene) === '') requestAnimationFrame(() => input.focus())
    },
    [store],
  )
  const next = useCallback(
    (key: string) => {
      const scene = store.get()
      const sizes = scene.item?.measures ?? {}
      const lengths = lengthsAsked(scene).filter(({ key }) => fields.current.has(key))
      const at = lengths.findIndex((measure) => measure.key === key)
      // On to the next line; from the last one to what was passed over, and then to what comes after measuring.
      const on =
        lengths[at + 1] ??
        lengths.find((measure) => !measure.optional && !sizes[measure.key]?.typed && measure.key !== key)
      if (on) fields.current.get(on.key)?.focus()
      else scene.go('make-up')
    },
    [store],
  )
  const again = useCallback((key: string) => setTwice({ key }), [])
  const offer = useCallback(
    (key: string) => setOffered((old) => ({ of: id, keys: [...(old.of === id ? old.keys : []), key] })),
    [id],
  )
  const asking = useRef('')
  useEffect(() => {
    const key = offered.keys.at(-1)
    if (key !== undefined && asking.current !== `${offered.of}/${key}`) {
      asking.current = `${offered.of}/${key}`
      fields.current.get(key)?.focus()
    }
  })
  const { shown, hidden } = useMemo(() => {
    const lengths = makeUp?.measures.filter(({ key, kind }) => kind === 'length' && asked('measures', key)) ?? []
    const isShown = ({ key, optional }: { key: string; optional: boolean }) =>
      !optional || entered.split(' ').includes(key) || (offered.of === id && offered.keys.includes(key))
    return { shown: lengths.filter(isShown), hidden: lengths.filter((each) => !isShown(each)) }
  }, [makeUp, asked, entered, offered, id])
  if (id === undefined || !makeUp || !sketch) return <p>…</p>
  const drawn = sketch.dimensions.map((line) => line.measure)
  // A field has its place once the drawing is that of the choices made: it must not move away from under the hand that types.
  const off = shown
    .map((measure) => measure.key)
    .filter((key) => !drawn.includes(key))
    .join(' ')
  if (drafted && off !== undrawn) setUndrawn(off)
  const current = shown.find((measure) => measure.key === active) ?? shown[0]
  if (walking) return <Walk leave={() => setWalking(false)} />
  return (
    <>
      <Table
        key={id}
        item={id}
        name={name}
        sketch={sketch}
        measures={shown}
        offered={hidden}
        offer={offer}
        active={current?.key ?? ''}
        register={register}
        activate={setActive}
        next={next}
        again={again}
      >
        <Button onClick={() => setWalking(true)}>Walk the room</Button>
        <PrintSheet sheet="measuring-sheet">Measuring sheet</PrintSheet>
        <TapeLine />
        <Found key={`${id}/found`} />
      </Table>
      <section className={s.beside} aria-label="Measuring">
        <ItemLine />
        <div className={s.outlineChoices}>
          {makeUp.choices
            .filter((choice) => choice.onMeasure && asked('choices', choice.key))
            .map((choice) => (
              <OutlineChoice key={choice.key} choice={choice} />
            ))}
        </div>
        {makeUp.measures
          .filter((measure) => measure.kind === 'outline' && asked('measures', measure.key))
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
        {shown
          .filter((measure) => !drawn.includes(measure.key) && undrawn.split(' ').includes(measure.key))
          .map((measure) => (
            <LineField key={`${id}/${measure.key}`} measure={measure} />
          ))}
        {current && (
          <div className={s.hand}>
            <div className={s.hold}>
              <h2>
                <kbd>{current.key}</kbd> {current.name}
                {current.optional && <small> if there is one</small>}
              </h2>
              <SecondReading
                key={`${id}/${current.key}`}
                measure={current}
                asked={twice?.key === current.key ? twice : undefined}
                ask={again}
                next={next}
              />
              <p>{current.holdTape}</p>
              <Problems measure={current.key} />
            </div>
            <MeasurePad key={`${id}/${current.key}/pad`} measure={current.key} next={next} />
          </div>
        )}
      </section>
    </>
  )
}

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

// Read twice, write once: the second reading is asked for, and stays where one was taken.
function SecondReading({
  measure,
  asked,
  ask,
  next,
}: {
  measure: MakeUp['measures'][number]
  /** The time that it was asked for: another one each time. */
  asked: { key: string } | undefined
  ask: (measure: string) => void
  next: (measure: string) => void
}) {
  const jobUnit = useUnit()
  const { field, state, write } = useItemField('measures', `${measure.key} again`)
  const input = useRef<InputRef>(null)
  useEffect(() => {
    if (asked) input.current?.focus()
  }, [asked])
  if (!asked && !state.entry?.typed)
    return (
      <Button onClick={() => ask(measure.key)}>
        Second reading <kbd>&quot;</kbd>
      </Button>
    )
  return (
    <EntryField
      name={field}
      label={`${measure.key}, second reading`}
      state={state}
      write={write}
      unit={unitWord(jobUnit)}
      ref={input}
      onEnter={() => next(measure.key)}
    />
  )
}

// What was found with the item: folded away until it is wanted.
function Found() {
  const [open, setOpen] = useState(false)
  const noted = useScene((scene) => scene.item?.notes.trim() !== '')
  return (
    <>
      <Button onClick={() => setOpen(true)}>Notes, parts, photos{noted && ' · noted'}</Button>
      <Drawer open={open} onClose={() => setOpen(false)} title="As it was found" size={440} destroyOnHidden>
        <div className={s.asFound}>
          <Room />
          <Notes />
          <PartsOff />
          <Photos moment="before" />
        </div>
      </Drawer>
    </>
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
      In the way, or kept
      <Input.TextArea
        value={notes}
        rows={2}
        maxLength={4000}
        placeholder="Hinges at the back; keep the pleats"
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
