import { clsx } from 'clsx'
import { memo, type KeyboardEvent } from 'react'
import type { ClothPlan } from '../../api/client'
import { isPicked, pickLaid } from '../../job/picked'
import type { Dragged } from './useDragged'
import type { Moves } from './useMoves'
import s from './lay.module.css'

type Placed = NonNullable<ClothPlan['lay']>['placed'][number]

interface Props {
  piece: Placed
  repeat: NonNullable<ClothPlan['lay']>['repeat']
  hatch: string
  pointed: boolean
  point: (id: string | undefined) => void
  /** Missing where the cloth is seen from its wrong side: then nothing is moved. */
  moves: Moves | undefined
  dragged: Dragged | undefined
  /** What the selvedge is called. */
  selvedge: string
}

// An inch in hundredths of a millimetre: what an arrow key moves a piece by.
const inch = 2540

const arrows: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}

/** A piece on the cloth: dragged by the pointer, or moved by the arrow keys; P pins and unpins it, T turns it. */
export const LaidPiece = memo(function LaidPiece({
  piece,
  repeat,
  hatch,
  pointed,
  point,
  moves: allowed,
  dragged,
  selvedge,
}: Props) {
  // What is cut stays where it was cut, and cord strips follow from where the panels lie.
  const moves = piece.isCut || piece.cutLast ? undefined : allowed
  const { box } = piece
  // The letter of the drawing, or as large as the piece allows.
  const widest = Math.min(box.width * 0.45, box.height * 0.7)
  // Bias strips lie close in boxes that overlap: each label keeps to its own strip.
  const most = piece.cutLast ? Math.min(widest, Math.max(box.width, box.height) * 0.09) : widest
  const size = `min(var(--letter), ${most}px)`
  const place = { piece: piece.id, turns: piece.turns, along: box.x, across: box.y }
  const toggle = () => {
    if (piece.pinned) moves?.unpin(piece.id)
    else moves?.pin(piece.here)
  }
  const key = (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return
    const step = arrows[event.key]
    const known = step !== undefined || ['p', 't', 'Enter'].includes(event.key)
    if (!known || !moves) return
    event.preventDefault()
    event.stopPropagation()
    // What is matched moves by whole repeats.
    const by = { along: (piece.matched && repeat?.along) || inch, across: (piece.matched && repeat?.across) || inch }
    if (step) void moves.move({ ...place, along: box.x + step[0] * by.along, across: box.y + step[1] * by.across })
    else if (event.key === 't') void moves.turn(place)
    else toggle()
  }
  return (
    <g
      data-laid={piece.id}
      className={clsx(
        s.laid,
        (pointed || isPicked(piece.id)) && s.pointed,
        piece.pinned && s.pinned,
        piece.isCut && s.isCut,
        !dragged && s.moves,
      )}
      style={{ transform: `translate(${box.x + (dragged?.x ?? 0)}px, ${box.y + (dragged?.y ?? 0)}px)` }}
      tabIndex={0}
      role="button"
      aria-pressed={piece.pinned}
      aria-label={`${piece.label}, ${piece.alongRoll.text} from the end, ${piece.fromSelvedge.text} from the ${selvedge}${piece.isCut ? ', cut' : piece.pinned ? ', pinned' : ''}`}
      onMouseEnter={() => point(piece.id)}
      onMouseLeave={() => point(undefined)}
      onFocus={() => {
        point(piece.id)
        pickLaid(piece.id)
      }}
      onKeyDown={key}
    >
      <path d={piece.path} className={s.clothPiece} />
      <path d={piece.path} fill={hatch} />
      <path d={piece.path} className="cut" />
      {piece.pinned && !piece.isCut && (
        <circle
          className={s.pin}
          style={{ cx: `calc(0.6 * ${size})`, cy: `calc(0.6 * ${size})`, r: `calc(0.28 * ${size})` }}
        />
      )}
      <text
        x={box.width / 2}
        y={box.height / 2}
        style={{ fontSize: size }}
        dominantBaseline="central"
        textAnchor="middle"
      >
        {piece.label}
      </text>
    </g>
  )
})
