import { useScene } from '../../job/scene'
import { usePrinting } from '../../parts/usePrinting'
import { Sheet } from './Sheet'
import s from './measure.module.css'

/** A measuring sheet of every item: the drawing with its letters, what to hold the tape against, room for two readings. */
export function PrintedMeasures() {
  const printing = usePrinting()
  return printing ? <Sheets /> : null
}

function Sheets() {
  const items = useScene((scene) => scene.job.document.items)
  const makeUps = useScene((scene) => scene.makeUps)
  const plan = useScene((scene) => scene.plan)
  return (
    <section className={s.printed} aria-label="Measuring sheet">
      {items.map((item, at) => {
        const makeUp = makeUps.find((each) => each.key === item.makeUp)
        const draft = plan?.items.find((each) => each.id === item.id)?.draft
        return makeUp && draft?.sketch ? (
          <Sheet
            key={item.id}
            title={`${at + 1} ${item.name}${item.quantity === '1' ? '' : ` × ${item.quantity}`}`}
            sketch={draft.sketch}
            measures={makeUp.measures.filter(
              ({ key, kind }) => kind === 'length' && draft.asked.includes(`measures.${key}`),
            )}
            read={(key) => item.measures[key]?.typed ?? ''}
            notes={item.notes}
            parts={item.partsOff.map((part, at) => `${at + 1} ${part.name}`).join('; ')}
          />
        ) : null
      })}
    </section>
  )
}
