import type { Draft } from '../../api/client'

type Sketch = NonNullable<Draft['sketch']>

/** A stretch from one point to another, in pixels of the table. */
export interface Line {
  x1: number
  y1: number
  x2: number
  y2: number
}

interface Rect {
  x: number
  y: number
  width: number
  height: number
}

/** Where a label stands, by its upper left corner, and what leads from it to its line where it does not stand there. */
export interface Label {
  x: number
  y: number
  leader?: Line
}

/** A sketch on a table: how large, where its point nought lies, its dimension lines, and a label for each. */
export interface Laid {
  scale: number
  x: number
  y: number
  lines: Record<string, Line>
  labels: Record<string, Label>
}

/** As large as a label is drawn. */
export const label = { width: 142, height: 46 }

// Between the drawing and its dimension lines, around a label, and from the rim of the table.
const besideEdge = 16,
  clear = 5,
  rim = 6,
  beyond = 6

const length = ({ x1, y1, x2, y2 }: Line) => Math.hypot(x2 - x1, y2 - y1)

// Whether any of a line lies within a rectangle: clipped side by side.
function meets({ x1, y1, x2, y2 }: Line, { x, y, width, height }: Rect): boolean {
  let [from, to] = [0, 1]
  for (const [way, before, after] of [
    [x2 - x1, x1 - x, x + width - x1],
    [y2 - y1, y1 - y, y + height - y1],
  ] as const) {
    if (Math.abs(way) < 1e-9) {
      if (before < 0 || after < 0) return false
      continue
    }
    const [a, b] = [-before / way, after / way]
    from = Math.max(from, Math.min(a, b))
    to = Math.min(to, Math.max(a, b))
  }
  return from <= to
}

const overlap = (a: Rect, b: Rect) =>
  a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height

function contains(ring: { x: number; y: number }[], x: number, y: number): boolean {
  let inside = false
  ring.forEach((a, at) => {
    const b = ring[(at + ring.length - 1) % ring.length] ?? a
    if (a.y > y !== b.y > y && x < ((b.x - a.x) * (y - a.y)) / (b.y - a.y) + a.x) inside = !inside
  })
  return inside
}

interface Drawn {
  laid: Omit<Laid, 'labels'>
  /** Away from the drawing, for each dimension line. */
  outward: Record<string, { x: number; y: number }>
  edges: Line[]
  faces: { x: number; y: number }[][]
}

interface Margins {
  left: number
  right: number
  above: number
  below: number
}

const scaleIn = ({ box }: Sketch, width: number, height: number, { left, right, above, below }: Margins) =>
  Math.max(
    1e-9,
    Math.min((width - left - right) / Math.max(box.width, 1e-9), (height - above - below) / Math.max(box.height, 1e-9)),
  )

// The sketch in the middle of what these margins leave of the table.
function draw(sketch: Sketch, width: number, height: number, margins: Margins): Drawn {
  const { box } = sketch
  const scale = scaleIn(sketch, width, height, margins)
  const middle = {
    x: (width + margins.left - margins.right) / 2,
    y: (height + margins.above - margins.below) / 2,
  }
  const [x, y] = [middle.x - scale * (box.x + box.width / 2), middle.y - scale * (box.y + box.height / 2)]
  const rings = sketch.strokes.map(({ kind, points }) => ({
    kind,
    ring: points
      .trim()
      .split(/\s+/)
      .map((pair) => {
        const [px = 0, py = 0] = pair.split(',').map(Number)
        return { x: x + scale * px, y: y + scale * py }
      }),
  }))
  const lines: Record<string, Line> = {}
  const outward: Drawn['outward'] = {}
  for (const { measure, span } of sketch.dimensions) {
    const line = { x1: x + scale * span.x1, y1: y + scale * span.y1, x2: x + scale * span.x2, y2: y + scale * span.y2 }
    const size = length(line) || 1
    const square = { x: (line.y2 - line.y1) / size, y: -(line.x2 - line.x1) / size }
    const away =
      square.x * ((line.x1 + line.x2) / 2 - middle.x) + square.y * ((line.y1 + line.y2) / 2 - middle.y) >= 0 ? 1 : -1
    const out = { x: away * square.x, y: away * square.y }
    outward[measure] = out
    lines[measure] = {
      x1: line.x1 + besideEdge * out.x,
      y1: line.y1 + besideEdge * out.y,
      x2: line.x2 + besideEdge * out.x,
      y2: line.y2 + besideEdge * out.y,
    }
  }
  return {
    laid: { scale, x, y, lines },
    outward,
    faces: rings.filter(({ kind }) => kind === 'face').map(({ ring }) => ring),
    edges: rings.flatMap(({ kind, ring }) =>
      ring.slice(kind === 'face' ? 0 : 1).map((to, at) => {
        const from = ring[kind === 'face' ? (at + ring.length - 1) % ring.length : at] ?? to
        return { x1: from.x, y1: from.y, x2: to.x, y2: to.y }
      }),
    ),
  }
}

// Each label beside its line, if none has to lie on another, on a line or on the drawing.
function atLines({ laid, outward, edges, faces }: Drawn, width: number, height: number): Laid | undefined {
  const taken: Rect[] = []
  const labels: Record<string, Label> = {}
  const lines = [...edges, ...Object.values(laid.lines)]
  const isFree = (rect: Rect) =>
    rect.x >= rim &&
    rect.y >= rim &&
    rect.x + rect.width <= width - rim &&
    rect.y + rect.height <= height - rim &&
    !taken.some((other) => overlap(rect, other)) &&
    !lines.some((line) => meets(line, rect)) &&
    !faces.some((ring) => contains(ring, rect.x + rect.width / 2, rect.y + rect.height / 2))
  // Short lines have fewest places: they choose first.
  for (const [measure, line] of Object.entries(laid.lines).sort(([, a], [, b]) => length(a) - length(b))) {
    const out = outward[measure] ?? { x: 0, y: 1 }
    const reach = (Math.abs(out.x) * label.width + Math.abs(out.y) * label.height) / 2
    const places = [beyond, 24, 48].flatMap((far) =>
      [0.5, 0.35, 0.65, 0.2, 0.8, 0, 1].map((share) => ({
        x: line.x1 + share * (line.x2 - line.x1) + (reach + clear + far) * out.x - label.width / 2,
        y: line.y1 + share * (line.y2 - line.y1) + (reach + clear + far) * out.y - label.height / 2,
      })),
    )
    const place = places.find(({ x, y }) =>
      isFree({ x: x - clear, y: y - clear, width: label.width + 2 * clear, height: label.height + 2 * clear }),
    )
    if (!place) return undefined
    taken.push({ ...place, ...label })
    labels[measure] = place
  }
  return { ...laid, labels }
}

// In a column to either side, in the order of the lines from the top down, a leader from each label to its line.
function inColumns({ laid }: Drawn, width: number, height: number): Laid {
  const middles = Object.entries(laid.lines)
    .map(([measure, { x1, y1, x2, y2 }]) => ({ measure, x: (x1 + x2) / 2, y: (y1 + y2) / 2 }))
    .sort((a, b) => a.x - b.x)
  const half = Math.ceil(middles.length / 2)
  const labels: Record<string, Label> = {}
  for (const [column, left] of [
    [middles.slice(0, half), true],
    [middles.slice(half), false],
  ] as const)
    column
      .toSorted((a, b) => a.y - b.y)
      .forEach((line, at) => {
        const x = left ? rim : width - rim - label.width
        const y = rim + ((height - 2 * rim) * (at + 0.5)) / column.length - label.height / 2
        const leader = { x1: left ? x + label.width : x, y1: y + label.height / 2, x2: line.x, y2: line.y }
        labels[line.measure] = { x, y, leader }
      })
  return { ...laid, labels }
}

/**
 * The sketch as large as a table of so many pixels lets it be with a label for each dimension line, none of which covers
 * another, a line or the drawing.
 */
export function layOut(sketch: Sketch, width: number, height: number): Laid {
  const around = besideEdge + 2 * clear + beyond + rim + 1
  const across = [around, label.width / 2 + around, label.width + around]
  const up = [around, label.height + around]
  // The larger it can be drawn the better: labels may have room beside a narrow part of it, or on one side alone.
  const tries = across
    .flatMap((left) =>
      across.flatMap((right) => up.flatMap((above) => up.map((below) => ({ left, right, above, below })))),
    )
    .map((margins) => ({ margins, scale: scaleIn(sketch, width, height, margins) }))
    .sort((a, b) => b.scale - a.scale)
  for (const { margins } of tries) {
    const laid = atLines(draw(sketch, width, height, margins), width, height)
    if (laid) return laid
  }
  const column = label.width + 44
  const edge = besideEdge + rim + clear
  return inColumns(
    draw(sketch, width, height, { left: column, right: column, above: edge, below: edge }),
    width,
    height,
  )
}
