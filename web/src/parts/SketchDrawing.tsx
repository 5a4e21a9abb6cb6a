import type { Draft } from '../api/client'
import drawn from './drawing.module.css'

type Sketch = NonNullable<Draft['sketch']>

/** A measuring sketch in chalk; `share` is its width as a share of the widest beside it. */
export function SketchDrawing({ sketch, share = 1 }: { sketch: Sketch; share?: number }) {
  const { box } = sketch
  const edge = box.width * 0.02
  return (
    <svg
      className={drawn.sketch}
      viewBox={`${box.x - edge} ${box.y - edge} ${box.width + 2 * edge} ${box.height + 2 * edge}`}
      style={{ width: `${Math.max(share, 0.15) * 100}%` }}
      aria-hidden
    >
      <Strokes sketch={sketch} />
    </svg>
  )
}

/** The strokes of a sketch: all of them, its faces alone, or what is drawn on those. */
export const Strokes = ({ sketch, only }: { sketch: Sketch; only?: 'faces' | 'lines' }) =>
  sketch.strokes.map((stroke, at) =>
    (stroke.kind === 'face') === (only === 'lines') && only ? null : stroke.kind === 'face' ? (
      <polygon key={at} className={drawn.face} points={stroke.points} />
    ) : (
      <polyline key={at} className={drawn[stroke.kind]} points={stroke.points} />
    ),
  )
