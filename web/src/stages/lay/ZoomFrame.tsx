import { Button } from 'antd'
import { useRef, useState, type PointerEvent, type ReactNode } from 'react'

const step = 1.5
const nearest = 8

/** A drawing that is looked at from nearer by + and −, and dragged along by its bare ground, with a line beneath it. */
export function ZoomFrame({
  name,
  foot,
  children,
}: {
  name: string
  foot: ReactNode
  children: (zoom: number) => ReactNode
}) {
  const [zoom, setZoom] = useState(1)
  const from = useRef<{ x: number; y: number }>(null)
  const nearer = (by: number) => setZoom((now) => Math.min(nearest, Math.max(1, now * by)))
  const begin = (event: PointerEvent<HTMLDivElement>) => {
    const frame = event.currentTarget
    if (event.button !== 0 || (event.target as Element).closest('.laid')) return
    from.current = { x: frame.scrollLeft + event.clientX, y: frame.scrollTop + event.clientY }
  }
  const drag = (event: PointerEvent<HTMLDivElement>) => {
    if (!from.current || event.buttons === 0) return
    event.currentTarget.scrollLeft = from.current.x - event.clientX
    event.currentTarget.scrollTop = from.current.y - event.clientY
  }
  return (
    <div className="on-table">
      <div
        className="spread-along"
        tabIndex={0}
        role="region"
        aria-label={`${name}, along the cloth`}
        onKeyDown={(event) => {
          if (event.key === '+') nearer(step)
          if (event.key === '-') nearer(1 / step)
        }}
        onPointerDown={begin}
        onPointerMove={drag}
        onPointerUp={() => {
          from.current = null
        }}
      >
        {children(zoom)}
      </div>
      <div className="zoom">
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
