import { useId } from 'react'
import type { Draft, Piece } from '../../api/client'
import { ClothPattern } from '../../parts/ClothPattern'
import type { Laid } from './useLaid'
import s from './pieces.module.css'

interface Props {
  pattern: NonNullable<Draft['pattern']>
  held: string
  hold: (piece: string) => void
  laid: Map<string, Laid>
  source: (piece: Piece) => string
}

// The largest piece takes no more of the table than this, in pixels, and all together no more than this of its ground.
const [wide, high, ground] = [200, 200, 30_000]

/** All pieces of the item on one table, to one scale, each on its cloth; one is taken up to be seen large. */
export function PieceTable({ pattern, held, hold, laid, source }: Props) {
  const most = (side: 'width' | 'height') => Math.max(...pattern.pieces.map((each) => each.box[side]))
  const area = pattern.pieces.reduce((sum, { box }) => sum + box.width * box.height, 0)
  const scale = Math.min(wide / most('width'), high / most('height'), Math.sqrt(ground / area))
  return (
    <ol className={s.pieceList} aria-label="Pieces">
      {pattern.pieces.map((each) => (
        <li key={each.key}>
          <button type="button" aria-pressed={each.key === held} onClick={() => hold(each.key)}>
            <Flat piece={each} scale={scale} laid={laid.get(each.key)} />
            <b>{each.label}</b> {each.name}{' '}
            <span>
              cut {each.quantity}
              {each.turnedOver && ', every second one turned over'}
              {pattern.inPairs && ', every second cover mirrored'}
              {each.role !== 'face' && `, ${source(each)}`}
            </span>
          </button>
        </li>
      ))}
    </ol>
  )
}

function Flat({ piece, scale, laid }: { piece: Piece; scale: number; laid: Laid | undefined }) {
  const id = useId()
  const { x, y, width, height } = piece.box
  // A line's breadth round it.
  const rim = 1 / scale
  return (
    <svg
      viewBox={`${x - rim} ${y - rim} ${width + 2 * rim} ${height + 2 * rim}`}
      width={width * scale + 2}
      height={height * scale + 2}
      aria-hidden
    >
      {laid && (
        <>
          <defs>
            <ClothPattern id={id} look={laid.cloth.look} placed={laid.placed[0]?.tile} />
          </defs>
          <path d={piece.cut} fill={`url(#${id})`} />
        </>
      )}
      {laid && <path className={s.casing} d={piece.cut} />}
      <path className={s.outline} d={piece.cut} />
    </svg>
  )
}
