import { memo } from 'react'
import { Folded } from '../../parts/Folded'
import { draftInHand, useScene } from '../../job/scene'
import s from './make-up.module.css'

/** What stands in the pattern beside its sizes; cautions are never folded away. */
export const Cautions = memo(function Cautions() {
  const remarks = useScene((scene) => draftInHand(scene)?.pattern?.remarks)
  if (!remarks?.length) return null
  return (
    <ul className={s.remarks}>
      {remarks.map((remark) => (
        <li key={remark.text} className={remark.caution ? s.caution : undefined}>
          {remark.caution && <b>Take care. </b>}
          {remark.text}
        </li>
      ))}
    </ul>
  )
})

/** The steps with their cautions, and the time that one takes. */
export const MakingOrder = memo(function MakingOrder() {
  const steps = useScene((scene) => draftInHand(scene)?.pattern?.steps)
  const works = useScene((scene) => draftInHand(scene)?.pattern?.works)
  if (!steps) return null
  return (
    <Folded className={s.steps} summary={`Making order · ${steps.length} steps`}>
      <ol>
        {steps.map((step) => (
          <li key={step.text}>
            {step.text}
            {step.cautions.map((caution) => (
              <p key={caution} className={s.caution}>
                <b>Take care. </b>
                {caution}
              </p>
            ))}
          </li>
        ))}
      </ol>
      {works && (
        <table className={s.works}>
          <caption>Time for one, by the table of rates</caption>
          <tbody>
            {works.map((work) => (
              <tr key={work.name}>
                <th scope="row">{work.name}</th>
                <td>{work.time}</td>
                <td className="note">{work.over}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </Folded>
  )
})
