import { clsx } from 'clsx'
import { Folded } from '../../parts/Folded'
import { ClothFields, OtherProblems } from '../../job/ClothFields'
import { AtMerchant } from './AtMerchant'
import { FillingCloth } from './FillingCloth'
import { IHave } from './IHave'
import { Savings } from './Savings'
import { ShoppingList } from './ShoppingList'
import { AddCloth } from '../../job/AddCloth'
import { useScene } from '../../job/scene'
import s from './buy.module.css'

/** What to buy: cloth rounded up as the shop sells it, and the notions of every item with their workings. */
export default function Buy() {
  const jobCloths = useScene((scene) => scene.job.document.cloths)
  const jobItems = useScene((scene) => scene.job.document.items)
  const plan = useScene((scene) => scene.plan)
  const stale = useScene((scene) => scene.stale)
  const drafts = jobItems.map((item) => ({
    item,
    pattern: plan?.items.find((each) => each.id === item.id)?.draft.pattern,
  }))
  return (
    <>
      <ShoppingList />
      {jobCloths.map((cloth) => {
        const planned = plan?.cloths.find((each) => each.id === cloth.id)
        const buying = planned?.buying
        return (
          <section key={cloth.id} className={clsx(s.purchase, stale && 'stale')} aria-label={cloth.name}>
            <ClothFields cloth={cloth} planned={planned} show={cloth.articleLength ? [] : ['step', 'margin']} priced />
            <OtherProblems planned={planned} asked={['step', 'margin', 'price', 'leastCut', 'from']} />
            {buying ? (
              <table className={s.sum}>
                <tbody>
                  <tr>
                    <th scope="row">{buying.beforeWashing ? 'Needed before washing' : 'Needed, as laid'}</th>
                    <td>{buying.needed.text}</td>
                  </tr>
                  {buying.toStart && (
                    <tr>
                      <th scope="row">One repeat, to start</th>
                      <td>{buying.toStart.text}</td>
                    </tr>
                  )}
                  {buying.forSkew && (
                    <tr>
                      <th scope="row">To square a skewed print</th>
                      <td>{buying.forSkew.text}</td>
                    </tr>
                  )}
                  {buying.margin.ticks > 0 && (
                    <tr>
                      <th scope="row">Safety margin</th>
                      <td>{buying.margin.text}</td>
                    </tr>
                  )}
                  <tr className={s.bought}>
                    <th scope="row">{buying.articles === null ? 'To buy, rounded up' : 'Ready-made'}</th>
                    <td data-testid={`bought-${cloth.id}`}>
                      {buying.articles ?? (
                        <>
                          {buying.bought.text} <small>{buying.boughtOtherwise}</small>
                        </>
                      )}
                    </td>
                  </tr>
                  <tr>
                    <th scope="row">Left over</th>
                    <td>{buying.leftOver.text}</td>
                  </tr>
                  {buying.tight && (
                    <tr>
                      <td colSpan={2} className="problem" role="status">
                        {buying.tight}
                      </td>
                    </tr>
                  )}
                  {buying.leastCut && (
                    <tr>
                      <th scope="row">The least the shop cuts</th>
                      <td>{buying.leastCut}</td>
                    </tr>
                  )}
                  {buying.cost && (
                    <tr>
                      <th scope="row">Cost</th>
                      <td>{buying.cost}</td>
                    </tr>
                  )}
                  {buying.cheaper && (
                    <tr>
                      <td colSpan={2} className={s.cheaper}>
                        {buying.cheaper}
                      </td>
                    </tr>
                  )}
                </tbody>
              </table>
            ) : (
              planned?.problems.length === 0 && (
                <p className="note">{planned.pieces === 0 ? 'Nothing is cut from this cloth yet.' : 'Laying …'}</p>
              )
            )}
            {buying?.articles === null && <IHave cloth={cloth} />}
            {buying && !cloth.articleLength && <AtMerchant cloth={cloth} length={buying.bought.ticks} />}
          </section>
        )
      })}
      <AddCloth />
      <Savings />
      <Folded className={s.notions} summary="How it was reckoned, item by item">
        <table aria-label="Item by item">
          <thead>
            <tr>
              <th>Item</th>
              <th>What</th>
              <th>For one</th>
              <th>How it was reckoned</th>
            </tr>
          </thead>
          <tbody>
            {drafts.flatMap(({ item, pattern }) =>
              (pattern?.notions ?? []).map((notion, at) => (
                <tr key={`${item.id}/${notion.key}`}>
                  {at === 0 && (
                    <th scope="rowgroup" rowSpan={pattern?.notions.length}>
                      {item.name}
                      {item.quantity !== '1' ? ` × ${item.quantity}` : ''}
                    </th>
                  )}
                  <td>
                    {notion.name}
                    {notion.note && <small> {notion.note}</small>}
                  </td>
                  <td className={s.figure}>
                    {notion.amount || (notion.length?.text ?? notion.count)}
                    {notion.role && <FillingCloth item={item} role={notion.role} name={notion.name} />}
                  </td>
                  <td className={s.sumLine}>{notion.working.at(-1)}</td>
                </tr>
              )),
            )}
          </tbody>
        </table>
      </Folded>
    </>
  )
}
