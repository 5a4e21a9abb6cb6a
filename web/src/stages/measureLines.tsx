import type { Draft } from '../api/client'

type Sketch = NonNullable<Draft['sketch']>
type Span = Sketch['dimensions'][number]['span']

// The line is drawn beside its edge, away from the middle of the drawing.
function beside(sketch: Sketch, { x1, y1, x2, y2 }: Span, by: number) {
  const middle = { x: (x1 + x2) / 2, y: (y1 + y2) / 2 }
  const size = Math.hypot(x2 - x1, y2 - y1) || 1
  const square = { x: (y2 - y1) / size, y: -(x2 - x1) / size }
  const { box } = sketch
  const away = square.x * (middle.x - box.x - box.width / 2) + square.y * (middle.y - box.y - box.height / 2) >= 0 ? 1 : -1
  const gap = away * by * Math.max(box.width, box.height * 1.6)
  return { x1: x1 + gap * square.x, y1: y1 + gap * square.y, x2: x2 + gap * square.x, y2: y2 + gap * square.y }
}

/** The room around a sketch that its labels take; where each label goes, in percent of it, and the side that it grows towards. */
export function place(sketch: Sketch) {
  const { box } = sketch
  const side = Math.max(box.width * 0.52, box.height * 0.5)
  const room = { x: box.x - side, y: box.y - side * 0.5, width: box.width + 2 * side, height: box.height + side }
  const labels = Object.fromEntries(sketch.dimensions.map(({ measure, span }) => {
    const line = beside(sketch, span, 0.05)
    const [x, y] = [(line.x1 + line.x2) / 2, (line.y1 + line.y2) / 2]
    const off = { x: x - (span.x1 + span.x2) / 2, y: y - (span.y1 + span.y2) / 2 }
    const grows = Math.abs(off.x) > Math.abs(off.y) * 0.8 ? (off.x > 0 ? 'right' : 'left') : off.y > 0 ? 'down' : 'up'
    return [measure, { grows, left: ((x - room.x) / room.width) * 100, top: ((y - room.y) / room.height) * 100 }]
  }))
  return { ...room, labels }
}

/** Dimension lines in chalk with their end ticks; the one in hand is drawn stronger. */
export function MeasureLines({ sketch, active }: { sketch: Sketch; active: string }) {
  return sketch.dimensions.map(({ measure, span }) => {
    const line = beside(sketch, span, 0.035)
    return (
      <g key={measure} className={measure === active ? 'dimension active' : 'dimension'}>
        <line x1={span.x1} y1={span.y1} x2={line.x1} y2={line.y1} className="reach" />
        <line x1={span.x2} y1={span.y2} x2={line.x2} y2={line.y2} className="reach" />
        <line {...line} />
      </g>
    )
  })
}
