import { useQuery } from '@tanstack/react-query'
import { Button } from 'antd'
import { useState } from 'react'
import { answer, api, type Role, type SavingView } from '../../api/client'
import { identity } from '../../parts/identity'
import { useDocument, useEditItem, useScene, type EntryMap } from '../../job/scene'
import s from './buy.module.css'

// So many items are looked through unasked; more would keep the machine busy at every visit.
const unasked = 3

/** Sizes that could be a little less and what that would save, found by drafting and laying anew. */
export function Savings() {
  const jobItems = useScene((scene) => scene.job.document.items)
  const jobDocument = useDocument()
  const [wanted, setWanted] = useState(false)
  const asked = wanted || jobItems.length <= unasked
  const found = useQuery({
    queryKey: ['savings', identity(jobDocument)],
    queryFn: async ({ signal }) => {
      const call = api.POST('/api/savings', { body: jobDocument, signal })
      return { savings: await answer(call), looked: (await call).response.headers.get('X-Looked-At') }
    },
    enabled: asked,
    gcTime: 10_000,
  })
  return (
    <section className={s.savings} aria-label="Less cloth" aria-live="polite">
      <h2>What would take less cloth</h2>
      {!asked && <Button onClick={() => setWanted(true)}>Look for sizes that could be a little less</Button>}
      {asked && found.isFetching && <p>Drafting and laying every size a little smaller …</p>}
      {asked && found.error && (
        <p className="problem" role="alert">
          {found.error.message}
        </p>
      )}
      {asked && !found.isFetching && found.data?.savings.length === 0 && !found.data.looked && (
        <p>No size that may be spared would let the shop cut less.</p>
      )}
      {asked && !found.isFetching && found.data && <SavingList savings={found.data.savings} />}
      {asked && !found.isFetching && found.data?.looked && (
        <p>
          {found.data.looked} sizes were looked at so far. <Button onClick={() => void found.refetch()}>Look on</Button>
        </p>
      )}
    </section>
  )
}

/** Savings, each with a button that takes it. */
export function SavingList({ savings }: { savings: SavingView[] }) {
  const editItem = useEditItem()
  const apply = ({ item, field, typed }: SavingView) => {
    const [map = '', ...rest] = field.split('.')
    const key = rest.join('.')
    editItem('', item, (old) => {
      if (map === 'otherCloths') {
        old.otherCloths[key as Role] = typed.typed
        return
      }
      const entries = old[map as EntryMap]
      entries[key] = typed
      // A second reading of the old size would contradict the new one.
      Reflect.deleteProperty(entries, `${key} again`)
    })
  }
  return (
    savings.length > 0 && (
      <ul>
        {savings.map((saving) => (
          <li key={`${saving.item}/${saving.field}`}>
            <span>
              {saving.itemName}: {saving.name.toLowerCase()} {saving.to} instead of {saving.from} buys{' '}
              <b>{saving.buysLess} less</b>
              {saving.costsLess && `, ${saving.costsLess}`}
            </span>
            <Button onClick={() => apply(saving)}>Make it {saving.to}</Button>
          </li>
        ))}
      </ul>
    )
  )
}
