import type { Photo } from '../api/client'
import s from './photos.module.css'

const whole = 10_000

/** What was drawn on a photo, over it: light on dark, so that it is seen on any. */
export function Marks({
  marks,
  wide = 1,
}: {
  marks: Photo['marks']
  /** How much wider than high it is. */ wide?: number
}) {
  return (
    <svg viewBox={`0 0 ${whole * wide} ${whole}`} preserveAspectRatio="none" aria-hidden>
      {marks.map((mark, n) => {
        const [x1, x2] = [mark.x1 * wide, mark.x2 * wide]
        if (mark.kind === 'Number')
          return (
            <g key={n}>
              <circle className={s.disc} cx={x1} cy={mark.y1} r={430} />
              <text className={s.number} x={x1} y={mark.y1} fontSize={560}>
                {mark.number}
              </text>
            </g>
          )
        const turn = Math.atan2(mark.y2 - mark.y1, x2 - x1)
        const wing = (by: number) => `${x2 - 520 * Math.cos(turn + by)} ${mark.y2 - 520 * Math.sin(turn + by)}`
        const path = `M${x1} ${mark.y1}L${x2} ${mark.y2}${mark.kind === 'Arrow' ? `M${wing(0.45)}L${x2} ${mark.y2}L${wing(-0.45)}` : ''}`
        return (
          <g key={n}>
            <path className={s.under} d={path} />
            <path className={s.line} d={path} />
          </g>
        )
      })}
    </svg>
  )
}
