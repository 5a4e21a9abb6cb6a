import { BufferAttribute, BufferGeometry, CatmullRomCurve3, TubeGeometry, Vector3 } from 'three'
import { toCreasedNormals } from 'three/examples/jsm/utils/BufferGeometryUtils.js'
import type { Sewn } from '../api/client'

export type Sheet = Sewn['sheets'][number]
export type Print = Sewn['print'][number]

/** Hundredths of a millimetre to the metres of the scene: across, up, and towards the viewer. */
const metre = 100_000

export function place(places: readonly number[], at: number, into = new Vector3()) {
  return into.set((places[3 * at] ?? 0) / metre, (places[3 * at + 2] ?? 0) / metre, -(places[3 * at + 1] ?? 0) / metre)
}

/** The part of a joined piece, or all of it, that a point of the flat piece lies in. */
export function printAt(prints: readonly Print[], x: number): Print | undefined {
  return prints.find((each) => (each.from === null || x >= each.from) && (each.to === null || x <= each.to))
}

/** Where a point of the flat piece lies on its cloth: across from the first selvedge, and up the roll. */
export const onCloth = (print: Print, x: number, y: number): [number, number] => [
  print.xx * x + print.xy * y + print.x,
  print.yx * x + print.yy * y + print.y,
]

/** How far the cloth under a face moves when its print is slid so far to the right and up on the piece as drawn. */
export const slidOnCloth = (print: Print, across: number, along: number): [number, number] => [
  print.xx * across + print.xy * along,
  print.yx * across + print.yy * along,
]

/** How far to the right and up on the piece as drawn a way over the cloth is. */
export const drawnWay = (print: Print, across: number, along: number): [number, number] => [
  print.xx * across + print.yx * along,
  print.xy * across + print.yy * along,
]

/** The triangles of a sheet, each with its own place on the cloth, grouped by what they are cut from. */
export function sheetGeometry(sheet: Sheet, prints: readonly Print[]): Map<string, BufferGeometry> {
  const corners = new Map<string, { places: number[]; cloth: number[] }>()
  const point = new Vector3()
  for (let at = 0; at < sheet.triangles.length; at += 3) {
    const three = sheet.triangles.slice(at, at + 3)
    const middle = three.reduce((sum, corner) => sum + (sheet.flat[2 * corner] ?? 0) / 3, 0)
    const print = printAt(prints, middle)
    const group = print?.cloth ?? ''
    const into = corners.get(group) ?? { places: [], cloth: [] }
    corners.set(group, into)
    for (const corner of three) {
      place(sheet.places, corner, point)
      into.places.push(point.x, point.y, point.z)
      const [x, y] = [sheet.flat[2 * corner] ?? 0, sheet.flat[2 * corner + 1] ?? 0]
      into.cloth.push(...(print ? onCloth(print, x, y) : [x, y]))
    }
  }
  return new Map(
    [...corners].map(([cloth, { places, cloth: on }]) => {
      const geometry = new BufferGeometry()
      geometry.setAttribute('position', new BufferAttribute(new Float32Array(places), 3))
      geometry.setAttribute('uv', new BufferAttribute(new Float32Array(on), 2))
      return [cloth, toCreasedNormals(geometry, 0.6)]
    }),
  )
}

/** How far from the middle of the cover a sheet reaches. */
export function farthest(sheet: Sheet): number {
  const point = new Vector3()
  let far = 0
  for (let at = 0; at < sheet.places.length / 3; at++) far = Math.max(far, place(sheet.places, at, point).length())
  return far
}

/** The middle of a sheet, and where it goes when the cover is taken apart: outward from the middle of the whole. */
export function outward(sheet: Sheet): Vector3 {
  const count = sheet.places.length / 3
  const [sum, point, normal] = [new Vector3(), new Vector3(), new Vector3()]
  for (let at = 0; at < count; at++) sum.add(place(sheet.places, at, point))
  const [a, b, c] = [new Vector3(), new Vector3(), new Vector3()]
  for (let at = 0; at < sheet.triangles.length; at += 3) {
    place(sheet.places, sheet.triangles[at] ?? 0, a)
    place(sheet.places, sheet.triangles[at + 1] ?? 0, b)
    place(sheet.places, sheet.triangles[at + 2] ?? 0, c)
    normal.add(b.sub(a).cross(c.sub(a)))
  }
  const middle = sum.divideScalar(Math.max(1, count))
  const out = normal.lengthSq() > 1e-9 ? normal.normalize() : middle.clone().normalize()
  return out.multiplyScalar(0.25).addScaledVector(middle, 0.8)
}

/** The edge all round a sheet, as pairs of points: the sides of triangles that have no other on them. */
export function rimGeometry(sheet: Sheet): BufferGeometry {
  const sides = new Map<string, [number, number]>()
  for (let at = 0; at < sheet.triangles.length; at++) {
    const from = sheet.triangles[at] ?? 0
    const to = sheet.triangles[at % 3 === 2 ? at - 2 : at + 1] ?? 0
    if (!sides.delete(`${to} ${from}`)) sides.set(`${from} ${to}`, [from, to])
  }
  return new BufferGeometry().setFromPoints([...sides.values()].flat().map((at) => place(sheet.places, at)))
}

/** A cord, a zip or a seam as a thin tube along its places. */
export function lineGeometry(places: readonly number[], radius: number): BufferGeometry | undefined {
  const points: Vector3[] = []
  for (let at = 0; at < places.length / 3; at++) {
    const next = place(places, at)
    if (!points.at(-1) || (points.at(-1)?.distanceTo(next) ?? 0) > 1e-5) points.push(next)
  }
  if (points.length < 2) return undefined
  return new TubeGeometry(new CatmullRomCurve3(points, false, 'catmullrom', 0), points.length * 2, radius, 6, false)
}
