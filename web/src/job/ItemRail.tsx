import { Button } from 'antd'
import { useScene } from './context'
import { SketchDrawing } from './SketchDrawing'

/** The items of the job as small sketches, all to one scale. */
export function ItemRail() {
  const { job, plan, item, take, add } = useScene()
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
      <Button block onClick={add}>Add an item</Button>
    </aside>
  )
}
