import { useDrag, useWheel } from '@use-gesture/react'
import { Button, Slider } from 'antd'
import { lazy, Suspense, useCallback, useMemo, useRef, useState, type KeyboardEvent } from 'react'
import { Refused, unitWord, type ClothPlan } from '../api/client'
import { useDocument, useScene, useUnit } from '../job/scene'
import { Fallible } from './Fallible'
import { Still } from './Still'
import { useSewn } from './useSewn'
import { useSlide } from './useSlide'
import type { View } from './SewnModel'
import s from './sewn.module.css'

const SewnModel = lazy(() => import('./SewnModel'))

const start: View = { round: 0.6, over: 0.55, near: 1, apart: 0, through: false, made: undefined }

// One press of a key: 1/4 in or 5 mm, with Shift 1/16 in or 1 mm; in hundredths of a millimetre.
const steps = { in: { wide: 635, small: 158.75 }, cm: { wide: 500, small: 100 } }

const hasWebGl = (() => {
  let known: boolean | undefined
  return () => (known ??= !!document.createElement('canvas').getContext('webgl2'))
})()

/** The item in hand as it will be, sewn from its own seams in its own cloth: turned, taken apart, looked into. */
export function SewnCover({ item, held, hold }: { item: string; held: string; hold: (piece: string) => void }) {
  const sewn = useSewn(item)
  const { cloths } = useDocument()
  const job = useScene((scene) => scene.id)
  const name = useScene((scene) => scene.item?.name) ?? ''
  const planned = useScene((scene) => scene.plan?.cloths)
  const unit = unitWord(useUnit())
  const [view, setView] = useState(start)
  const [sliding, setSliding] = useState(false)
  const { slid, told, tell, slide, step, enter } = useSlide(item, sewn.data)
  const shown =
    sewn.data?.sheets.find((each) => each.pieces.includes(held)) ?? (sliding ? sewn.data?.sheets[0] : undefined)
  const print = sewn.data?.print.find((each) => each.piece === shown?.piece) ?? sewn.data?.print[0]
  const maySlide = sewn.data?.print.some((each) => each.slidesWith) ?? false
  const box = useRef<HTMLDivElement>(null)
  // A new plan mostly has the same looks.
  const looks = JSON.stringify(planned?.map((cloth) => [cloth.id, cloth.look]) ?? [])
  const tiles = useMemo(() => new Map(JSON.parse(looks) as [string, ClothPlan['look']][]), [looks])
  const turn = useCallback(
    (round: number, over: number) =>
      setView((now) => ({ ...now, round: now.round + round, over: Math.min(1.5, Math.max(-1.5, now.over + over)) })),
    [],
  )
  const nearer = useCallback(
    (by: number) => setView((now) => ({ ...now, near: Math.min(6, Math.max(0.4, now.near * by)) })),
    [],
  )
  // Whether the hand took hold of the print, or of what is beside it.
  const onPrint = useRef(false)
  useDrag(
    ({ delta: [x, y], last }) => {
      if (!onPrint.current) turn(-x * 0.008, y * 0.008)
      else if (last) void enter()
    },
    { target: box, filterTaps: true },
  )
  useWheel(
    ({ event, delta: [, y] }) => {
      event.preventDefault()
      nearer(Math.exp(-y * 0.001))
    },
    { target: box, eventOptions: { passive: false } },
  )
  const keys = (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return
    const far = event.shiftKey ? steps[unit].small : steps[unit].wide
    const move = (right: number, up: number) => {
      if (!sliding) turn(0.15 * right, 0.15 * up)
      else if (print?.slidesWith)
        step({ together: print.slidesWith, piece: print.cut, across: far * right, along: far * up })
    }
    const act: Record<string, () => void> = {
      ArrowLeft: () => move(-1, 0),
      ArrowRight: () => move(1, 0),
      ArrowUp: () => move(0, 1),
      ArrowDown: () => move(0, -1),
      '+': () => nearer(1.15),
      '-': () => nearer(1 / 1.15),
      Home: () => setView(start),
      ' ': () => setView((now) => ({ ...now, made: Math.min((now.made ?? -1) + 1, sewn.data?.steps.length ?? 0) })),
      Backspace: () =>
        setView((now) => ({ ...now, made: now.made === undefined ? undefined : Math.max(0, now.made - 1) })),
    }
    const done = act[event.key]
    if (!done) return
    event.preventDefault()
    event.stopPropagation()
    done()
  }
  if (sewn.error)
    return (
      <p role="alert" className="problem">
        {sewn.error instanceof Refused ? sewn.error.message : 'The server does not answer.'}
      </p>
    )
  if (!sewn.data) return <p className="note">It is being sewn …</p>
  const { steps: making } = sewn.data
  const made = view.made
  const cord = cloths.find((each) => each.id === sewn.data.cordCloth)
  const tone = cloths.find((each) => each.id === print?.cloth)?.tone ?? cloths[0]?.tone ?? '#8a8378'
  const still = <Still sewn={sewn.data} tone={tone} round={view.round} over={view.over} />
  return (
    <div className={s.sewn}>
      <div
        ref={box}
        className={s.table}
        tabIndex={0}
        role="group"
        aria-label={
          sliding
            ? `The sewn cover: arrow keys slide the print on ${print?.label ?? 'it'}`
            : 'The sewn cover: arrow keys turn it, plus and minus bring it nearer, the space bar sews it step by step'
        }
        aria-describedby="sewn-words"
        onKeyDown={keys}
        onPointerDownCapture={() => void (onPrint.current = false)}
      >
        {hasWebGl() ? (
          <Fallible instead={still}>
            <Suspense fallback={<p>It is being sewn …</p>}>
              <SewnModel
                sewn={sewn.data}
                tiles={tiles}
                cordTone={cord?.tone ?? tone}
                view={view}
                held={shown?.piece ?? ''}
                hold={hold}
                slid={slid}
                slide={sliding ? slide : undefined}
                grip={() => void (onPrint.current = true)}
              />
            </Suspense>
          </Fallible>
        ) : (
          still
        )}
        <p role="status" className={s.told}>
          {(made !== undefined &&
            (made === 0
              ? `${making.length} steps, nothing is sewn yet.`
              : `${made} of ${making.length}. ${making[made - 1]?.text ?? ''}`)) ||
            told ||
            (sliding && 'Drag the print on the cover, or use the arrow keys, with Shift by a hair.')}
        </p>
        {shown && (
          <p className={s.named}>
            <b>{shown.label}</b> {shown.name}
          </p>
        )}
      </div>
      <div className={s.controls}>
        <Button onClick={() => turn(-0.4, 0)} aria-label="Turn to the left">
          Left
        </Button>
        <Button onClick={() => turn(0.4, 0)} aria-label="Turn to the right">
          Right
        </Button>
        <Button onClick={() => nearer(1.25)} aria-label="Nearer">
          +
        </Button>
        <Button onClick={() => nearer(0.8)} aria-label="Further away">
          −
        </Button>
        {made === undefined ? (
          making.length > 0 && (
            <Button onClick={() => setView((now) => ({ ...now, made: 0, apart: 0 }))}>In making order</Button>
          )
        ) : (
          <>
            <Button disabled={made === 0} onClick={() => setView((now) => ({ ...now, made: made - 1 }))}>
              Step back
            </Button>
            <Button
              type="primary"
              disabled={made >= making.length}
              onClick={() => setView((now) => ({ ...now, made: made + 1 }))}
            >
              Next step
            </Button>
            <Button onClick={() => setView((now) => ({ ...now, made: undefined }))}>All sewn</Button>
          </>
        )}
        <label hidden={made !== undefined}>
          Apart
          <Slider
            min={0}
            max={1}
            step={0.05}
            value={view.apart}
            tooltip={{ open: false }}
            ariaLabelForHandle="How far it is taken apart"
            onChange={(apart) => setView((now) => ({ ...now, apart }))}
          />
        </label>
        <Button
          aria-pressed={sliding}
          type={sliding ? 'primary' : 'default'}
          onClick={() => {
            if (maySlide) setSliding(!sliding)
            else tell('Its cloth has no repeat yet: enter it on Lay, then the print can be slid here.')
            box.current?.focus()
          }}
        >
          Slide the print
        </Button>
        <Button
          aria-pressed={view.through}
          type={view.through ? 'primary' : 'default'}
          onClick={() => setView((now) => ({ ...now, through: !now.through }))}
        >
          Look inside
        </Button>
        <Button onClick={() => setView(start)}>As at first</Button>
        <a href={`/api/jobs/${job}/items/${item}/sewn.svg`} download={`${name}.svg`}>
          Picture
        </a>
        <a href={`/api/jobs/${job}/items/${item}/sewn.glb`} download={`${name}.glb`}>
          Model
        </a>
      </div>
      <p id="sewn-words" className="note">
        {sewn.data.description} <span className={sewn.data.vouched ? undefined : s.doubt}>{sewn.data.check}</span>{' '}
        <span className={s.doubt}>{sewn.data.strains.join(' ')}</span>
      </p>
    </div>
  )
}
