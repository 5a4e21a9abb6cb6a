import { clsx } from 'clsx'
import { Button } from 'antd'
import { memo, useState } from 'react'
import type { Plan } from '../../api/client'
import { PrintSheet } from '../../job/PrintSheet'
import { useScene } from '../../job/scene'
import { Saves } from '../../parts/Saves'
import { Swatch } from '../../parts/Swatch'
import { FromShelves } from './FromShelves'
import { asText, byCounter, listed } from './listed'
import s from './buy.module.css'

/** One list of all that is bought, cloths first: to take along, to copy, to print. */
export const ShoppingList = memo(function ShoppingList() {
  const plan = useScene((scene) => scene.plan)
  const stale = useScene((scene) => scene.stale)
  return plan ? <List plan={plan} stale={stale} /> : null
})

function List({ plan, stale }: { plan: Plan; stale: boolean }) {
  const cloths = useScene((scene) => scene.job.document.cloths)
  const name = useScene((scene) => scene.job.document.name)
  const id = useScene((scene) => scene.id)
  const [copied, setCopied] = useState<'done' | 'by hand'>()
  const lines = listed(plan, cloths)
  if (lines.length === 0) return null
  const text = asText(name, lines)
  const copy = () =>
    // Where the browser keeps the clipboard to itself the text is shown to be taken by hand.
    Promise.resolve()
      .then(() => navigator.clipboard.writeText(text))
      .then(
        () => setCopied('done'),
        () => setCopied('by hand'),
      )
  return (
    <section className={clsx(s.notions, s.shopping, stale && 'stale')} aria-label="Shopping list">
      <h2>Shopping list</h2>
      <p className={s.listTools}>
        <Button onClick={() => void copy()}>Copy as text</Button>
        <PrintSheet sheet="shopping-list">Print</PrintSheet>
        <Saves label="the list" base={`/api/jobs/${id}/tables/shopping-list`} as={['csv', 'xlsx']} />
        <span role="status">{copied === 'done' && 'Copied.'}</span>
      </p>
      {copied === 'by hand' && (
        <textarea className={s.copy} readOnly rows={8} value={text} aria-label="The list as text" />
      )}
      <table>
        <thead>
          <tr>
            <th>What</th>
            <th>How much</th>
            <th>For</th>
            <th>Cost</th>
          </tr>
        </thead>
        {byCounter(lines).map(([name, there]) => (
          <tbody key={name}>
            <tr>
              <th colSpan={4} scope="rowgroup" className={s.counter}>
                {name}
              </th>
            </tr>
            {there.map((line) => (
              <tr key={line.key}>
                <th scope="row">
                  <span className={s.what}>
                    {line.cloth && <Swatch {...line.cloth} size={44} />}
                    <span>
                      {line.name}
                      {line.note && <small> {line.note}</small>}
                    </span>
                  </span>
                  {line.thing !== '' && <FromShelves line={line} />}
                </th>
                <td className={s.figure}>
                  {line.amount}
                  {line.stillToBuy !== null && <small>to buy: {line.stillToBuy}</small>}
                </td>
                <td>
                  <span className={s.use}>{line.use}</span>
                </td>
                <td className={s.figure}>{line.cost}</td>
              </tr>
            ))}
          </tbody>
        ))}
      </table>
    </section>
  )
}
