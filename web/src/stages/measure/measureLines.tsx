import { clsx } from 'clsx'
import type { Draft } from '../../api/client'
import s from './measure.module.css'

type Sketch = NonNullable<Draft['sketch']>
type Span = Sketch['dimensions'][number]['span']

// The line is drawn beside its edge, away from the middle of the drawing.
function beside(sketch: Sketch, { x1, y1, x2, y2 }: Span, by: number) {
  const middle = { x: (x1 + x2) / 2, y: (y1 + y2) / 2 }
  const size = Math.hypot(x2 - x1, y2 - y1) || 1
  const square = { x: (y2 - y1) / size, y: -(x2 - x1) / size }
  const { box } = sketch
  const away =
    square.x * (middle.x - box.x - box.width / 2) + square.y * (middle.y - box.y - box.height / 2) >= 0 ? 1 : -1
  const gap = away * by * Math.max(box.width, box.height * 1.6)
  return { x1: x1 + gap * square.x, y1: y1 + gap * square.y, x2: x2 + gap * square.x, y2: y2 + gap * square.y }
}

interface Label {
  grows: string
  left: number
  top: number
  leader?: { x1: number; y1: number; x2: number; y2: number }
}

// A label takes about this much of the room, in per cent.
const wide = 24,
  tall = 11

/** The room around a sketch that its labels take; where each label goes, in percent of it, and the side that it grows towards. */
export function place(sketch: Sketch) {
  const { box } = sketch
  const side = Math.max(box.width * 0.52, box.height * 0.5)
  const room = { x: box.x - side, y: box.y - side * 0.5, width: box.width + 2 * side, height: box.height + side }
  return { ...room, labels: columnsIfCrowded(sketch, room) }
}

// Labels that would cover each other or the drawing stand in columns beside it instead.
function columnsIfCrowded(sketch: Sketch, room: Sketch['box']): Record<string, Label> {
  const labels = along(sketch, room)
  const middles = Object.values(labels).map(({ grows, left, top }) => ({
    x: left + (grows === 'left' ? -wide / 2 : grows === 'right' ? wide / 2 : 0),
    y: top + (grows === 'up' ? -tall / 2 : grows === 'down' ? tall / 2 : 0),
  }))
  const near = (a: { x: number; y: number }, b: { x: number; y: number }) =>
    Math.abs(a.x - b.x) < wide && Math.abs(a.y - b.y) < tall
  const onDrawing = ({ x, y }: { x: number; y: number }) => {
    const [dx, dy] = [room.x + (x * room.width) / 100, room.y + (y * room.height) / 100]
    const { box } = sketch
    return dx > box.x && dx < box.x + box.width && dy > box.y && dy < box.y + box.height
  }
  const crowded = middles.some((each, at) => onDrawing(each) || middles.slice(0, at).some((other) => near(each, other)))
  return crowded ? columns(sketch, room) : labels
}

// Each label at its own line.
function along(sketch: Sketch, room: Sketch['box']): Record<string, Label> {
  return Object.fromEntries(
    sketch.dimensions.map(({ measure, span }) => {
      const line = beside(sketch, span, 0.05)
      const [x, y] = [(line.x1 + line.x2) / 2, (line.y1 + line.y2) / 2]
      const off = { x: x - (span.x1 + span.x2) / 2, y: y - (span.y1 + span.y2) / 2 }
      const grows = Math.abs(off.x) > Math.abs(off.y) * 0.8 ? (off.x > 0 ? 'right' : 'left') : off.y > 0 ? 'down' : 'up'
      return [measure, { grows, left: ((x - room.x) / room.width) * 100, top: ((y - room.y) / room.height) * 100 }]
    }),
  )
}

// Left and right of the drawing, in the order of the lines from the top down, a leader from each label to its line.
function columns(sketch: Sketch, room: Sketch['box']): Record<string, Label> {
  const middles = sketch.dimensions
    .map(({ measure, span }) => ({ measure, x: (span.x1 + span.x2) / 2, y: (span.y1 + span.y2) / 2 }))
    .sort((a, b) => a.x - b.x)
  const half = Math.ceil(middles.length / 2)
  const labels: Record<string, Label> = {}
  for (const [column, grows] of [
    [middles.slice(0, half), 'right'],
    [middles.slice(half), 'left'],
  ] as const)
    [...column]
      .sort((a, b) => a.y - b.y)
      .forEach(({ measure, x, y }, at) => {
        const left = grows === 'right' ? 1 : 99
        const top = ((at + 0.5) / column.length) * 100
        const edge = {
          x: room.x + (room.width * (grows === 'right' ? 25 : 75)) / 100,
          y: room.y + (room.height * top) / 100,
        }
        labels[measure] = { grows, left, top, leader: { x1: edge.x, y1: edge.y, x2: x, y2: y } }
      })
  return labels
}

/** Dimension lines in chalk with their end ticks; the one in hand is drawn stronger. */
export function MeasureLines({
  sketch,
  labels,
  active,
}: {
  sketch: Sketch
  labels: Record<string, Label>
  active: string
}) {
  return sketch.dimensions.map(({ measure, span }) => {
    const leader = labels[measure]?.leader
    const line = leader ? span : beside(sketch, span, 0.035)
    return (
      <g key={measure} className={clsx(s.dimension, measure === active && s.active)}>
        {leader && <line {...leader} className={s.reach} />}
        <line x1={span.x1} y1={span.y1} x2={line.x1} y2={line.y1} className={s.reach} />
        <line x1={span.x2} y1={span.y2} x2={line.x2} y2={line.y2} className={s.reach} />
        <line {...line} />
      </g>
    )
  })
}
