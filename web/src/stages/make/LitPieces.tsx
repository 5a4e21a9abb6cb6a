import type { Bench } from '../../api/client'
import s from './make.module.css'

type At = NonNullable<Bench['at']>

/** The pieces of a step, to one scale, with the edges that are sewn lit and the marks that come together numbered. */
export function LitPieces({ pieces, seams }: Pick<At, 'pieces' | 'seams'>) {
  if (pieces.length === 0) return null
  const widest = Math.max(...pieces.map(({ box }) => box.width))
  return (
    <ul className={s.pieces} aria-label="Pieces of this step">
      {pieces.map((piece) => {
        const { box } = piece
        // Of one size on all pieces, since they are drawn to one scale.
        const edge = widest * 0.042
        const own = seams.flatMap((seam) => seam.edges.filter((each) => each.piece === piece.key))
        const marks = seams.flatMap((seam) => seam.marks.filter((each) => each.piece === piece.key))
        return (
          <li
            key={piece.key}
            style={{ ['--share' as string]: `calc(${Math.max(22, (box.width / widest) * 100)}% - 14px)` }}
          >
            <svg
              viewBox={`${box.x - edge} ${box.y - edge} ${box.width + 2 * edge} ${box.height + 2 * edge}`}
              role="img"
              aria-label={`${piece.label} ${piece.name}, the edges of this step lit`}
            >
              <path className={s.cut} d={piece.cut} />
              <path className={s.stitch} d={piece.stitch} />
              {own.map((each) => (
                <polyline key={each.points} className={s.lit} points={each.points} />
              ))}
              {marks.map((mark) => (
                <g key={`${mark.number} ${mark.x} ${mark.y}`} className={s.mark}>
                  <circle cx={mark.x} cy={mark.y} r={edge * 0.5} />
                  <text x={mark.x} y={mark.y} fontSize={edge * 0.75} dominantBaseline="central" textAnchor="middle">
                    {mark.number}
                  </text>
                </g>
              ))}
            </svg>
            <span>
              <b>{piece.label}</b> {piece.name}
            </span>
          </li>
        )
      })}
    </ul>
  )
}
