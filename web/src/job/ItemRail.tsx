import { Button } from 'antd'
import { memo } from 'react'
import type { Item } from '../api/client'
import { ItemActs } from './ItemActs'
import { TakeList } from './TakeList'
import { useEdit, useScene, type JobScene } from './scene'
import { SketchDrawing } from '../parts/SketchDrawing'
import { useItemPicture } from '../sewn/useItemPicture'
import s from './ItemRail.module.css'

// Mostly it stands at its own place: forty rows that each look for theirs are sixteen hundred looks at every key.
const at = <T extends { id: string }>(all: T[] | undefined, number: number, id: string) =>
  all?.[number - 1]?.id === id ? all[number - 1] : all?.find((each) => each.id === id)
const draftOf = ({ plan }: JobScene, number: number, id: string) => at(plan?.items, number, id)?.draft
const itemOf = ({ job }: JobScene, number: number, id: string) => at(job.document.items, number, id)

/** The items of the job as small pictures of the sewn cover, or as sketches until they can be sewn; the one in hand can be taken off, and whatever was taken off brought back. */
export const ItemRail = memo(function ItemRail() {
  const ids = useScene(({ job }) => job.document.items.map((each) => each.id).join(' '))
  const widest = useScene(({ plan }) =>
    Math.max(1, ...(plan?.items ?? []).map(({ draft }) => draft.sketch?.box.width ?? 0)),
  )
  const add = useScene((scene) => scene.add)
  return (
    <aside className={s.rail} aria-label="Items">
      <ol>
        {ids
          .split(' ')
          .filter((id) => id !== '')
          .map((id, n) => (
            <RailItem key={id} id={id} number={n + 1} widest={widest} />
          ))}
      </ol>
      <Button block onClick={add}>
        Add an item
      </Button>
      <TakeList />
      <ItemActs />
      <Removed />
    </aside>
  )
})

const RailItem = memo(function RailItem({ id, number, widest }: { id: string; number: number; widest: number }) {
  const name = useScene((scene) => itemOf(scene, number, id)?.name)
  const quantity = useScene((scene) => itemOf(scene, number, id)?.quantity)
  const sketch = useScene((scene) => draftOf(scene, number, id)?.sketch)
  const doubt = useScene((scene) => draftOf(scene, number, id)?.problems.some((each) => !each.missing) ?? false)
  const left = useScene((scene) => draftOf(scene, number, id)?.problems.filter((each) => each.missing).length ?? 0)
  const picture = useItemPicture(id)
  const inHand = useScene((scene) => scene.item?.id === id)
  const takeInHand = useScene((scene) => scene.takeInHand)
  return (
    <li>
      <button type="button" aria-pressed={inHand} onClick={() => takeInHand(id)}>
        <span className={s.title} title={name}>
          <b>{number}</b> {name}
          {quantity !== '1' && <span> × {quantity}</span>}
        </span>
        {picture && !doubt && left === 0 ? (
          <img className={s.picture} src={picture} alt="" />
        ) : (
          sketch && <SketchDrawing sketch={sketch} share={sketch.box.width / widest} />
        )}
        {doubt ? (
          <span className={s.doubt}>to check</span>
        ) : (
          left > 0 && <span>{left === 1 ? '1 size to go' : `${left} sizes to go`}</span>
        )}
      </button>
    </li>
  )
})

function Removed() {
  const removed = useScene((scene) => scene.job.document.removed)
  const takeInHand = useScene((scene) => scene.takeInHand)
  const edit = useEdit()
  if (removed.length === 0) return null
  const bringBack = (back: Item) => {
    edit(
      '',
      ({ items, removed }) => {
        const at = removed.findIndex((each) => each.id === back.id)
        if (at >= 0) items.push(...removed.splice(at, 1))
      },
      `${back.name} is back.`,
    )
    takeInHand(back.id)
  }
  return (
    <details className={s.removed}>
      <summary>Taken off ({removed.length})</summary>
      <ul>
        {removed.map((each) => (
          <li key={each.id}>
            {each.name}
            <Button block onClick={() => bringBack(each)}>
              Bring back {each.name}
            </Button>
          </li>
        ))}
      </ul>
    </details>
  )
}
