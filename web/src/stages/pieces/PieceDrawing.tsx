import { clsx } from 'clsx'
import { useId } from 'react'
import type { Piece } from '../../api/client'
import { ClothPattern } from '../../parts/ClothPattern'
import type { Laid } from './useLaid'
import s from './pieces.module.css'

interface Props {
  piece: Piece
  pointed: string | undefined
  /** Where it lies on its cloth; then it is drawn on that part of it. */
  laid: Laid | undefined
}

/** One piece: cut line solid, stitch line dashed, marks, folds, grain, and the size that is pointed at. */
export function PieceDrawing({ piece, pointed, laid }: Props) {
  const id = useId()
  const { box } = piece
  const edge = Math.max(box.width, box.height) * 0.06
  const size = piece.sizes.find((each) => each.name === pointed)
  const middle = { x: box.x + box.width / 2, y: box.y + box.height / 2 }
  const arrow = Math.min(box.width, box.height) * 0.3
  return (
    <svg
      className={s.piece}
      viewBox={`${box.x - edge} ${box.y - edge} ${box.width + 2 * edge} ${box.height + 2 * edge}`}
      role="img"
      aria-label={`${piece.name}, to scale`}
    >
      {laid && (
        <>
          <defs>
            <ClothPattern id={id} look={laid.cloth.look} placed={laid.placed[0]?.tile} />
          </defs>
          <path d={piece.cut} fill={`url(#${id})`} />
        </>
      )}
      <path className={clsx('cut', laid && s.onCloth)} d={piece.cut} />
      <path className={s.stitch} d={piece.stitch} />
      {piece.lines.map((line, at) => (
        <line key={at} className={s[line.kind]} {...line.span} />
      ))}
      {piece.notches.map((notch, at) => (
        <line key={at} className={notch.clip ? s.clip : s.notch} {...notch.span} />
      ))}
      {piece.meeting.map((point) => (
        <g key={`${point.name} ${point.x}`} className={s.meeting}>
          <circle cx={point.x} cy={point.y} r={edge / 6} />
          <text
            x={point.x + (point.x < middle.x ? 1 : -1) * edge * 0.7}
            y={point.y + (point.y < middle.y ? 1 : -1) * edge * 0.7}
            fontSize={edge * 0.8}
            dominantBaseline="central"
            textAnchor="middle"
          >
            {point.name}
          </text>
        </g>
      ))}
      {piece.settingOut.corners.map((corner) => (
        <text
          key={corner.name}
          className={s.corner}
          x={corner.x + (corner.x < middle.x ? -1 : 1) * edge * 0.45}
          y={corner.y + (corner.y < middle.y ? -1 : 1) * edge * 0.45}
          fontSize={edge * 0.6}
          dominantBaseline="central"
          textAnchor="middle"
        >
          {corner.name}
        </text>
      ))}
      {piece.grain !== 'either' && (
        <g className={s.grain}>
          <line x1={middle.x} y1={middle.y + arrow} x2={middle.x} y2={middle.y - arrow} />
          <polyline
            points={`${middle.x - arrow / 5},${middle.y - arrow * 0.7} ${middle.x},${middle.y - arrow} ${middle.x + arrow / 5},${middle.y - arrow * 0.7}`}
          />
        </g>
      )}
      {size?.span && (
        <g className={clsx(s.pointed, size.kind)}>
          <line {...size.span} />
          <circle cx={size.span.x1} cy={size.span.y1} r={edge / 8} />
          <circle cx={size.span.x2} cy={size.span.y2} r={edge / 8} />
        </g>
      )}
    </svg>
  )
}
