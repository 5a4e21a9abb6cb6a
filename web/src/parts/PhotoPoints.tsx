import { useRef, useState, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react'
import s from './photo-points.module.css'

const arrows: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}

export interface PhotoSize {
  width: number
  height: number
}

interface Props {
  src: string
  /** What each point is, for whoever moves it by keys. */
  names: readonly string[]
  /** x and y of each, in pixels of the photo. */
  points: readonly number[]
  size: PhotoSize | undefined
  setSize: (size: PhotoSize) => void
  put: (at: number, x: number, y: number) => void
  /** Drawn over the photo, in its pixels. */
  children: ReactNode
}

/** A photo with points on it that are dragged, or moved by the arrow keys: with shift by little. */
export function PhotoPoints({ src, names, points, size, setSize, put, children }: Props) {
  const [held, setHeld] = useState<number>()
  const svg = useRef<SVGSVGElement>(null)
  const within = (at: number, x: number, y: number) => {
    if (!size) return
    put(at, Math.round(Math.min(size.width, Math.max(0, x))), Math.round(Math.min(size.height, Math.max(0, y))))
  }
  const moved = (event: PointerEvent) => {
    const matrix = svg.current?.getScreenCTM()?.inverse()
    if (held === undefined || !matrix) return
    const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix)
    within(held, at.x, at.y)
  }
  const key = (at: number) => (event: KeyboardEvent) => {
    const step = arrows[event.key]
    if (!step || !size) return
    event.preventDefault()
    const by = (Math.max(size.width, size.height) / 100) * (event.shiftKey ? 0.1 : 1)
    within(at, (points[2 * at] ?? 0) + step[0] * by, (points[2 * at + 1] ?? 0) + step[1] * by)
  }
  const grip = size ? Math.max(size.width, size.height) / 34 : 0
  return (
    <div className={s.photo}>
      <img
        src={src}
        alt=""
        onLoad={({ currentTarget: { naturalWidth, naturalHeight } }) =>
          setSize({ width: naturalWidth, height: naturalHeight })
        }
      />
      {size && (
        <svg
          ref={svg}
          viewBox={`0 0 ${size.width} ${size.height}`}
          onPointerMove={moved}
          onPointerUp={() => setHeld(undefined)}
        >
          {children}
          {names.map((name, at) => (
            <circle
              key={name}
              cx={points[2 * at]}
              cy={points[2 * at + 1]}
              r={grip}
              tabIndex={0}
              role="button"
              aria-label={`${name}: moved by the arrow keys`}
              onKeyDown={key(at)}
              onPointerDown={(event) => {
                svg.current?.setPointerCapture(event.pointerId)
                setHeld(at)
              }}
            />
          ))}
        </svg>
      )}
    </div>
  )
}
