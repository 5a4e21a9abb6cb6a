import { Button } from 'antd'
import type { Item } from '../api/client'
import { useScene } from './context'
import { SketchDrawing } from './SketchDrawing'

/** The items of the job as small sketches, all to one scale; the one in hand can be taken off, and whatever was taken off brought back. */
export function ItemRail() {
  const { job, plan, item, take, add } = useScene()
  const takeOff = (gone: Item) =>
    job.edit('', (old) => ({
      ...old,
      items: old.items.filter((each) => each.id !== gone.id),
      removed: [...old.removed, gone],
    }))
  const bringBack = (back: Item) => {
    job.edit('', (old) => ({
      ...old,
      items: [...old.items, back],
      removed: old.removed.filter((each) => each.id !== back.id),
    }))
    take(back.id)
  }
  const drafts = new Map(plan?.items.map((planned) => [planned.id, planned.draft]))
  const widest = Math.max(1, ...[...drafts.values()].map((draft) => draft.sketch?.box.width ?? 0))
  return (
    <aside className="rail" aria-label="Items">
      <ol>
        {job.document.items.map((each, at) => {
          const draft = drafts.get(each.id)
          return (
            <li key={each.id}>
              <button type="button" aria-pressed={each.id === item?.id} onClick={() => take(each.id)}>
                <span className="title">
                  <b>{at + 1}</b> {each.name}
                  {each.quantity !== '1' && <span> × {each.quantity}</span>}
                </span>
                {draft?.sketch && <SketchDrawing sketch={draft.sketch} share={draft.sketch.box.width / widest} />}
                {draft && draft.problems.length > 0 && <span className="doubt">in doubt</span>}
              </button>
            </li>
          )
        })}
      </ol>
      <Button block onClick={add}>
        Add an item
      </Button>
      {item && (
        <Button block onClick={() => takeOff(item)}>
          Take off {item.name}
        </Button>
      )}
      {job.document.removed.length > 0 && (
        <details className="removed">
          <summary>Taken off ({job.document.removed.length})</summary>
          <ul>
            {job.document.removed.map((each) => (
              <li key={each.id}>
                {each.name}
                <Button block onClick={() => bringBack(each)}>
                  Bring back {each.name}
                </Button>
              </li>
            ))}
          </ul>
        </details>
      )}
    </aside>
  )
}
