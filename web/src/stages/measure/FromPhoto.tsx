import { Button, Input, Upload } from 'antd'
import { useState } from 'react'
import { answer, api, Refused, unitWord, type TemplateEdge } from '../../api/client'
import { useUnit } from '../../job/scene'
import { Dialog } from '../../parts/Dialog'
import { PhotoPoints, type PhotoSize } from '../../parts/PhotoPoints'
import { told } from '../../parts/told'
import s from './measure.module.css'

const names = [
  'upper left corner of the square',
  'upper right corner of the square',
  'lower right corner of the square',
  'lower left corner of the square',
  'on the template',
]

interface Props {
  /** Takes the points of the outline. */
  take: (points: string) => void
}

/** The outline of a template in a photo: a square of known size beside it says how the photo was held. */
export function FromPhoto({ take }: Props) {
  const [photo, setPhoto] = useState<{ file: File; src: string }>()
  const look = (file: File) => {
    const reader = new FileReader()
    reader.onload = () => setPhoto({ file, src: typeof reader.result === 'string' ? reader.result : '' })
    reader.readAsDataURL(file)
  }
  return (
    <>
      <Upload
        accept="image/*"
        aria-label="Photo of the template"
        showUploadList={false}
        customRequest={({ file }) => look(file as File)}
      >
        <Button>Read it from a photo</Button>
      </Upload>
      {photo && (
        <Following
          {...photo}
          take={(points) => {
            take(points)
            setPhoto(undefined)
          }}
          close={() => setPhoto(undefined)}
        />
      )}
    </>
  )
}

function Following({ file, src, take, close }: Props & { file: File; src: string; close: () => void }) {
  const unit = useUnit()
  const usual = unit === 'cm' ? '10' : '4'
  const [size, setSize] = useState<PhotoSize>()
  const [moved, setMoved] = useState<number[]>()
  const [side, setSide] = useState('')
  const [edge, setEdge] = useState<TemplateEdge>()
  const [problem, setProblem] = useState('')
  // The square in the lower left at first, and the template in the middle: where they mostly lie.
  const points =
    moved ??
    [0.05, 0.7, 0.2, 0.7, 0.2, 0.9, 0.05, 0.9, 0.55, 0.45].map((share, at) =>
      Math.round(share * (at % 2 ? (size?.height ?? 0) : (size?.width ?? 0))),
    )
  const put = (at: number, x: number, y: number) => {
    const next = [...points]
    next[2 * at] = x
    next[2 * at + 1] = y
    setMoved(next)
    setEdge(undefined)
  }
  const follow = async () => {
    setProblem('')
    try {
      const found = await answer(
        api.POST('/api/outlines/photo', {
          params: {
            query: {
              square: points.slice(0, 8).join(','),
              at: points.slice(8).join(','),
              side: side.trim() === '' ? usual : side,
              unit,
            },
          },
          body: file as unknown as string,
          bodySerializer: (body) => body,
          headers: { 'Content-Type': file.type === '' ? 'image/jpeg' : file.type },
        }),
      )
      setEdge(found)
    } catch (error) {
      setEdge(undefined)
      setProblem(error instanceof Refused ? (error.problems[0]?.reason ?? error.message) : told(error))
    }
  }
  const count = edge ? edge.points.split(';').length : 0
  return (
    <Dialog title="A photo of the template" close={close}>
      <p>
        Lay the template flat on a ground of another colour, a square of known size beside it: the square of any drawing
        printed here will do, and a larger one is closer. Put the four corners on the square and the last point on the
        template.
      </p>
      <PhotoPoints src={src} names={names} points={points} size={size} setSize={setSize} put={put}>
        <polygon points={points.slice(0, 8).join(' ')} />
        {edge && <polygon points={edge.corners.join(' ')} />}
      </PhotoPoints>
      <div className={s.square}>
        <label>
          A side of the square
          <Input
            value={side}
            placeholder={usual}
            suffix={unitWord(unit)}
            maxLength={40}
            onChange={(event) => {
              setSide(event.currentTarget.value)
              setEdge(undefined)
            }}
          />
        </label>
        <Button type={edge ? 'default' : 'primary'} disabled={!size} onClick={() => void follow()}>
          Follow its edge
        </Button>
        {edge && (
          <>
            <span role="status">
              {count} points, {edge.across} by {edge.along}: hold the tape against it, and look whether the line lies on
              the edge all round.
            </span>
            <Button type="primary" onClick={() => take(edge.points)}>
              Take these points
            </Button>
          </>
        )}
      </div>
      {problem && (
        <p className="problem" role="alert">
          {problem}.
        </p>
      )}
    </Dialog>
  )
}
