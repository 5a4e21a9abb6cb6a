import { memo } from 'react'
import type { ClothPlan, Plan } from '../../api/client'
import { useScene } from '../../job/scene'
import { useCut } from '../../job/useCut'
import { useWord } from '../../parts/useWord'
import s from './lay.module.css'

type LayOf = NonNullable<ClothPlan['lay']>

interface Props {
  lay: LayOf
  items: Plan['items']
  cloth: string
  name: string
  wrongSideUp: boolean
}

/** What is chalked on the cloth, in cutting order: every box from the squared end and from one selvedge, so that no mark is measured from another. */
export const CuttingList = memo(function CuttingList({ lay, items, cloth, name, wrongSideUp }: Props) {
  const tickOff = useCut()
  const selvedge = useWord('selvedge')
  // What is ticked shows at once, while the drawing comes when there is time for it.
  const already = useScene(({ job }) => job.document.cloths.find((each) => each.id === cloth)?.cut)
  const isCut = (id: string) => already?.some((one) => one.piece === id) ?? false
  const cut = lay.placed.filter((piece) => isCut(piece.id)).length
  const called = new Map(
    items.flatMap(({ draft }) => draft.pattern?.pieces ?? []).map((piece) => [piece.label, piece.name]),
  )
  return (
    <section className={s.cutting} aria-label={`Cutting list, ${name}`}>
      <p>
        <b>{cut > 0 ? `${cut} of ${lay.placed.length} cut` : `${lay.placed.length} to cut`}</b>
      </p>
      <table>
        <caption>
          {name}, {wrongSideUp ? 'wrong' : 'right'} side up, cut lines; measured from the squared end and from the
          {selvedge} on top of the drawing.
          {lay.foldedTo &&
            ` Folded double, right sides together, as far as ${lay.foldedTo.text}: what lies above the fold is cut with what lies below it.`}
        </caption>
        <thead>
          <tr>
            <th>Cut</th>
            <th>Order</th>
            <th>Piece</th>
            <th>From the end</th>
            <th>to</th>
            <th>From the {selvedge}</th>
            <th>to</th>
          </tr>
        </thead>
        <tbody>
          {lay.placed.map((piece, at) => (
            <tr key={piece.id}>
              <td>
                <input
                  type="checkbox"
                  aria-label={`${piece.label}, number ${at + 1}, is cut`}
                  checked={isCut(piece.id)}
                  disabled={wrongSideUp}
                  onChange={() => tickOff(cloth, [piece], !isCut(piece.id))}
                />
              </td>
              <td>{at + 1}</td>
              <th scope="row">
                <b>{piece.label}</b> {piece.cutLast ? 'strip, cut last' : called.get(piece.label)}
                {piece.on && <small> on {piece.on}</small>}
              </th>
              <td>{piece.alongRoll.text}</td>
              <td>{piece.toAlongRoll.text}</td>
              <td>{piece.fromSelvedge.text}</td>
              <td>{piece.toSelvedge.text}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
})
