import { useId } from 'react'
import type { ClothPlan } from '../api/client'

type LayOf = NonNullable<ClothPlan['lay']>

interface Props {
  lay: LayOf
  tone: string
  name: string
  oneWay: boolean
  pointed: string | undefined
  point: (id: string | undefined) => void
}

// A long cloth is not shrunk until its letters are gone: under so many pixels across it runs on beyond the screen.
const legible = 150

// Items are told apart by the slope and spacing of their hatch, and by their label.
const hatches = [[45, 26], [135, 26], [0, 26], [90, 26], [45, 14], [135, 14], [0, 14], [90, 14]] as const

/** The cloth along the screen as on a table: squared end on the left, ruler on its edge, selvedges marked, every piece labelled. */
export function ClothDrawing({ lay, tone, name, oneWay, pointed, point }: Props) {
  const id = useId()
  const { cloth, usable } = lay
  const width = Math.max(cloth.width, cloth.height * 1.2)
  const letter = Math.max(cloth.height * 0.045, width * 0.0135)
  const rim = letter * 2.2
  const items = [...new Set(lay.placed.map((piece) => piece.item))]
  return (
    <div className="spread-along" tabIndex={0} role="region" aria-label={`${name}, along the cloth`}>
      <svg className="spread" style={{ minWidth: `${(width / cloth.height) * legible}px` }} viewBox={`${-rim * 0.4} ${cloth.y - rim} ${width + rim} ${cloth.height + rim * 1.2}`} role="group" aria-label={`${name}, ${lay.placed.length} pieces laid`}>
        <defs>
          {hatches.map(([turn, gap], at) => (
            <pattern key={at} id={`${id}-${at}`} width={gap * 100} height={gap * 100} patternUnits="userSpaceOnUse" patternTransform={`rotate(${turn})`}>
              <line x1="0" y1="0" x2="0" y2={gap * 100} className="hatch" />
            </pattern>
          ))}
        </defs>
        <g className="ruler">
          {lay.ruler.map((tick) => <line key={tick.at} x1={tick.at} x2={tick.at} y1={cloth.y} y2={cloth.y - rim * (tick.figure ? 0.45 : 0.18)} />)}
          {lay.ruler.filter((tick) => tick.figure).map((tick) => <text key={tick.at} x={tick.at} y={cloth.y - rim * 0.52} fontSize={letter * 0.85} textAnchor={tick.at === 0 ? 'start' : 'middle'}>{tick.figure}</text>)}
        </g>
        <rect className="ground" x={0} y={cloth.y} width={cloth.width} height={cloth.height} fill={tone} />
        <rect className="selvedge" x={0} y={cloth.y} width={cloth.width} height={usable.y - cloth.y} />
        <rect className="selvedge" x={0} y={usable.y + usable.height} width={cloth.width} height={cloth.y + cloth.height - usable.y - usable.height} />
        {lay.placed.map((piece) => {
          const { box } = piece
          const size = Math.min(letter, box.width * 0.45, box.height * 0.7)
          return (
            <g key={piece.id} className={piece.id === pointed ? 'laid pointed' : 'laid'} onMouseEnter={() => point(piece.id)} onMouseLeave={() => point(undefined)}>
              <path d={piece.path} className="cloth-piece" />
              <path d={piece.path} fill={`url(#${id}-${items.indexOf(piece.item) % hatches.length})`} />
              <path d={piece.path} className="cut" />
              <text x={box.x + box.width / 2} y={box.y + box.height / 2} fontSize={size} dominantBaseline="central" textAnchor="middle">{piece.label}</text>
            </g>
          )
        })}
        {oneWay && (
          <g className="pile">
            <line x1={cloth.width * 0.02} x2={cloth.width * 0.02 + rim * 2} y1={cloth.y + cloth.height + rim * 0.1} y2={cloth.y + cloth.height + rim * 0.1} />
            <text x={cloth.width * 0.02 + rim * 2.2} y={cloth.y + cloth.height + rim * 0.14} fontSize={letter * 0.7}>one way up: tops to the right</text>
          </g>
        )}
      </svg>
    </div>
  )
}
