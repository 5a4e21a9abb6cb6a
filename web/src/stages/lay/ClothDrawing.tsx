import { memo, useId, type CSSProperties, type ReactNode } from 'react'
import type { ClothPlan } from '../../api/client'
import { useWord } from '../../parts/useWord'
import { ClothPattern, type ClothLook } from '../../parts/ClothPattern'
import { LaidPiece } from './LaidPiece'
import { ZoomFrame } from './ZoomFrame'
import { useDragged } from './useDragged'
import type { Moves } from './useMoves'
import s from './lay.module.css'

type LayOf = NonNullable<ClothPlan['lay']>

interface Props {
  lay: LayOf
  look: ClothLook
  name: string
  oneWay: boolean
  pointed: string | undefined
  point: (id: string | undefined) => void
  moves: Moves | undefined
  /** The line beneath the drawing. */
  children: ReactNode
}

// A long cloth is not shrunk until its letters are gone: under so many pixels across it runs on beyond the screen.
const legible = 200

// Items are told apart by the slope and spacing of their hatch, and by their label.
const hatches = [
  [45, 26],
  [135, 26],
  [0, 26],
  [90, 26],
  [45, 14],
  [135, 14],
  [0, 14],
  [90, 14],
] as const

/** The cloth along the screen as on a table: squared end on the left, ruler on its edge, selvedges marked, every piece labelled. */
export function ClothDrawing({ lay, look, name, oneWay, pointed, point, moves, children }: Props) {
  const id = useId()
  const selvedge = useWord('selvedge')
  const { dragged, bind } = useDragged(lay.placed, moves)
  const { cloth, usable } = lay
  const width = Math.max(cloth.width, cloth.height * 1.2)
  const letter = Math.max(cloth.height * 0.07, width * 0.0135)
  const rim = letter * 2.2
  // Beneath the cloth on the left, unless a remnant is named there.
  const pile = lay.ends.length > 0 ? Math.max(0, cloth.width - rim * 9.4) : 0
  // In an order that a new lay does not change.
  const items = [...new Set(lay.placed.map((piece) => piece.item))].sort()
  return (
    <ZoomFrame name={name} foot={children}>
      {(zoom) => (
        <svg
          {...bind()}
          data-part="spread"
          className={s.spread}
          style={
            {
              minWidth: `${(width / cloth.height) * legible * zoom}px`,
              width: `${zoom * 100}%`,
              maxHeight: `${420 * zoom}px`,
              '--letter': `${letter}px`,
            } as CSSProperties
          }
          viewBox={`${-rim * 0.4} ${cloth.y - rim} ${width + rim} ${cloth.height + rim * 1.5}`}
          role="group"
          aria-label={`${name}, ${lay.placed.length} pieces laid`}
        >
          <defs>
            <ClothPattern id={`${id}-cloth`} look={look} placed={lay.tile} />
            {hatches.map(([turn, gap], at) => (
              <pattern
                key={at}
                id={`${id}-${at}`}
                width={(gap * letter) / 26}
                height={(gap * letter) / 26}
                patternUnits="userSpaceOnUse"
                patternTransform={`rotate(${turn})`}
              >
                <line x1="0" y1="0" x2="0" y2={letter} className={s.hatch} strokeWidth={letter / 9} />
              </pattern>
            ))}
          </defs>
          <Ruler ruler={lay.ruler} cloth={cloth} letter={letter} rim={rim} />
          <rect x={0} y={cloth.y} width={cloth.width} height={cloth.height} fill={`url(#${id}-cloth)`} />
          <rect className={s.selvedge} x={0} y={cloth.y} width={cloth.width} height={usable.y - cloth.y} />
          <rect
            className={s.selvedge}
            x={0}
            y={usable.y + usable.height}
            width={cloth.width}
            height={cloth.y + cloth.height - usable.y - usable.height}
          />
          {lay.repeat &&
            [s.cased, s.repeat].map((look) => (
              <Repeats key={look} look={look} repeat={lay.repeat} cloth={cloth} usable={usable} />
            ))}
          {lay.flaws.map((flaw, at) => (
            <g key={at} data-part="flaw" className={s.flaw}>
              <rect x={flaw.x} y={flaw.y} width={flaw.width} height={flaw.height} />
              <path
                d={`M${flaw.x} ${flaw.y}l${flaw.width} ${flaw.height}M${flaw.x} ${flaw.y + flaw.height}l${flaw.width} ${-flaw.height}`}
              />
            </g>
          ))}
          {lay.placed.map((piece) => (
            <LaidPiece
              key={piece.id}
              piece={piece}
              repeat={lay.repeat}
              hatch={`url(#${id}-${items.indexOf(piece.item) % hatches.length})`}
              pointed={piece.id === pointed}
              point={point}
              moves={moves}
              dragged={piece.id === dragged?.id ? dragged : undefined}
              selvedge={selvedge}
            />
          ))}
          {lay.remnants.map(({ box, along, across }) => (
            <g key={`${box.x} ${box.y}`} className={s.leftOver}>
              {[s.cased, s.dashed].map((look) => (
                <rect key={look} className={look} x={box.x} y={box.y} width={box.width} height={box.height} />
              ))}
              {box.width > letter * 6.5 && box.height > letter * 1.4 && (
                <text
                  x={box.x + box.width / 2}
                  y={box.y + box.height / 2}
                  fontSize={letter * 0.7}
                  dominantBaseline="central"
                  textAnchor="middle"
                >
                  {along.text} x {across.text}
                </text>
              )}
            </g>
          ))}
          {lay.ends.map((end) => (
            <g key={end.at}>
              {end.at < cloth.width && (
                <line className={s.articleEnd} x1={end.at} x2={end.at} y1={cloth.y} y2={cloth.y + cloth.height} />
              )}
              {end.narrower !== null && (
                <rect
                  className={s.selvedge}
                  x={end.from}
                  y={end.narrower}
                  width={end.at - end.from}
                  height={cloth.y + cloth.height - end.narrower}
                />
              )}
              <text
                data-part="end-name"
                className={s.endName}
                x={end.from + letter * 0.3}
                y={cloth.y + cloth.height + rim * 0.38}
                fontSize={letter * 0.7}
              >
                {end.name}
              </text>
            </g>
          ))}
          {lay.foldEnd !== null && (
            <line
              data-part="fold"
              className={s.fold}

              x1={0}
              x2={lay.foldEnd}
              y1={usable.y + usable.height / 2}
              y2={usable.y + usable.height / 2}
            />
          )}
          {lay.beyond && (
            <line
              className={s.beyond}
              x1={lay.beyond.at}
              x2={lay.beyond.at}
              y1={cloth.y - rim * 0.2}
              y2={cloth.y + cloth.height + rim * 0.2}
            />
          )}
          {oneWay && (
            <g className={s.pile}>
              <line
                x1={pile}
                x2={pile + rim * 2}
                y1={cloth.y + cloth.height + rim * 0.28}
                y2={cloth.y + cloth.height + rim * 0.28}
              />
              <text x={pile + rim * 2.2} y={cloth.y + cloth.height + rim * 0.36} fontSize={letter * 0.7}>
                one way up: tops to the right
              </text>
            </g>
          )}
        </svg>
      )}
    </ZoomFrame>
  )
}

type Box = LayOf['cloth']

// All its marks are one path: a long cloth has thousands.
const Ruler = memo(function Ruler({
  ruler,
  cloth,
  letter,
  rim,
}: {
  ruler: LayOf['ruler']
  cloth: Box
  letter: number
  rim: number
}) {
  const [first, second] = ruler.figures
  // Of the figures only so many as stand clear of each other.
  const every = Math.ceil((letter * 4.5) / ((second?.at ?? cloth.width) - (first?.at ?? 0)))
  const figures = ruler.figures.filter((_, at) => at % every === 0)
  // Marks that would run into each other tell nothing.
  const close = ruler.step < letter * 0.12
  const marks = Array.from(
    { length: close ? 0 : Math.floor(cloth.width / ruler.step) + 1 },
    (_, n) => `M${n * ruler.step} ${cloth.y}v${-rim * 0.18}`,
  )
  return (
    <g className={s.ruler}>
      <path d={marks.join('')} />
      <path d={figures.map(({ at }) => `M${at} ${cloth.y}v${-rim * 0.45}`).join('')} />
      {figures.map(({ at, figure }) => (
        <text
          key={at}
          x={at}
          y={cloth.y - rim * 0.52}
          fontSize={letter * 0.85}
          textAnchor={at === 0 ? 'start' : 'middle'}
        >
          {figure}
        </text>
      ))}
    </g>
  )
})

interface RepeatsProps {
  look: string | undefined
  repeat: LayOf['repeat']
  cloth: Box
  usable: Box
}

// The repeat's grid; with half-drop every second column is half a repeat further.
function Repeats({ look, repeat, cloth, usable }: RepeatsProps) {
  if (!repeat) return null
  const columns = repeat.across > 0 ? Math.ceil(usable.height / repeat.across) : 1
  const deep = repeat.across > 0 ? repeat.across : usable.height
  return (
    <g data-part="repeat" className={look}>
      {Array.from({ length: columns }, (_, column) => {
        const top = repeat.fromFarSelvedge
          ? Math.max(usable.y, usable.y + usable.height - (column + 1) * deep)
          : usable.y + column * deep
        const first =
          (repeat.from + (repeat.halfDrop && column % 2 === 1 ? repeat.along / 2 : 0)) % Math.max(1, repeat.along)
        const rows = repeat.along > 0 ? Math.max(0, Math.floor((cloth.width - first) / repeat.along) + 1) : 0
        const bottom = repeat.fromFarSelvedge
          ? usable.y + usable.height - column * deep
          : Math.min(top + deep, usable.y + usable.height)
        return (
          <g key={column}>
            {column > 0 && <line x1={0} x2={cloth.width} y1={top} y2={top} />}
            {Array.from({ length: rows }, (_, row) => first + row * repeat.along).map((x) => (
              <line key={x} x1={x} x2={x} y1={top} y2={bottom} />
            ))}
            {repeat.motifAlong !== null &&
              Array.from({ length: rows + 1 }, (_, row) => first + (row - 1) * repeat.along + (repeat.motifAlong ?? 0))
                .filter((x) => x > 0 && x < cloth.width)
                .map((x) => (
                  <circle
                    key={x}
                    cx={x}
                    cy={
                      repeat.motifAcross === null
                        ? usable.y + usable.height / 2
                        : repeat.fromFarSelvedge
                          ? usable.y + usable.height - column * deep - repeat.motifAcross
                          : usable.y + column * deep + repeat.motifAcross
                    }
                    r={Math.min(repeat.along, deep) * 0.06}
                  />
                ))}
          </g>
        )
      })}
    </g>
  )
}
