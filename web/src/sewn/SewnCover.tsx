import { useDrag, useWheel } from '@use-gesture/react'
import { Button, Slider } from 'antd'
import { lazy, Suspense, useCallback, useMemo, useRef, useState, type KeyboardEvent } from 'react'
import { Refused } from '../api/client'
import { useDocument, useScene } from '../job/scene'
import { clothTile } from './clothTexture'
import { Still } from './Still'
import { useSewn } from './useSewn'
import type { View } from './SewnModel'
import s from './sewn.module.css'

const SewnModel = lazy(() => import('./SewnModel'))

const start: View = { round: 0.6, over: 0.55, near: 1, apart: 0, through: false }

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
  const [view, setView] = useState(start)
  const box = useRef<HTMLDivElement>(null)
  const tiles = useMemo(
    () =>
      new Map(
        cloths.map((cloth) => [
          cloth.id,
          clothTile(cloth.tone, planned?.find((each) => each.id === cloth.id)?.lay?.repeat),
        ]),
      ),
    [cloths, planned],
  )
  const turn = useCallback(
    (round: number, over: number) =>
      setView((now) => ({ ...now, round: now.round + round, over: Math.min(1.5, Math.max(-1.5, now.over + over)) })),
    [],
  )
  const nearer = useCallback(
    (by: number) => setView((now) => ({ ...now, near: Math.min(6, Math.max(0.4, now.near * by)) })),
    [],
  )
  useDrag(({ delta: [x, y] }) => turn(-x * 0.008, y * 0.008), { target: box, filterTaps: true })
  useWheel(
    ({ event, delta: [, y] }) => {
      event.preventDefault()
      nearer(Math.exp(-y * 0.001))
    },
    { target: box, eventOptions: { passive: false } },
  )
  const keys = (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return
    const act: Record<string, () => void> = {
      ArrowLeft: () => turn(-0.15, 0),
      ArrowRight: () => turn(0.15, 0),
      ArrowUp: () => turn(0, 0.15),
      ArrowDown: () => turn(0, -0.15),
      '+': () => nearer(1.15),
      '-': () => nearer(1 / 1.15),
      Home: () => setView(start),
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
  const shown = sewn.data.sheets.find((each) => each.pieces.includes(held))
  const print = sewn.data.print.find((each) => each.piece === shown?.piece) ?? sewn.data.print[0]
  const tone = cloths.find((each) => each.id === print?.cloth)?.tone ?? cloths[0]?.tone ?? '#8a8378'
  return (
    <div className={s.sewn}>
      <div
        ref={box}
        className={s.table}
        tabIndex={0}
        role="group"
        aria-label="The sewn cover: arrow keys turn it, plus and minus bring it nearer"
        aria-describedby="sewn-words"
        onKeyDown={keys}
      >
        {hasWebGl() ? (
          <Suspense fallback={<p>It is being sewn …</p>}>
            <SewnModel
              sewn={sewn.data}
              tiles={tiles}
              cordTone={tone}
              view={view}
              held={shown?.piece ?? ''}
              hold={hold}
            />
          </Suspense>
        ) : (
          <Still sewn={sewn.data} tone={tone} round={view.round} over={view.over} />
        )}
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
        <label>
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
        {sewn.data.description} <span className={sewn.data.vouched ? undefined : s.doubt}>{sewn.data.check}</span>
      </p>
    </div>
  )
}
