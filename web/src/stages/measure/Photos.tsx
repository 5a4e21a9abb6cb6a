import { useQuery, useQueryClient } from '@tanstack/react-query'
import { Button, Input, Upload } from 'antd'
import { memo, useState } from 'react'
import { answer, api, Refused, type Photo } from '../../api/client'
import { sendPhoto } from '../../api/sendPhoto'
import { useScene } from '../../job/scene'
import s from './measure.module.css'

/** Photos of the item as it was found: corners and folds before anything is unpicked. */
export const Photos = memo(function Photos() {
  const id = useScene((scene) => scene.id)
  const item = useScene((scene) => scene.item?.id)
  const [problem, setProblem] = useState('')
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
  const add = (file: File) => send(() => sendPhoto(id, item, file))
  // Only what was changed is sent: the rest may be otherwise by now.
  const change = (photo: Photo, change: { caption: string } | { away: boolean }) =>
    send(async () => {
      await answer(
        api.PUT('/api/photos/{photo}', {
          params: { path: { photo: photo.id } },
          body: { caption: null, away: null, ...change },
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
        <small>corners and folds before anything is unpicked; removed parts with their numbers</small>
      </Upload.Dragger>
      {problem && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
      <ul>
        {photos.data
          ?.filter((photo) => photo.item === item)
          .map((photo) => (
            <li key={photo.id}>
              {photo.away ? (
                <p>Taken away{photo.caption && `: ${photo.caption}`}</p>
              ) : (
                <>
                  <a href={`/api/photos/${photo.id}`} target="_blank" rel="noreferrer">
                    <img src={`/api/photos/${photo.id}`} alt={photo.caption || 'Photo without a caption'} />
                  </a>
                  <Caption photo={photo} write={(caption) => change(photo, { caption })} />
                </>
              )}
              <Button onClick={() => void change(photo, { away: !photo.away })}>
                {photo.away ? 'Put back' : 'Take away'}
              </Button>
            </li>
          ))}
      </ul>
    </section>
  )
})

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
