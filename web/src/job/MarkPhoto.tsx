import { Button, Segmented } from 'antd'
import { useState, type PointerEvent } from 'react'
import type { Photo } from '../api/client'
import { Dialog } from '../parts/Dialog'
import { Marks } from './Marks'
import s from './photos.module.css'

type Mark = Photo['marks'][number]

const whole = 10_000
const clamp = (at: number) => Math.round(Math.max(0, Math.min(whole, at)))

interface Props {
  photo: Photo
  keep: (marks: Mark[]) => Promise<void>
  close: () => void
}

/** One photo large, and arrows, lines and numbers drawn on it by finger or mouse. */
export function MarkPhoto({ photo, keep, close }: Props) {
  const [marks, setMarks] = useState(photo.marks)
  const [kind, setKind] = useState<Mark['kind']>('Arrow')
  const [drawing, setDrawing] = useState<Mark>()
  const [wide, setWide] = useState(1)
  const placeOf = (event: PointerEvent) => {
    const box = event.currentTarget.getBoundingClientRect()
    return {
      x: clamp(((event.clientX - box.left) / box.width) * whole),
      y: clamp(((event.clientY - box.top) / box.height) * whole),
    }
  }
  const begin = (event: PointerEvent) => {
    const { x, y } = placeOf(event)
    const number = kind === 'Number' ? 1 + Math.max(0, ...marks.map((mark) => mark.number)) : 0
    event.currentTarget.setPointerCapture(event.pointerId)
    setDrawing({ kind, x1: x, y1: y, x2: x, y2: y, number })
  }
  const move = (event: PointerEvent) => {
    if (!drawing) return
    const { x, y } = placeOf(event)
    setDrawing(drawing.kind === 'Number' ? { ...drawing, x1: x, y1: y, x2: x, y2: y } : { ...drawing, x2: x, y2: y })
  }
  const end = () => {
    // A line that was only touched is none.
    const far = drawing && Math.hypot(drawing.x2 - drawing.x1, drawing.y2 - drawing.y1)
    if (drawing && (drawing.kind === 'Number' || (far ?? 0) > 150)) setMarks([...marks, drawing])
    setDrawing(undefined)
  }
  return (
    <Dialog
      title={photo.caption || 'Photo'}
      close={close}
      footer={
        <Button type="primary" onClick={() => void keep(marks)}>
          Keep what is drawn
        </Button>
      }
    >
      <div className={s.acts}>
        <Segmented
          aria-label="Draw"
          name="draw"
          value={kind}
          options={[
            { value: 'Arrow', label: 'Arrow' },
            { value: 'Line', label: 'Line' },
            { value: 'Number', label: 'Number' },
          ]}
          onChange={setKind}
        />
        <Button disabled={marks.length === 0} onClick={() => setMarks(marks.slice(0, -1))}>
          Take the last away
        </Button>
        <a href={`/api/photos/${photo.id}`} target="_blank" rel="noreferrer">
          The whole picture
        </a>
      </div>
      <div
        className={s.drawn}
        role="application"
        aria-label="Draw on the photo"
        onPointerDown={begin}
        onPointerMove={move}
        onPointerUp={end}
        onPointerCancel={() => setDrawing(undefined)}
      >
        <img
          src={`/api/photos/${photo.id}`}
          alt={photo.caption || 'Photo without a caption'}
          draggable={false}
          onLoad={(event) => setWide(event.currentTarget.clientWidth / Math.max(1, event.currentTarget.clientHeight))}
        />
        <Marks marks={drawing ? [...marks, drawing] : marks} wide={wide} />
      </div>
    </Dialog>
  )
}
