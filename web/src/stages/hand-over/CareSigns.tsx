import type { CareMark } from '../../api/client'
import s from './hand-over.module.css'

/** One care mark as it is drawn. */
export function CareSign({ mark }: { mark: CareMark }) {
  return (
    <svg viewBox="0 0 40 37" className={s.sign} role="img" aria-label={mark.words}>
      <path d={mark.drawing} />
      {mark.inside && (
        <text x="20" y={mark.group === 'washing' || mark.group === 'ironing' ? 24 : 19} textAnchor="middle">
          {mark.inside}
        </text>
      )}
    </svg>
  )
}
