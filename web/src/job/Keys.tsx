import { Input } from 'antd'
import { useEffect, useState } from 'react'
import { tinykeys } from 'tinykeys'
import { Dialog } from '../parts/Dialog'
import { useLight } from '../parts/Look'
import { pickLaid } from './picked'
import { draftInHand, useSceneStore } from './scene'
import { stages, type StageKey } from './stages'
import s from './Keys.module.css'

interface Command {
  name: string
  /** As told to people: a character, or keys that are held together. */
  keys: string
  run: () => void
}

const typing = (target: EventTarget | null): target is HTMLElement =>
  target instanceof HTMLElement &&
  (target.isContentEditable ||
    (/^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) &&
      !['radio', 'checkbox'].includes((target as HTMLInputElement).type)))

/**
 * Shortcuts, the sheet that lists them, and the palette that finds them by name. Letters sleep while a field has the focus; digits go to a size,
 * never to a stage.
 */
export function Keys({ stage }: { stage: StageKey }) {
  const store = useSceneStore()
  const { switchLight } = useLight()
  const [open, setOpen] = useState<'sheet' | 'palette'>()
  const measures = () => {
    const scene = store.get()
    const asked = draftInHand(scene)?.asked
    const makeUp = scene.makeUps.find((each) => each.key === scene.item?.makeUp)
    return makeUp?.measures.filter((measure) => asked?.includes(`measures.${measure.key}`)) ?? []
  }
  const focus = (key: string) => document.querySelector<HTMLElement>(`[data-field="measures.${key}"]`)?.focus()
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
      ...(stage === 'measure'
        ? measures().map((measure) => ({
            name: `Measure the ${measure.name}`,
            keys: measure.key,
            run: () => focus(measure.key),
          }))
        : []),
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
      { name: 'Change the light', keys: '*', run: switchLight },
      { name: 'Find a command, an item, a piece or a cloth', keys: 'Ctrl K', run: () => setOpen('palette') },
      { name: 'Show the shortcuts', keys: '?', run: () => setOpen('sheet') },
    ]
  }
  // What the palette finds beside commands: items, the pieces of the one in hand, cloths.
  const things = (): Command[] => {
    const scene = store.get()
    const { items, cloths } = scene.job.document
    const id = scene.item?.id ?? ''
    const pieces = draftInHand(scene)?.pattern?.pieces ?? []
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
    '$mod+Shift+z': held('Ctrl Shift Z'),
    '$mod+k': held('Ctrl K'),
    Escape: (event: KeyboardEvent) => {
      if (typing(event.target) && !document.querySelector('[role=dialog]')) event.target.blur()
    },
  }
  useEffect(() => tinykeys(window, bindings))
  if (open === 'palette') return <Palette commands={[...commands(), ...things()]} close={() => setOpen(undefined)} />
  return (
    open && (
      <Dialog title="Shortcuts" close={() => setOpen(undefined)}>
        <p>
          Letters work while no field has the focus; digits go to the first empty size. Esc leaves a field, Enter goes
          to the next line.
        </p>
        <dl className={s.shortcuts}>
          {commands().map((each) => (
            <div key={each.name}>
              <dt>
                <kbd>{each.keys}</kbd>
              </dt>
              <dd>{each.name}</dd>
            </div>
          ))}
        </dl>
      </Dialog>
    )
  )
}

function Palette({ commands, close }: { commands: Command[]; close: () => void }) {
  const [sought, setSought] = useState('')
  const [picked, setPicked] = useState(0)
  const words = sought.toLowerCase().split(' ')
  const found = commands.filter((each) => words.every((word) => each.name.toLowerCase().includes(word)))
  const run = (command: Command | undefined) => {
    close()
    command?.run()
  }
  return (
    <Dialog title="Find" close={close}>
      <Input
        data-first
        aria-label="Command, item, piece or cloth"
        role="combobox"
        aria-expanded
        aria-controls="found-commands"
        value={sought}
        onChange={(event) => {
          setSought(event.currentTarget.value)
          setPicked(0)
        }}
        onKeyDown={(event) => {
          if (event.key === 'ArrowDown') setPicked(Math.min(picked + 1, found.length - 1))
          else if (event.key === 'ArrowUp') setPicked(Math.max(picked - 1, 0))
          else if (event.key === 'Enter') run(found[picked])
        }}
      />
      <ul className={s.found} id="found-commands" role="listbox" aria-label="Commands">
        {found.map((each, n) => (
          <li key={`${each.keys}${each.name}`} role="option" aria-selected={n === picked} onClick={() => run(each)}>
            {each.name} {each.keys && <kbd>{each.keys}</kbd>}
          </li>
        ))}
      </ul>
    </Dialog>
  )
}
