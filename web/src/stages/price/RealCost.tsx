import { useQuery } from '@tanstack/react-query'
import { Button } from 'antd'
import { answer, api, newId, type PriceSheet } from '../../api/client'
import { identity } from '../../parts/identity'
import { told } from '../../parts/told'
import { Typed } from '../../parts/Typed'
import { useDocument } from '../../job/scene'
import s from './price.module.css'

interface Props {
  id: string
  revision: number
  sheet: PriceSheet
  edit: (change: (sheet: PriceSheet) => PriceSheet) => void
}

/** Whether it paid: what was ordered, less material as it was paid and hours as they were timed. */
export function RealCost({ id, revision, sheet, edit }: Props) {
  const document = useDocument()
  const asked = useQuery({
    queryKey: ['real-cost', id, revision, identity(document)],
    queryFn: ({ signal }) => answer(api.GET('/api/jobs/{id}/real-cost', { params: { path: { id } }, signal })),
    placeholderData: (before) => before,
    retry: false,
  })
  const cost = asked.data
  const change = (row: string, changed: object) =>
    edit((old) => ({ ...old, bought: old.bought.map((each) => (each.id === row ? { ...each, ...changed } : each)) }))
  return (
    <section className={s.cost} aria-label="Did it pay?">
      <h2>Did it pay?</h2>
      {asked.isError && <p className="problem">{told(asked.error)}</p>}
      {cost && (
        <table className={s.costs}>
          <tbody>
            <tr>
              <th scope="row">Ordered, before tax</th>
              <td className={s.working} />
              <td>{cost.ordered}</td>
            </tr>
            <tr>
              <th scope="row">Material</th>
              <td className={s.working}>{cost.materialPaid ? 'as it was paid' : 'as it is reckoned'}</td>
              <td>{cost.material}</td>
            </tr>
            <tr>
              <th scope="row">Making</th>
              <td className={s.working}>
                {cost.hours}: {cost.timed} timed, reckoned {cost.reckoned} in all
              </td>
              <td>{cost.labour}</td>
            </tr>
            <tr className={s.total}>
              <th scope="row">{cost.paid ? 'It leaves' : 'It did not pay'}</th>
              <td className={s.working}>{cost.anHour && `an hour of it earned ${cost.anHour}`}</td>
              <td data-testid="leaves">{cost.left}</td>
            </tr>
          </tbody>
        </table>
      )}
      {sheet.bought.map((row, at) => (
        <fieldset key={row.id} className={s.extra} aria-label={`Receipt ${at + 1}`}>
          <Typed
            label="Bought"
            value={row.text}
            placeholder="Cloth, at the merchant"
            write={(text) => change(row.id, { text })}
          />
          <Typed
            label="Paid, before tax"
            value={row.amount}
            problem={
              row.amount === '' ? undefined : cost?.problems.find(({ field }) => field === `bought.${row.id}.amount`)
            }
            write={(amount) => change(row.id, { amount })}
          />
          <Button onClick={() => edit((old) => ({ ...old, bought: old.bought.filter((each) => each.id !== row.id) }))}>
            Take away
          </Button>
        </fieldset>
      ))}
      <div className={s.row}>
        <Button
          onClick={() => edit((old) => ({ ...old, bought: [...old.bought, { id: newId(), text: '', amount: '' }] }))}
        >
          Enter what was paid for material
        </Button>
      </div>
    </section>
  )
}
