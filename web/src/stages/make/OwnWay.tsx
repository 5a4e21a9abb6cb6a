import { Button, Input } from 'antd'
import { useState } from 'react'
import { answer, api, newId, Refused, type Bench, type JobDocument } from '../../api/client'
import { useEdit, useScene } from '../../job/scene'
import { Folded } from '../../parts/Folded'
import s from './make.module.css'

type WayStep = JobDocument['items'][number]['way'][number]

interface Props {
  turn: Bench['turns'][number]
  at: NonNullable<Bench['at']>
  /** The item's steps in order, as they are made now. */
  steps: Bench['turns']
}

const none: WayStep[] = []

const keyOf = (turn: Bench['turns'][number]) => turn.step.slice(turn.item.length + 1)

/** The maker's own way: steps moved and added, a note at one of them, and all of it kept for every such cover. */
export function OwnWay({ turn, at, steps }: Props) {
  const edit = useEdit()
  const makeUp = useScene(({ job }) => job.document.items.find((each) => each.id === turn.item)?.makeUp)
  const own = useScene(({ job }) => job.document.items.find((each) => each.id === turn.item)?.way) ?? none
  const [added, setAdded] = useState('')
  const [told, setTold] = useState('')
  const key = keyOf(turn)
  // A way names every step, so that it stays what it is whatever is moved next.
  const change = (did: string, step: string, to: (way: WayStep[], place: number) => void) =>
    edit(
      step,
      (document) => {
        const item = document.items.find((each) => each.id === turn.item)
        if (!item) return
        const known = new Map(item.way.map((row) => [row.id, row]))
        // What is shown lags a moment: a second tap goes on from where the first one put it.
        const isWhole = at.wayBroken === '' && steps.every((each) => known.has(keyOf(each)))
        const way = isWhole
          ? item.way.map((row) => ({ ...row }))
          : steps.map((each): WayStep => {
              const row = known.get(keyOf(each))
              return row ? { ...row } : { id: keyOf(each), text: each.kind === 'own' ? each.text : '', note: '' }
            })
        to(
          way,
          way.findIndex((row) => row.id === key),
        )
        item.way = way
      },
      did,
    )
  const move = (by: 1 | -1) =>
    change(by > 0 ? 'It is done later now.' : 'It is done earlier now.', '', (way, place) => {
      const [row] = way.splice(place, 1)
      if (row) way.splice(place + by, 0, row)
    })
  const keep = async (isOwn: boolean) => {
    if (makeUp === undefined) return
    try {
      const body = { steps: isOwn ? own : [] }
      await answer(api.PUT('/api/ways/{makeUp}', { params: { path: { makeUp } }, body }))
      setTold(
        isOwn ? 'Kept: new covers of this kind begin with it.' : 'New covers of this kind begin with the usual way.',
      )
    } catch (error) {
      setTold(error instanceof Refused ? error.message : 'The server does not answer. Nothing was kept: try again.')
    }
  }
  const place = steps.findIndex((each) => keyOf(each) === key)
  return (
    <Folded className={s.noting} summary="Your own way" asked={at.wayBroken !== ''}>
      {at.wayBroken && (
        <p className="problem" role="alert">
          The order is not taken up: {at.wayBroken}.
        </p>
      )}
      <p className={s.answers}>
        <Button disabled={place < 1} onClick={() => move(-1)}>
          Do it earlier
        </Button>
        <Button disabled={place >= steps.length - 1} onClick={() => move(1)}>
          Do it later
        </Button>
        {turn.kind === 'own' && (
          <Button onClick={() => change('The step is gone.', '', (way, at) => way.splice(at, 1))}>Take it out</Button>
        )}
      </p>
      <form
        className={s.answers}
        onSubmit={(event) => {
          event.preventDefault()
          if (added.trim() === '') return
          change('Your step comes next.', '', (way, at) =>
            way.splice(at + 1, 0, { id: `own-${newId()}`, text: added.trim(), note: '' }),
          )
          setAdded('')
        }}
      >
        <Input
          aria-label="A step of yours after this one"
          placeholder="A step of yours after this one"
          value={added}
          maxLength={400}
          onChange={(event) => setAdded(event.currentTarget.value)}
        />
        <Button htmlType="submit">Add it</Button>
      </form>
      <Input.TextArea
        autoSize
        aria-label="What to think of here every time"
        placeholder="What to think of here every time"
        value={own.find((row) => row.id === key)?.note ?? ''}
        onChange={(event) => {
          const { value } = event.currentTarget
          change('', `way ${turn.step}`, (way, place) => {
            const row = way[place]
            if (row) row.note = value
          })
        }}
      />
      <p className={s.answers}>
        <Button onClick={() => void keep(true)} disabled={own.length === 0}>
          Keep it for every such cover
        </Button>
        <Button
          onClick={() => {
            edit(
              '',
              (document) => {
                const item = document.items.find((each) => each.id === turn.item)
                if (item) item.way = []
              },
              'The usual way again.',
            )
            void keep(false)
          }}
        >
          The usual way again
        </Button>
        {told && <span role="status">{told}</span>}
      </p>
    </Folded>
  )
}
