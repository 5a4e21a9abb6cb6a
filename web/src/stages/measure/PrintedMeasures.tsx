import { unitWord, type Draft, type Item, type MakeUp } from '../../api/client'
import { useScene, useUnit } from '../../job/scene'
import { Strokes } from '../../parts/SketchDrawing'
import { usePrinting } from '../../parts/usePrinting'
import { label, layOut } from './layout'
import s from './measure.module.css'

const width = 660,
  height = 330

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
          <Sheet key={item.id} number={at + 1} item={item} makeUp={makeUp} draft={draft} sketch={draft.sketch} />
        ) : null
      })}
    </section>
  )
}

interface SheetProps {
  number: number
  item: Item
  makeUp: MakeUp
  draft: Draft
  sketch: NonNullable<Draft['sketch']>
}

function Sheet({ number, item, makeUp, draft, sketch }: SheetProps) {
  const unit = unitWord(useUnit())
  const laid = layOut(sketch, width, height)
  const measures = makeUp.measures.filter(
    ({ key, kind }) => kind === 'length' && draft.asked.includes(`measures.${key}`),
  )
  return (
    <article>
      <h2>
        {number} {item.name}
        {item.quantity !== '1' && ` × ${item.quantity}`}
      </h2>
      <svg viewBox={`0 0 ${width} ${height}`} aria-hidden>
        <g transform={`translate(${laid.x} ${laid.y}) scale(${laid.scale})`}>
          <Strokes sketch={sketch} />
        </g>
        {Object.entries(laid.lines).map(([measure, line]) => {
          const at = laid.labels[measure]
          return (
            <g key={measure}>
              <line {...line} />
              {at?.leader && <line {...at.leader} className={s.reach} />}
              {at && (
                <text x={at.x + label.width / 2} y={at.y + label.height / 2}>
                  {measure}
                </text>
              )}
            </g>
          )
        })}
      </svg>
      <table>
        <thead>
          <tr>
            <th />
            <th>Hold the tape</th>
            <th>Read, {unit}</th>
            <th>Again</th>
          </tr>
        </thead>
        <tbody>
          {measures.map((measure) => (
            <tr key={measure.key}>
              <th scope="row">{measure.key}</th>
              <td>
                <b>{measure.name}</b>
                {measure.optional && ', if there is one'}. {measure.holdTape}
              </td>
              <td className={s.box}>{item.measures[measure.key]?.typed}</td>
              <td className={s.box}>{item.measures[`${measure.key} again`]?.typed}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className={s.noted}>In the way, or kept: {item.notes}</p>
      <p className={s.noted}>
        Comes off, numbered: {item.partsOff.map((part, at) => `${at + 1} ${part.name}`).join('; ')}
      </p>
    </article>
  )
}
