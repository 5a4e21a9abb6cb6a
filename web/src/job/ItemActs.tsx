import { Button } from 'antd'
import { clsx } from 'clsx'
import { useState } from 'react'
import { answer, api, newId, Refused, type Item } from '../api/client'
import { nextName } from './nextName'
import { useEdit, useScene, useSceneStore } from './scene'
import s from './ItemRail.module.css'

/** What is done with the item in hand: one more like it or like its mirror image, its place in the job, taking it off. */
export function ItemActs() {
  const store = useSceneStore()
  const id = useScene((scene) => scene.item?.id)
  const name = useScene((scene) => scene.item?.name)
  const at = useScene(({ job, item }) => job.document.items.findIndex((each) => each.id === item?.id))
  const count = useScene(({ job }) => job.document.items.length)
  const edit = useEdit()
  const [open, setOpen] = useState(false)
  const [failed, setFailed] = useState('')
  if (id === undefined) return null
  const add = (item: Item, how: string) => {
    const { job, takeInHand } = store.get()
    const names = job.document.items.map((each) => each.name)
    const again = { ...item, id: newId(), name: nextName(item.name, names) }
    edit(
      '',
      ({ items }) => void items.splice(items.findIndex((each) => each.id === id) + 1, 0, again),
      `${again.name}: ${how}`,
    )
    takeInHand(again.id)
  }
  const same = () => {
    const { item } = store.get()
    if (item) add(structuredClone(item), 'the same again.')
  }
  const mirrored = async () => {
    const { item } = store.get()
    if (!item) return
    try {
      const mirrored = await answer(api.POST('/api/items/mirror', { body: item }))
      const entered = ({ measures, choices, allowances }: Item) => JSON.stringify([measures, choices, allowances])
      const alike = entered(mirrored) === entered(item)
      setFailed('')
      add(mirrored, alike ? 'the same again; its left and right are alike.' : 'its mirror image.')
    } catch (error) {
      setFailed(error instanceof Refused ? error.message : 'The server does not answer. Nothing was added.')
    }
  }
  const move = (by: 1 | -1) => {
    const { job } = store.get()
    const chalked = job.document.cloths.some((cloth) => cloth.cut.length > 0)
    edit(
      '',
      ({ items }) => {
        const from = items.findIndex((each) => each.id === id)
        const [moved] = items.splice(from, 1)
        if (moved) items.splice(from + by, 0, moved)
      },
      `${name} is number ${at + by + 1}.${chalked ? ' Labels on pieces that are cut are those of before.' : ''}`,
    )
  }
  const takeOff = () =>
    edit(
      '',
      ({ items, removed }) => {
        const from = items.findIndex((each) => each.id === id)
        if (from >= 0) removed.push(...items.splice(from, 1))
      },
      `${name} was taken off.`,
    )
  return (
    <>
      <Button
        className={s.more ?? ''}
        aria-label={`More with ${name}`}
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      >
        …
      </Button>
      <div className={clsx(s.acts, !open && s.folded)} role="group" aria-label={`With ${name}`}>
        <Button onClick={same}>Same again</Button>
        <Button onClick={() => void mirrored()}>Mirrored</Button>
        <Button disabled={at <= 0} aria-label={`Move ${name} up`} onClick={() => move(-1)}>
          Up
        </Button>
        <Button disabled={at >= count - 1} aria-label={`Move ${name} down`} onClick={() => move(1)}>
          Down
        </Button>
        <Button aria-label={`Take off ${name}`} onClick={takeOff}>
          Take off
        </Button>
      </div>
      {failed && (
        <p className="problem" role="alert">
          {failed}
        </p>
      )}
    </>
  )
}
