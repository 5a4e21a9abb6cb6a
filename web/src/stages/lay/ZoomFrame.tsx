import { useGesture } from '@use-gesture/react'
import { Button } from 'antd'
import { useRef, useState, type ReactNode } from 'react'
import s from './lay.module.css'

const step = 1.5
const nearest = 8
const within = (zoom: number) => Math.min(nearest, Math.max(1, zoom))

interface Props {
  name: string
  foot: ReactNode
  children: (zoom: number) => ReactNode
}

/** A drawing that is looked at from nearer by +, − or two fingers, and dragged along by its bare ground, with a line beneath it. */
export function ZoomFrame({ name, foot, children }: Props) {
  const [zoom, setZoom] = useState(1)
  const frame = useRef<HTMLDivElement>(null)
  const nearer = (by: number) => setZoom((now) => within(now * by))
  useGesture(
    {
      // Fingers scroll by themselves; a piece that is dragged is not the ground.
      onDrag: ({ delta: [x, y], event, cancel }) => {
        if ((event as PointerEvent).pointerType !== 'mouse' || (event.target as Element).closest('[data-laid]'))
          cancel()
        else frame.current?.scrollBy(-x, -y)
      },
      onPinch: ({ offset: [scale] }) => setZoom(within(scale)),
    },
    {
      target: frame,
      eventOptions: { passive: false },
      drag: { pointer: { keys: false } },
      pinch: { scaleBounds: { min: 1, max: nearest }, from: () => [zoom, 0] },
    },
  )
  return (
    <div className={s.onTable}>
      <div
        ref={frame}
        className={s.spreadAlong}
        tabIndex={0}
        role="region"
        aria-label={`${name}, along the cloth`}
        onKeyDown={(event) => {
          if (event.key === '+') nearer(step)
          if (event.key === '-') nearer(1 / step)
        }}
      >
        {children(zoom)}
      </div>
      <div className={s.zoom}>
        {foot}
        <Button aria-label={`${name}, nearer`} disabled={zoom >= nearest} onClick={() => nearer(step)}>
          +
        </Button>
        <Button aria-label={`${name}, further`} disabled={zoom <= 1} onClick={() => nearer(1 / step)}>
          −
        </Button>
      </div>
    </div>
  )
}
