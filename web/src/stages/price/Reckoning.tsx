import type { Offer } from '../../api/client'
import { Folded } from '../../parts/Folded'
import s from './price.module.css'

/** The lines as they stand on papers, with their sum, and how they come about. */
export function Reckoning({ offer }: { offer: Offer }) {
  const { sum } = offer
  return (
    <>
      <table className={s.lines}>
        <caption className="unseen">Lines as they stand on papers</caption>
        <tbody>
          {offer.lines.map((line, at) => (
            <tr key={line.item || `extra-${at}`}>
              <th scope="row">
                {line.text}
                {line.quantity > 1 && ` × ${line.quantity}`}
                {line.told.length > 0 && <small>{line.told.join(' · ')}</small>}
              </th>
              <td>{line.amount.text}</td>
            </tr>
          ))}
        </tbody>
        <tfoot>
          {sum.taxes.length > 0 && (
            <tr>
              <th scope="row">Before tax</th>
              <td>{sum.net.text}</td>
            </tr>
          )}
          {sum.taxes.map((tax) => (
            <tr key={tax.name}>
              <th scope="row">
                {tax.name} {tax.percent} %
              </th>
              <td>{tax.amount.text}</td>
            </tr>
          ))}
          <tr className={s.total}>
            <th scope="row">{offer.whole ? 'In all' : 'In all, as far as it is known'}</th>
            <td data-testid="offer-total">{sum.total.text}</td>
          </tr>
        </tfoot>
      </table>
      <Folded className={s.how} summary={`How it comes about: it costs ${offer.cost}`}>
        <table className={s.costs}>
          <tbody>
            {offer.costs.map((cost) => (
              <tr key={`${cost.kind}${cost.name}`}>
                <th scope="row">{cost.name}</th>
                <td className={s.working}>{cost.working}</td>
                <td>{cost.value}</td>
              </tr>
            ))}
            <tr className={s.total}>
              <th scope="row">It costs</th>
              <td />
              <td>{offer.cost}</td>
            </tr>
            {offer.steps.map((step) => (
              <tr key={step.name}>
                <th scope="row">{step.name}</th>
                <td className={s.working}>{step.working}</td>
                <td>{step.value}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Folded>
    </>
  )
}
