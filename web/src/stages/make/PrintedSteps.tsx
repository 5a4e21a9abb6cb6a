import { useScene } from '../../job/scene'
import { usePrinting } from '../../parts/usePrinting'
import s from './make.module.css'

/** The making sheet: every item's steps in order, with cautions, checks and boxes to tick, drawn only while it is printed. */
export function PrintedSteps() {
  const printing = usePrinting()
  return printing ? <Sheets /> : null
}

function Sheets() {
  const items = useScene(({ job }) => job.document.items)
  const plan = useScene((scene) => scene.plan)
  return (
    <section className={s.printed} aria-label="Making sheet">
      {items.map((item, at) => {
        const pattern = plan?.items.find((each) => each.id === item.id)?.draft.pattern
        return pattern ? (
          <article key={item.id}>
            <h2>
              {at + 1} {item.name}
              {item.quantity === '1' ? '' : ` × ${item.quantity}`}
            </h2>
            <ol>
              {pattern.steps.map((step, n) => (
                <li key={n}>
                  <p>
                    <i className={s.box} /> <b>{n + 1}</b> {step.text}
                  </p>
                  {step.cautions.map((caution) => (
                    <p key={caution} className={s.take}>
                      Take care. {caution}
                    </p>
                  ))}
                  {step.checks.map((check) => (
                    <p key={check.text} className={s.look}>
                      {check.text}
                      {check.target && (
                        <>
                          {' '}
                          <b>{check.target.text}</b> ± {check.tolerance}
                        </>
                      )}{' '}
                      {check.places.map((place) => (
                        <span key={place}>
                          {place} <i className={s.box} />
                        </span>
                      ))}
                    </p>
                  ))}
                </li>
              ))}
            </ol>
          </article>
        ) : null
      })}
    </section>
  )
}
