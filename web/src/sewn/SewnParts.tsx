import { useEffect, useMemo } from 'react'
import { Box3, Vector3, type Plane } from 'three'
import type { Sewn } from '../api/client'
import { lineGeometry, place, sheetGeometry } from './geometry'

const lines = { corded: 0.0034, zip: 0.003, seam: 0.0007, edge: 0.0011, elastic: 0.0024, fold: 0 }

interface LineProps {
  line: Sewn['lines'][number]
  cordTone: string
  /** How far it is from its place while the cover is put together. */
  way: Vector3
  cut: Plane[]
}

/** A seam, a cord, a zip with its slider, elastic or an open edge. */
export function SewnLine({ line, cordTone, way, cut }: LineProps) {
  const radius = lines[line.kind]
  const shape = useMemo(() => (radius > 0 ? lineGeometry(line.places, radius) : undefined), [line, radius])
  useEffect(() => () => shape?.dispose(), [shape])
  if (!shape) return null
  const tone = { corded: cordTone, zip: '#c9a227', seam: '#2b2620', edge: '#efe9dc', elastic: '#e8e2d0', fold: '' }[
    line.kind
  ]
  return (
    <group position={way}>
      <mesh geometry={shape}>
        <meshStandardMaterial color={tone} roughness={0.8} clippingPlanes={cut} />
      </mesh>
      {line.kind === 'zip' && <Slider places={line.places} />}
    </group>
  )
}

// The zip is shut, so its slider is at its end.
function Slider({ places }: { places: number[] }) {
  const at = useMemo(() => place(places, places.length / 3 - 1), [places])
  return (
    <mesh position={at}>
      <boxGeometry args={[0.012, 0.009, 0.012]} />
      <meshStandardMaterial color="#e9cf6a" metalness={0.6} roughness={0.4} />
    </mesh>
  )
}

/** A button, a loop, a pair of ties or the end of something, where it is marked. */
export function SewnMark({ mark }: { mark: Sewn['marks'][number] }) {
  const at = useMemo(() => place(mark.place, 0), [mark])
  if (mark.what === 'button' || mark.what === 'snap')
    return (
      <mesh position={at}>
        <sphereGeometry args={[0.009, 16, 12]} />
        <meshStandardMaterial color="#f4efe2" roughness={0.4} />
      </mesh>
    )
  if (mark.what === 'loop' || mark.what === 'buttonhole')
    return (
      <mesh position={at}>
        <torusGeometry args={[0.011, 0.002, 8, 24]} />
        <meshStandardMaterial color="#f4efe2" roughness={0.8} />
      </mesh>
    )
  if (mark.what === 'tie')
    return (
      <>
        {[-1, 1].map((side) => (
          <mesh key={side} position={[at.x + side * 0.008, at.y - 0.05, at.z]} rotation={[0, 0, side * 0.16]}>
            <boxGeometry args={[0.012, 0.1, 0.0015]} />
            <meshStandardMaterial color="#f4efe2" roughness={0.9} />
          </mesh>
        ))}
      </>
    )
  return null
}

// The cover lies so far outside its filling that both can be told apart, in metres.
const gap = 0.004

/** The filling inside a cover that is cut open: as large as that lets it be. */
export function Inner({ sewn }: { sewn: Sewn }) {
  const shapes = useMemo(() => sewn.sheets.flatMap((sheet) => [...sheetGeometry(sheet, []).values()]), [sewn])
  useEffect(() => () => shapes.forEach((shape) => shape.dispose()), [shapes])
  const scale = useMemo(() => {
    const box = new Box3()
    for (const shape of shapes) {
      shape.computeBoundingBox()
      if (shape.boundingBox) box.union(shape.boundingBox)
    }
    const smaller = (size: number) => Math.max(0.5, 1 - (2 * gap) / Math.max(size, 1e-3))
    const size = box.getSize(new Vector3())
    return new Vector3(smaller(size.x), smaller(size.y), smaller(size.z))
  }, [shapes])
  return (
    <group scale={scale}>
      {shapes.map((shape, at) => (
        <mesh key={at} geometry={shape}>
          <meshStandardMaterial color="#e3d3a0" roughness={1} />
        </mesh>
      ))}
    </group>
  )
}
