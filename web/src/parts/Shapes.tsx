import { useId } from 'react'
import type { Comparison } from '../api/client'
import { ClothPattern, type ClothLook } from './ClothPattern'
import { clsx } from 'clsx'
import drawn from './drawing.module.css'

type Shape = Comparison['shapes'][number]

function inRows(all: Shape[]) {
  const gap = 0.04 * Math.max(...all.map((shape) => Math.max(shape.box.width, shape.box.height)))
  // About half as wide again as high, as on a table.
  const area = all.reduce((sum, { box }) => sum + (box.width + gap) * (box.height + gap), 0)
  const across = Math.max(...all.map((shape) => shape.box.width), 1.05 * Math.sqrt(1.6 * area))
  let [x, y, row, width] = [0, 0, 0, 0]
  const placed: { shape: Shape; x: number; y: number }[] = []
  for (const shape of all) {
    if (x > 0 && x + shape.box.width > across) [x, y, row] = [0, y + row + gap, 0]
    placed.push({ shape, x: x - shape.box.x, y: y - shape.box.y })
    x += shape.box.width + gap
    row = Math.max(row, shape.box.height)
    width = Math.max(width, x - gap)
  }
  return { gap, width, height: y + row, placed }
}

interface Props {
  shapes: Shape[]
  /** The cloth that they are cut from, where one is known. */
  look?: ClothLook | undefined
}

/** Pieces in a row from left to right, wrapped, all to one scale, centred in what room there is. */
export function Shapes({ shapes, look }: Props) {
  const id = useId()
  const all = shapes.flatMap((shape) => Array.from({ length: Math.min(shape.quantity, 4) }, () => shape))
  if (all.length === 0) return null
  const { gap, width, height, placed } = inRows(all)
  return (
    <svg className={drawn.shapes} viewBox={`${-gap} ${-gap} ${width + 2 * gap} ${height + 2 * gap}`} aria-hidden>
      {look && (
        <defs>
          <ClothPattern id={id} look={look} />
        </defs>
      )}
      {placed.map(({ shape, ...at }, key) => (
        <g key={key} transform={`translate(${at.x} ${at.y})`}>
          {look && <path d={shape.cut} fill={`url(#${id})`} />}
          <path className={look ? clsx('cut', drawn.onCloth) : 'cut'} d={shape.cut} />
          <path className={drawn.stitch} d={shape.stitch} />
        </g>
      ))}
    </svg>
  )
}
