import { useEffect, useRef } from 'react'
import type { Sewn } from '../api/client'

interface Props {
  sewn: Sewn
  tone: string
  round: number
  over: number
}

/** The sewn cover as a still picture, for where there is no WebGL: faces from the far ones to the near, shaded. */
export function Still({ sewn, tone, round, over }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null)
  useEffect(() => {
    const pen = canvas.current?.getContext('2d')
    if (pen) draw(pen, sewn, tone, round, over)
  }, [sewn, tone, round, over])
  return <canvas ref={canvas} width={900} height={600} role="img" aria-label={`Sewn: ${sewn.description}`} />
}

type Spot = [across: number, up: number, near: number]

function draw(pen: CanvasRenderingContext2D, sewn: Sewn, tone: string, round: number, over: number) {
  const { width, height } = pen.canvas
  const [sr, cr, so, co] = [Math.sin(round), Math.cos(round), Math.sin(over), Math.cos(over)]
  const spot = (places: number[], at: number): Spot => {
    const [x, y, z] = [places[3 * at] ?? 0, -(places[3 * at + 1] ?? 0), places[3 * at + 2] ?? 0]
    const [across, away] = [x * cr - y * sr, x * sr + y * cr]
    return [across, z * co - away * so, z * so + away * co]
  }
  const faces = sewn.sheets.flatMap((sheet) =>
    Array.from({ length: sheet.triangles.length / 3 }, (_, at) =>
      [0, 1, 2].map((n) => spot(sheet.places, sheet.triangles[3 * at + n] ?? 0)),
    ),
  ) as [Spot, Spot, Spot][]
  const reach = Math.max(1, ...faces.flatMap((face) => face.flatMap(([x, y]) => [Math.abs(x), Math.abs(y) * 1.5])))
  const scale = width / 2.3 / reach
  const nearness = (face: [Spot, Spot, Spot]) => face[0][2] + face[1][2] + face[2][2]
  faces.sort((a, b) => nearness(a) - nearness(b))
  pen.clearRect(0, 0, width, height)
  for (const [a, b, c] of faces) {
    const [u, v] = [b.map((part, n) => part - (a[n] ?? 0)), c.map((part, n) => part - (a[n] ?? 0))] as [Spot, Spot]
    const normal = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]] as Spot
    const size = Math.hypot(...normal) || 1
    const light = Math.abs(0.35 * normal[0] + 0.75 * normal[1] + 0.55 * normal[2]) / size
    pen.fillStyle = shaded(tone, 0.55 + 0.45 * light)
    pen.strokeStyle = pen.fillStyle
    pen.beginPath()
    for (const [x, y] of [a, b, c]) pen.lineTo(width / 2 + x * scale, height / 2 - y * scale)
    pen.closePath()
    pen.fill()
    pen.stroke()
  }
}

function shaded(tone: string, by: number) {
  const part = (at: number) => Math.min(255, Math.round(parseInt(tone.slice(at, at + 2), 16) * by))
  return `rgb(${part(1)} ${part(3)} ${part(5)})`
}
