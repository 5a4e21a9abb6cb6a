import { Button } from 'antd'
import { useState } from 'react'
import { ClothFields, OtherProblems } from './ClothFields'
import { ClothDrawing } from './ClothDrawing'
import { useAddCloth } from './useAddCloth'
import { useScene } from '../job/context'

/** Each cloth as it lies on the table, with its pieces. */
export default function Lay() {
  const { job, plan, stale } = useScene()
  const addCloth = useAddCloth()
  const [pointed, setPointed] = useState<string>()
  return (
    <>
      {job.document.cloths.map((cloth) => {
        const planned = plan?.cloths.find((each) => each.id === cloth.id)
        const lay = planned?.lay
        return (
          <section key={cloth.id} className={stale ? 'cloth stale' : 'cloth'} aria-label={cloth.name}>
            <ClothFields cloth={cloth} planned={planned} show={['width', 'selvedge']} />
            <OtherProblems planned={planned} asked={['width', 'selvedge']} />
            {lay && (
              <>
                <ClothDrawing lay={lay} tone={cloth.tone} name={cloth.name} oneWay={cloth.oneWay} pointed={pointed} point={setPointed} />
                <dl className="facts">
                  <div><dt>Cloth needed, as laid</dt><dd data-testid={`laid-${cloth.id}`}>{lay.length.text}</dd></div>
                  <div><dt>Counted in rows by hand</dt><dd>{lay.byHand.text}</dd></div>
                  <div><dt>Shortest possible, not under</dt><dd>{lay.shortestPossible.text}</dd></div>
                  {planned.usable && <div><dt>Usable width</dt><dd>{planned.usable.text}</dd></div>}
                </dl>
                <p className="pointed-piece" aria-live="polite">
                  {lay.placed.filter((piece) => piece.id === pointed).map((piece) => (
                    <span key={piece.id}><b>{piece.label}</b> starts {piece.alongRoll.text} from the squared end and {piece.fromSelvedge.text} from the selvedge (cut line)</span>
                  ))}
                </p>
              </>
            )}
            {planned && !lay && planned.problems.length === 0 && <p className="note">{planned.pieces === 0 ? 'Nothing is cut from this cloth yet.' : 'Laying …'}</p>}
          </section>
        )
      })}
      <Button onClick={addCloth}>Add a cloth</Button>
    </>
  )
}
