import { useQuery, useQueryClient } from '@tanstack/react-query'
import { Button, Segmented } from 'antd'
import { useState } from 'react'
import { answer, api, type MerchantState } from '../api/client'
import { told } from '../parts/told'
import s from './devices.module.css'

const ways: { value: MerchantState['is']; label: string }[] = [
  { value: 'off', label: 'Off' },
  { value: 'open', label: 'Open' },
  { value: 'slow', label: 'Slow' },
  { value: 'down', label: 'Down' },
]
const next: { value: MerchantState['next']; label: string }[] = [
  { value: 'whole', label: 'All of it' },
  { value: 'part', label: 'A part' },
  { value: 'other-batch', label: 'Another batch' },
  { value: 'wrong-width', label: 'A wrong width' },
]

/** The cloth merchant: how it answers, what it has, what was ordered, and how the van comes. */
export function MerchantStand() {
  const queries = useQueryClient()
  const [problem, setProblem] = useState('')
  const state = useQuery({
    queryKey: ['merchant'],
    queryFn: () => answer(api.GET('/api/devices/merchant')),
    staleTime: 0,
  }).data
  const articles = useQuery({
    queryKey: ['articles', state],
    queryFn: ({ signal }) => answer(api.GET('/api/merchant/articles', { signal })),
    enabled: state?.is === 'open',
    staleTime: 0,
    retry: false,
  }).data
  const orders = useQuery({
    queryKey: ['orders'],
    queryFn: () => answer(api.GET('/api/merchant/orders')),
    staleTime: 0,
    refetchInterval: 2000,
  }).data
  if (!state) return null
  const attempt = async (call: () => Promise<void>) => {
    try {
      await call()
      setProblem('')
    } catch (error) {
      setProblem(told(error))
    }
  }
  const set = (change: Partial<MerchantState>) =>
    attempt(async () => {
      const now = await answer(api.PUT('/api/devices/merchant', { body: { ...state, ...change } }))
      queries.setQueryData(['merchant'], now)
    })
  const deliver = () =>
    attempt(async () => {
      queries.setQueryData(['orders'], await answer(api.POST('/api/devices/merchant/van')))
      await queries.invalidateQueries({ queryKey: ['orders'] })
    })
  const open = orders?.filter((each) => !each.isWhole) ?? []
  return (
    <section className={s.device} aria-label="Cloth merchant">
      <h2>Cloth merchant</h2>
      <Segmented
        aria-label="How the merchant answers"
        name="merchant"
        value={state.is}
        options={ways}
        onChange={(is) => void set({ is })}
      />
      {problem && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
      {state.is !== 'off' && (
        <>
          <Button aria-pressed={state.isSoldOut} onClick={() => void set({ isSoldOut: !state.isSoldOut })}>
            All is sold out
          </Button>
          <div className={s.send}>
            <Segmented
              aria-label="What the van brings next"
              name="van"
              value={state.next}
              options={next}
              onChange={(value) => void set({ next: value })}
            />
            <Button disabled={open.length === 0} onClick={() => void deliver()}>
              The van comes
            </Button>
          </div>
        </>
      )}
      {articles && state.is === 'open' && (
        <ul className={s.articles} aria-label="Catalogue">
          {articles.map((article) => (
            <li key={article.key}>
              <img src={article.picture} alt="" width={64} height={64} />
              <b>{article.name}</b>
              <span>
                {article.width} wide{article.repeat && `, repeat ${article.repeat}`}; {article.price}, cut by{' '}
                {article.step}; in {article.days} days
              </span>
              <span>{article.batches.join('; ')}</span>
            </li>
          ))}
        </ul>
      )}
      {orders && orders.length > 0 && (
        <ul aria-label="Orders">
          {orders.map(({ order, asked, missing, isWhole, came }) => (
            <li key={order.id}>
              {order.name} {asked}, batch {order.batch}:{' '}
              {order.isReserved
                ? 'put aside'
                : isWhole
                  ? 'all of it came'
                  : came.length > 0
                    ? `${missing} are still to come`
                    : `ordered, due ${order.dueOn}`}
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}
