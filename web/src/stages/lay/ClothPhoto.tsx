import { Button } from 'antd'
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react'
import type { ClothGroup } from '../../job/ClothEntry'
import { ClothEntry } from '../../job/ClothEntry'
import type { Cloth } from '../../api/client'
import { Dialog } from '../../parts/Dialog'
import s from './lay.module.css'

type Picture = NonNullable<Cloth['picture']>

const corners = ['top left', 'top right', 'bottom right', 'bottom left']
const ends = ['one end of the ruler', 'the other end of the ruler']
const arrows: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}

/** Straightens a photo of a cloth: four corners are put round a piece of it, and its size said, or that of a ruler in the picture. */
export function ClothPhoto({
  cloth,
  picture,
  planned,
  edit,
  close,
}: ClothGroup & { picture: Picture; close: () => void }) {
  const [size, setSize] = useState<{ width: number; height: number }>()
  const [held, setHeld] = useState<number>()
  const svg = useRef<SVGSVGElement>(null)
  const points = [...picture.corners, ...picture.ruler]
  const change = (changed: Partial<Picture>, step = '') => edit({ picture: { ...picture, ...changed } }, step)
  // Corners stand first, the ends of the ruler after them.
  const put = (at: number, x: number, y: number) => {
    if (!size) return
    const next = [...points]
    next[2 * at] = Math.round(Math.min(size.width, Math.max(0, x)))
    next[2 * at + 1] = Math.round(Math.min(size.height, Math.max(0, y)))
    change({ corners: next.slice(0, 8), ruler: next.slice(8) }, `corner-${cloth.id}-${at}`)
  }
  const moved = (event: PointerEvent) => {
    const matrix = svg.current?.getScreenCTM()?.inverse()
    if (held === undefined || !matrix) return
    const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix)
    put(held, at.x, at.y)
  }
  const key = (at: number) => (event: KeyboardEvent) => {
    const step = arrows[event.key]
    if (!step || !size) return
    event.preventDefault()
    const by = (Math.max(size.width, size.height) / 100) * (event.shiftKey ? 0.1 : 1)
    put(at, (points[2 * at] ?? 0) + step[0] * by, (points[2 * at + 1] ?? 0) + step[1] * by)
  }
  const grip = size ? Math.max(size.width, size.height) / 34 : 0
  const entry = (name: 'across' | 'along' | 'rulerLength', label: string) => (
    <ClothEntry
      cloth={cloth}
      planned={planned}
      name={`picture.${name}`}
      label={label}
      entry={picture[name]}
      write={(typed, step) => change({ [name]: typed }, step)}
    />
  )
  return (
    <Dialog title={`A photo of ${cloth.name}`} close={close}>
      <p>
        Put the four corners round one repeat, up the roll on top. Say how far the cloth reaches between them; left
        empty it is one repeat.
      </p>
      <div className={s.photo}>
        <img
          src={`/api/photos/${picture.photo}`}
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
            <polygon points={picture.corners.join(' ')} />
            <polyline points={picture.ruler.join(' ')} />
            {[...corners, ...(picture.ruler.length > 0 ? ends : [])].map((name, at) => (
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
      <div className="cloth-fields">
        {entry('across', 'Between them, across')}
        {entry('along', 'Between them, along')}
        {picture.ruler.length > 0 && entry('rulerLength', 'The ruler is')}
        {size && picture.ruler.length === 0 && (
          <Button
            onClick={() =>
              change({
                ruler: [0.3, 0.5, 0.7, 0.5].map((share, at) => Math.round(share * (at % 2 ? size.height : size.width))),
              })
            }
          >
            There is a ruler or a coin in it
          </Button>
        )}
        {picture.ruler.length > 0 && <Button onClick={() => change({ ruler: [], rulerLength: null })}>No ruler</Button>}
      </div>
      {planned && planned.look.tile.includes('photo=') && (
        <p className={s.straight}>
          <img src={planned.look.tile} alt="The cloth, straightened" />
        </p>
      )}
    </Dialog>
  )
}
