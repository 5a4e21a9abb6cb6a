import { useQuery, useQueryClient } from '@tanstack/react-query'
import { Button, Input, Segmented, Upload } from 'antd'
import { memo, useRef, useState } from 'react'
import { answer, api, Refused, type Photo } from '../api/client'
import { sendPhoto } from '../api/sendPhoto'
import { MarkPhoto } from './MarkPhoto'
import { Marks } from './Marks'
import { useScene } from './scene'
import s from './photos.module.css'

type Change = Partial<Pick<Photo, 'caption' | 'away' | 'moment' | 'marks'>>

// Before stands beside after.
const order = ['before', '', 'after']

/** Photos of the item in hand: as it was found, and as it went out; new ones are of `moment`. */
export const Photos = memo(function Photos({ moment }: { moment: 'before' | 'after' }) {
  const id = useScene((scene) => scene.id)
  const item = useScene((scene) => scene.item?.id)
  const camera = useRef<HTMLInputElement>(null)
  const [problem, setProblem] = useState('')
  const [marking, setMarking] = useState<Photo>()
  const queries = useQueryClient()
  const photos = useQuery({
    queryKey: ['photos', id],
    queryFn: () => answer(api.GET('/api/jobs/{id}/photos', { params: { path: { id } } })),
  })
  if (item === undefined) return null
  // Every change is told when it did not reach the workroom.
  const send = async (call: () => Promise<unknown>) => {
    setProblem('')
    let sent = true
    try {
      await call()
    } catch (error) {
      sent = false
      setProblem(
        error instanceof Refused ? error.message : 'The server does not answer. Nothing was changed: try again.',
      )
    }
    await queries.invalidateQueries({ queryKey: ['photos', id] })
    return sent
  }
  const add = (file: File) => send(() => sendPhoto(id, item, file, moment))
  // Only what was changed is sent: the rest may be otherwise by now.
  const change = (photo: Photo, change: Change) =>
    send(async () => {
      await answer(
        api.PUT('/api/photos/{photo}', {
          params: { path: { photo: photo.id } },
          body: { caption: null, away: null, moment: null, marks: null, ...change },
        }),
      )
    })
  return (
    <section className={s.photos} aria-label="Photos">
      <Upload.Dragger
        aria-label="Add photos"
        accept="image/jpeg,image/png,image/webp"
        multiple
        showUploadList={false}
        customRequest={({ file }) => void add(file as File)}
      >
        <b>Add photos</b>, or drop them here{' '}
        <small>
          {moment === 'before'
            ? 'corners and folds before anything is unpicked; removed parts with their numbers'
            : 'as it goes out: every side, the corner that opens'}
        </small>
      </Upload.Dragger>
      <p className={s.acts}>
        <Button onClick={() => camera.current?.click()}>Take a photo</Button>
        <input
          ref={camera}
          className={s.hidden}
          type="file"
          accept="image/jpeg,image/png,image/webp"
          capture="environment"
          aria-label="Camera"
          onChange={(event) => {
            const [file] = event.currentTarget.files ?? []
            if (file) void add(file)
            event.currentTarget.value = ''
          }}
        />
      </p>
      {problem && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
      <ul>
        {photos.data
          ?.filter((photo) => photo.item === item)
          .sort((a, b) => order.indexOf(a.moment) - order.indexOf(b.moment))
          .map((photo) => (
            <li key={photo.id}>
              {photo.away ? (
                <p>Taken away{photo.caption && `: ${photo.caption}`}</p>
              ) : (
                <>
                  <Seen photo={photo} look={() => setMarking(photo)} />
                  <Segmented
                    aria-label="Before or after"
                    name={`moment-${photo.id}`}
                    value={photo.moment}
                    options={[
                      { value: 'before', label: 'before' },
                      { value: 'after', label: 'after' },
                    ]}
                    onChange={(to) => void change(photo, { moment: to })}
                  />
                  <Caption photo={photo} write={(caption) => change(photo, { caption })} />
                </>
              )}
              <Button onClick={() => void change(photo, { away: !photo.away })}>
                {photo.away ? 'Put back' : 'Take away'}
              </Button>
            </li>
          ))}
      </ul>
      {marking && (
        <MarkPhoto
          photo={marking}
          keep={async (marks) => {
            if (await change(marking, { marks })) setMarking(undefined)
          }}
          close={() => setMarking(undefined)}
        />
      )}
    </section>
  )
})

// In little, with what was drawn on it.
function Seen({ photo, look }: { photo: Photo; look: () => void }) {
  const [wide, setWide] = useState(1)
  return (
    <button
      type="button"
      className={s.seen}
      aria-label={`Look at it and draw on it: ${photo.caption || 'no caption'}`}
      onClick={look}
    >
      <img
        src={`/api/photos/${photo.id}/small`}
        alt={photo.caption || 'Photo without a caption'}
        onLoad={(event) => setWide(event.currentTarget.naturalWidth / event.currentTarget.naturalHeight)}
      />
      <Marks marks={photo.marks} wide={wide} />
    </button>
  )
}

/** What a photo shows: as typed while the hand is on it, as it is kept otherwise. */
function Caption({ photo, write }: { photo: Photo; write: (caption: string) => Promise<boolean> }) {
  const [typed, setTyped] = useState<string>()
  return (
    <Input
      aria-label="What it shows"
      placeholder="What it shows"
      value={typed ?? photo.caption}
      maxLength={300}
      onChange={(event) => setTyped(event.currentTarget.value)}
      onBlur={() => {
        if (typed !== undefined && typed !== photo.caption)
          void write(typed).then((sent) => {
            if (sent) setTyped(undefined)
          })
      }}
    />
  )
}
