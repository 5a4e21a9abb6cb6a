import type { ClothPlan } from '../api/client'

type Repeat = NonNullable<NonNullable<ClothPlan['lay']>['repeat']>

/** A tile of cloth: what is drawn in it, and how large it is in hundredths of a millimetre. */
export interface Tile {
  canvas: HTMLCanvasElement
  across: number
  along: number
  /** Where the first tile begins up the roll. */
  from: number
}

const weave = 6000

/** The look of a cloth, one repeat large: tone, weave, stripes or a motif that stands upright up the roll. */
export function clothTile(tone: string, repeat: Repeat | null | undefined): Tile {
  const stripes = !!repeat && repeat.along === 0 && repeat.across > 0
  const across = repeat && repeat.across > 0 ? repeat.across * (repeat.halfDrop ? 2 : 1) : (repeat?.along ?? weave)
  const along = repeat && repeat.along > 0 ? repeat.along : repeat ? across : weave
  const canvas = document.createElement('canvas')
  const scale = 512 / Math.max(across, along)
  canvas.width = Math.max(16, Math.round(across * scale))
  canvas.height = Math.max(16, Math.round(along * scale))
  const pen = canvas.getContext('2d')
  if (pen) {
    pen.fillStyle = tone
    pen.fillRect(0, 0, canvas.width, canvas.height)
    if (stripes) drawStripes(pen, canvas)
    else if (repeat && repeat.along > 0) {
      const columns = repeat.halfDrop && repeat.across > 0 ? 2 : 1
      const wide = canvas.width / columns
      for (let column = 0; column < columns; column++)
        for (const drop of column === 1 ? [-0.5, 0.5] : [0])
          drawMotif(pen, column * wide, drop * canvas.height, wide, canvas.height, repeat, scale)
    } else drawWeave(pen, canvas)
  }
  return { canvas, across, along, from: repeat?.from ?? 0 }
}

function drawWeave(pen: CanvasRenderingContext2D, { width, height }: HTMLCanvasElement) {
  const step = width / 32
  for (let at = 0; at < 32; at++) {
    pen.fillStyle = at % 2 ? '#ffffff08' : '#00000009'
    pen.fillRect(0, at * step, width, step * 0.6)
    pen.fillRect(at * step, 0, step * 0.6, height)
  }
}

function drawStripes(pen: CanvasRenderingContext2D, { width, height }: HTMLCanvasElement) {
  pen.fillStyle = '#fffaf0b0'
  pen.fillRect(width * 0.35, 0, width * 0.3, height)
  pen.fillStyle = '#00000050'
  pen.fillRect(width * 0.06, 0, width * 0.05, height)
}

// A sprig with its flower at the upper end, one leaf higher than the other: neither upside down nor mirrored alike.
function drawMotif(
  pen: CanvasRenderingContext2D,
  x: number,
  y: number,
  width: number,
  height: number,
  repeat: Repeat,
  scale: number,
) {
  const middleX = repeat.motifAcross !== null ? (repeat.motifAcross % repeat.across) * scale : width / 2
  const middleY = repeat.motifAlong !== null ? height - (repeat.motifAlong % repeat.along) * scale : height / 2
  const size = Math.min(width, height) * 0.36
  pen.save()
  pen.translate(x + middleX, y + middleY)
  pen.strokeStyle = pen.fillStyle = '#fffaf0d0'
  pen.lineWidth = size * 0.12
  pen.beginPath()
  pen.moveTo(0, size)
  pen.lineTo(0, -size * 0.5)
  pen.stroke()
  pen.beginPath()
  pen.ellipse(size * 0.4, -size * 0.05, size * 0.42, size * 0.16, -0.6, 0, 7)
  pen.ellipse(-size * 0.3, size * 0.5, size * 0.3, size * 0.12, 0.6, 0, 7)
  pen.fill()
  pen.beginPath()
  pen.arc(0, -size * 0.7, size * 0.3, 0, 7)
  pen.fill()
  pen.restore()
}
