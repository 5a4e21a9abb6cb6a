import { clsx } from 'clsx'
import { Button, Input } from 'antd'
import { useQuery } from '@tanstack/react-query'
import { useRef, useState, type KeyboardEvent } from 'react'
import { answer, api, newId, Refused, type Item, type Problem } from '../api/client'
import { Dialog } from '../parts/Dialog'
import { Print } from '../parts/Print'
import { usePicture } from '../parts/picture'
import { SketchDrawing } from '../parts/SketchDrawing'
import { calledFor, foundKinds, keepKind, kindsOf, lastKinds, type Kind } from './kinds'
import { SetFields } from './SetFields'
import { useDocument, useEdit, useScene } from './scene'
import s from './AddItem.module.css'

/** Asks what is covered, found by typing or picked by its drawing; of a set what its items share is asked here too. */
export function AddItem({ close }: { close: () => void }) {
  const jobCloths = useScene((scene) => scene.job.document.cloths)
  const { unit } = useDocument()
  const editJob = useEdit()
  const makeUps = useScene((scene) => scene.makeUps)
  const takeInHand = useScene((scene) => scene.takeInHand)
  const go = useScene((scene) => scene.go)
  const sets = useQuery({
    queryKey: ['sets'],
    queryFn: () => answer(api.GET('/api/sets')),
    staleTime: Infinity,
  })
  const [last] = useState(lastKinds)
  const [sought, setSought] = useState('')
  const [at, setAt] = useState(0)
  const [set, setSet] = useState<Kind>()
  const [name, setName] = useState('')
  // Of each set by itself: sets have letters in common.
  const [typed, setTyped] = useState<Record<string, Record<string, string>>>({})
  const [wrong, setWrong] = useState<Problem[]>([])
  const [problem, setProblem] = useState('')
  const list = useRef<HTMLDivElement>(null)
  const all = kindsOf(makeUps, sets.data ?? [], last)
  const found = foundKinds(all, sought)
  // Where nothing is called so, it is picked by its drawing; what was typed is what it is called.
  const kinds = found.length > 0 ? found : all
  const begin = async (kind: Kind): Promise<Item[]> => {
    const { makeUp, set } = kind
    if (!set) {
      const body = { id: newId(), name: calledFor(kind, sought), makeUp: makeUp.key, unit, from: null }
      return [await answer(api.POST('/api/items', { body }))]
    }
    const entries = Object.fromEntries(
      Object.entries(typed[set.key] ?? {}).map(([key, text]) => [key, { typed: text, unit }]),
    )
    const body = { set: set.key, id: newId(), name: name.trim() || (set.name.split(' ')[0] ?? ''), unit, entries }
    return answer(api.POST('/api/sets', { body }))
  }
  // A key that is held adds one item, not several.
  const adding = useRef(false)
  const add = async (kind: Kind) => {
    if (adding.current) return
    adding.current = true
    try {
      const begun = await begin(kind)
      if (!begun[0]) return
      const cloth =
        jobCloths.length > 0
          ? undefined
          : await answer(api.POST('/api/cloths', { body: { id: newId(), name: 'First cloth', unit } }))
      editJob('', ({ items, cloths }) => {
        items.push(...begun)
        if (cloth) cloths.push(cloth)
      })
      keepKind(kind.name)
      takeInHand(begun[0].id)
      go('measure')
      close()
    } catch (error) {
      const told = error instanceof Refused ? error.problems : []
      setWrong(told)
      setProblem(
        told.length > 0 ? '' : error instanceof Refused ? error.message : 'The server does not answer. Try again.',
      )
    } finally {
      adding.current = false
    }
  }
  // Of a set something is asked first; all else is asked on the drawing.
  const pick = (kind: Kind | undefined) => {
    if (kind?.set) {
      setSet(kind)
      setWrong([])
      setProblem('')
    } else if (kind) void add(kind)
  }
  const move = (event: KeyboardEvent<HTMLInputElement>) => {
    const tops = [...(list.current?.children ?? [])].map((each) => (each as HTMLElement).offsetTop)
    const across = Math.max(1, tops.filter((top) => top === tops[0]).length)
    const step = { ArrowDown: across, ArrowUp: -across, ArrowRight: 1, ArrowLeft: -1 }[event.key]
    // Among letters the arrows to the side move in what is typed.
    if (step === undefined || (Math.abs(step) === 1 && across > 1 && sought !== '')) return
    event.preventDefault()
    const next = at < 0 ? 0 : Math.min(Math.max(at + step, 0), kinds.length - 1)
    setAt(next)
    list.current?.children[next]?.scrollIntoView({ block: 'nearest' })
  }
  const begun = set?.set
  if (set && begun)
    return (
      <Dialog
        key="set"
        title={set.name}
        close={() => setSet(undefined)}
        footer={
          <Button type="primary" htmlType="submit" form="add-item">
            Begin them all
          </Button>
        }
      >
        <form
          id="add-item"
          className={s.ask}
          onSubmit={(event) => {
            event.preventDefault()
            void add(set)
          }}
        >
          <p>{begun.suits}</p>
          <label htmlFor="set-name">What it is called here</label>
          <Input
            id="set-name"
            data-first
            value={name}
            placeholder="Window corner"
            maxLength={80}
            onChange={(event) => setName(event.currentTarget.value)}
          />
          <SetFields
            set={begun}
            unit={unit}
            typed={typed[begun.key] ?? {}}
            type={(key, text) => {
              setTyped((old) => ({ ...old, [begun.key]: { ...old[begun.key], [key]: text } }))
              setWrong((old) => old.filter((each) => each.field !== key))
            }}
            problems={wrong}
          />
          {problem && (
            <p className="problem" role="alert">
              {problem}
            </p>
          )}
        </form>
      </Dialog>
    )
  return (
    <Dialog
      key="kinds"
      title="What is covered?"
      close={close}
      footer={
        kinds[at] &&
        !kinds[at].set && (
          <Print href={`/api/make-ups/${kinds[at].makeUp.key}/measuring-sheet.pdf?unit=${unit === 'cm' ? 'cm' : 'in'}`}>
            Blank measuring sheet
          </Print>
        )
      }
    >
      <div className={s.ask}>
        <Input
          data-first
          role="combobox"
          aria-label="What is covered?"
          aria-expanded
          aria-controls="kinds"
          aria-activedescendant={kinds[at] && `kind-${at}`}
          value={sought}
          placeholder="Type a few letters, or pick"
          autoComplete="off"
          maxLength={40}
          onChange={(event) => {
            setSought(event.currentTarget.value)
            // Where nothing is called so none is picked until she picks one.
            setAt(foundKinds(all, event.currentTarget.value).length > 0 ? 0 : -1)
          }}
          onKeyDown={(event) => {
            if (event.key === 'Enter') {
              event.preventDefault()
              pick(kinds[at])
            } else move(event)
          }}
        />
        {found.length === 0 && sets.data && (
          <p role="status">No kind is called so. Pick what it is most like; it will be called “{sought.trim()}”.</p>
        )}
        <div className={s.kinds} id="kinds" role="listbox" aria-label="Kinds" ref={list}>
          {kinds.map((kind, n) => (
            <div
              key={kind.name}
              id={`kind-${n}`}
              className={clsx(s.kind, n === at && s.picked)}
              role="option"
              aria-selected={n === at}
              onClick={() => pick(kind)}
            >
              <Drawn kind={kind} />
              <span>{kind.name}</span>
            </div>
          ))}
        </div>
        {problem && (
          <p className="problem" role="alert">
            {problem}
          </p>
        )}
      </div>
    </Dialog>
  )
}

// Its measuring sketch at usual sizes, until it is there sewn.
function Drawn({ kind: { makeUp, set } }: { kind: Kind }) {
  const picture = usePicture(`/api/make-ups/${makeUp.key}/sewn.png`)
  return (
    <span className={clsx(s.drawn, set && s.several)}>
      {picture ? <img src={picture} alt="" /> : <SketchDrawing sketch={makeUp.sketch} />}
    </span>
  )
}
