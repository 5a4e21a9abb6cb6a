import { lazy, Suspense, useEffect, useState } from 'react'
import { tinykeys } from 'tinykeys'
import { Dialog } from '../parts/Dialog'
import { useLight } from '../parts/Look'
import { Palette, type Command } from './Palette'
import { pickLaid } from './picked'
import { draftInHand, useSceneStore } from './scene'
import { beside, stages, type ViewKey } from './stages'
import s from './Keys.module.css'

const History = lazy(() => import('./History').then((module) => ({ default: module.History })))

const typing = (target: EventTarget | null): target is HTMLElement =>
  target instanceof HTMLElement &&
  (target.isContentEditable ||
    (/^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) &&
      !['radio', 'checkbox'].includes((target as HTMLInputElement).type)))

// What keys do on one stage alone, told by those that do it.
const onStage: Record<ViewKey, { keys: string; name: string }[]> = {
  measure: [{ keys: '"', name: 'Second reading of the size in hand' }],
  'make-up': [{ keys: 'Arrows', name: 'Another answer of the choice in hand' }],
  pieces: [
    { keys: 'Arrows', name: 'Turn the sewn cover' },
    { keys: 'Space', name: 'Put the sewn cover together, step by step' },
  ],
  lay: [
    { keys: 'Arrows', name: 'Move the piece in hand, an inch or a repeat at a time' },
    { keys: 'P', name: 'Pin or unpin the piece in hand' },
    { keys: 'T', name: 'Turn the piece in hand' },
    { keys: '+ -', name: 'See the cloth in hand nearer, or further' },
  ],
  buy: [],
  make: [
    { keys: 'Space', name: 'Done, and on to the next step; a pedal that turns pages does the same' },
    { keys: 'Left', name: 'Back to the step before' },
    { keys: '1 to 9', name: 'Answer the check of that number, or go to its figures' },
    { keys: 'Enter', name: 'On to the next figure' },
  ],
  'hand-over': [],
  price: [],
}

const Listed = ({ keys }: { keys: { keys: string; name: string }[] }) => (
  <dl className={s.shortcuts}>
    {keys.map((each) => (
      <div key={each.name}>
        <dt>
          <kbd>{each.keys}</kbd>
        </dt>
        <dd>{each.name}</dd>
      </div>
    ))}
  </dl>
)

/**
 * Shortcuts, the sheet that lists them, and the palette that finds them by name. Letters sleep while a field has the focus; digits go to a size,
 * never to a stage.
 */
export function Keys({ stage }: { stage: ViewKey }) {
  const store = useSceneStore()
  const { switchLight } = useLight()
  const [open, setOpen] = useState<'sheet' | 'palette' | 'history'>()
  const measures = () => {
    const scene = store.get()
    const asked = draftInHand(scene)?.asked
    const makeUp = scene.makeUps.find((each) => each.key === scene.item?.makeUp)
    return makeUp?.measures.filter((measure) => asked?.includes(`measures.${measure.key}`)) ?? []
  }
  const focus = (key: string) => document.querySelector<HTMLElement>(`[data-field="measures.${key}"]`)?.focus()
  const measureKeys = (): Command[] =>
    stage === 'measure'
      ? measures().map((measure) => ({
          name: `Measure the ${measure.name}`,
          keys: measure.key,
          run: () => focus(measure.key),
        }))
      : []
  // As things stand when a key is pressed: nothing here is drawn again while somebody types.
  const commands = (): Command[] => {
    const scene = store.get()
    const { job, item, go, add } = scene
    const { items, unit } = job.document
    const at = items.findIndex((each) => each.id === item?.id)
    const step = (by: number) => {
      const next = items[(at + by + items.length) % items.length]
      if (next) scene.takeInHand(next.id)
    }
    return [
      ...stages.map((each, n) => ({ name: `Go to ${each.name}`, keys: `Alt ${n + 1}`, run: () => go(each.key) })),
      { name: `Go to ${beside.name}`, keys: '', run: () => go(beside.key) },
      ...measureKeys(),
      { name: 'Next item', keys: '.', run: () => step(1) },
      { name: 'Item before', keys: ',', run: () => step(-1) },
      { name: 'Add an item', keys: '+', run: add },
      { name: 'Undo', keys: 'Ctrl Z', run: job.undo },
      { name: 'Redo', keys: 'Ctrl Shift Z', run: job.redo },
      {
        name: unit === 'cm' ? 'Read in inches' : 'Read in centimetres',
        keys: '=',
        run: () => job.edit('', (document) => void (document.unit = unit === 'cm' ? 'in' : 'cm')),
      },
      { name: 'What changed: earlier states of the job', keys: 'Alt H', run: () => setOpen('history') },
      { name: 'Change the light', keys: '*', run: switchLight },
      {
        name: 'Find a command, an item, a piece, a choice, a cloth or a job',
        keys: 'Ctrl K',
        run: () => setOpen('palette'),
      },
      { name: 'Show the shortcuts', keys: '?', run: () => setOpen('sheet') },
    ]
  }
  // What the palette finds beside commands: items, the pieces and choices of the one in hand, cloths.
  const things = (): Command[] => {
    const scene = store.get()
    const { items, cloths } = scene.job.document
    const id = scene.item?.id ?? ''
    const draft = draftInHand(scene)
    const pieces = draft?.pattern?.pieces ?? []
    const choices =
      scene.makeUps
        .find((each) => each.key === scene.item?.makeUp)
        ?.choices.filter((choice) => !choice.onMeasure && draft?.asked.includes(`choices.${choice.key}`)) ?? []
    return [
      ...items.map((each, n) => ({
        name: `Item ${n + 1}, ${each.name}`,
        keys: '',
        run: () => scene.takeInHand(each.id),
      })),
      ...pieces.map((each) => ({
        name: `Piece ${each.label}, ${each.name}`,
        keys: '',
        run: () => {
          pickLaid(`${id}/${each.key}`)
          scene.go('pieces')
        },
      })),
      ...choices.map((each) => ({
        name: each.name === each.group ? `Choice ${each.name}` : `Choice ${each.group}: ${each.name}`,
        keys: '',
        run: () => scene.go(`make-up#choices.${each.key}`),
      })),
      ...cloths.map((each) => ({ name: `Cloth ${each.name}`, keys: '', run: () => scene.go(`lay#cloth-${each.id}`) })),
    ]
  }
  const run = (event: KeyboardEvent, command: { run: () => void } | undefined) => {
    if (!command || document.querySelector('[role=dialog]')) return
    event.preventDefault()
    command.run()
  }
  const held = (keys: string) => (event: KeyboardEvent) =>
    run(
      event,
      commands().find((each) => each.keys === keys),
    )
  const character = (event: KeyboardEvent) => {
    if (typing(event.target)) return
    const { key } = event
    const known = commands()
    const measured = stage === 'measure' ? measures() : []
    // A digit is typed into the first size that is still empty, which takes the focus before the digit arrives. Sizes that are
    // there are replaced by nobody who has not gone to them.
    if (/\d/.test(key)) {
      const { item } = store.get()
      const empty = measured.find((each) => !each.optional && !item?.measures[each.key]?.typed)
      if (empty && !document.querySelector('[role=dialog]')) focus(empty.key)
      return
    }
    const longer = measured.find((each) => each.key.length > 1 && each.key[0] === key)
    run(
      event,
      known.find((each) => each.keys === key) ??
        known.find((each) => each.keys.toLowerCase() === key.toLowerCase()) ??
        (longer && { run: () => focus(longer.key) }),
    )
  }
  const bindings = {
    '(.)': character,
    'Shift+(.)': character,
    'Alt+(Digit[1-9])': (event: KeyboardEvent) => held(`Alt ${event.code.replace('Digit', '')}`)(event),
    '$mod+z': held('Ctrl Z'),
    'Alt+(KeyH)': held('Alt H'),
    '$mod+Shift+z': held('Ctrl Shift Z'),
    '$mod+k': held('Ctrl K'),
    Escape: (event: KeyboardEvent) => {
      if (typing(event.target) && !document.querySelector('[role=dialog]')) event.target.blur()
    },
  }
  useEffect(() => tinykeys(window, bindings))
  if (open === 'history')
    return (
      <Suspense fallback={null}>
        <History close={() => setOpen(undefined)} />
      </Suspense>
    )
  if (open === 'palette') return <Palette commands={[...commands(), ...things()]} close={() => setOpen(undefined)} />
  return (
    open && (
      <Dialog title="Shortcuts" close={() => setOpen(undefined)}>
        <h3>On {[...stages, beside].find((each) => each.key === stage)?.name}</h3>
        {stage === 'measure' && (
          <p>
            Letters work while no field has the focus; digits go to the first empty size. Esc leaves a field, Enter goes
            to the next line.
          </p>
        )}
        <Listed keys={[...measureKeys(), ...onStage[stage]]} />
        <h3>Everywhere</h3>
        <Listed
          keys={commands().filter((each) => each.keys !== '' && !measureKeys().some((key) => key.name === each.name))}
        />
      </Dialog>
    )
  )
}
