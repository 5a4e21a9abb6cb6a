import { useQuery, useQueryClient } from '@tanstack/react-query'
import { Button, Select } from 'antd'
import { useState } from 'react'
import { answer, api, newId, type Cloth, type OrderView } from '../../api/client'
import { useClothEdit } from '../../job/useClothEdit'
import { useScene, useUnit } from '../../job/scene'
import { told } from '../../parts/told'
import s from './buy.module.css'

/** The longest that a merchant is waited for; then the list goes on without it. */
const longest = 5_000

const signal = (from?: AbortSignal) =>
  from ? AbortSignal.any([from, AbortSignal.timeout(longest)]) : AbortSignal.timeout(longest)
const said = (error: unknown) =>
  error instanceof DOMException && error.name === 'TimeoutError'
    ? 'The merchant takes too long. Try again later, or call; the list goes on without it.'
    : told(error)

/** A cloth at the merchant: whether it is there, putting it aside and ordering it, and what came of that. */
export function AtMerchant({ cloth, length }: { cloth: Cloth; length: number }) {
  const queries = useQueryClient()
  const job = useScene((scene) => scene.id)
  const state = useQuery({ queryKey: ['merchant'], queryFn: () => answer(api.GET('/api/devices/merchant')) }).data
  const orders = useQuery({
    queryKey: ['orders', job],
    queryFn: () => answer(api.GET('/api/merchant/orders', { params: { query: { job } } })),
    staleTime: 0,
  }).data
  const own = orders?.filter(({ order }) => order.cloth === cloth.id) ?? []
  const on = state !== undefined && state.is !== 'off'
  const refresh = () => queries.invalidateQueries({ queryKey: ['orders'] })
  if (!on && own.length === 0) return null
  return (
    <section className={s.merchant} aria-label={`At the merchant, ${cloth.name}`}>
      <h3>At the merchant</h3>
      {on && <Asking cloth={cloth} length={length} job={job} refresh={refresh} />}
      {own.map((view) => (
        <Order key={view.order.id} view={view} cloth={cloth} refresh={refresh} />
      ))}
    </section>
  )
}

interface AskingProps {
  cloth: Cloth
  length: number
  job: string
  refresh: () => Promise<unknown>
}

function Asking({ cloth, length, job, refresh }: AskingProps) {
  const [chosen, setChosen] = useState<string>()
  const [problem, setProblem] = useState('')
  const [busy, setBusy] = useState(false)
  // The same until it is placed: a second tap, or another try after a lost answer, is no second order.
  const [order, setOrder] = useState(newId)
  const articles = useQuery({
    queryKey: ['articles'],
    queryFn: ({ signal: from }) => answer(api.GET('/api/merchant/articles', { signal: signal(from) })),
    staleTime: 0,
    retry: false,
  })
  const named = articles.data?.find((each) => each.name.toLowerCase() === cloth.name.trim().toLowerCase())?.key
  const key = chosen ?? named
  const check = useQuery({
    queryKey: ['articles', key, length, articles.dataUpdatedAt],
    queryFn: ({ signal: from }) =>
      answer(
        api.GET('/api/merchant/articles/{key}/check', {
          params: { path: { key: key ?? '' }, query: { length } },
          signal: signal(from),
        }),
      ),
    enabled: key !== undefined && length > 0,
    staleTime: 0,
    retry: false,
  })
  const place = async (reserve: boolean) => {
    setBusy(true)
    try {
      await answer(
        api.POST('/api/merchant/orders', {
          body: { id: order, article: key ?? '', length, job, cloth: cloth.id, reserve },
          signal: signal(),
        }),
      )
      setProblem('')
      setOrder(newId())
    } catch (error) {
      setProblem(said(error))
    }
    await refresh()
    await articles.refetch()
    setBusy(false)
  }
  const failed = problem || (articles.error ? said(articles.error) : check.error ? said(check.error) : '')
  return (
    <>
      <div className={s.asking}>
        <Select
          aria-label={`What the merchant calls ${cloth.name}`}
          placeholder="Which of theirs?"
          value={key ?? null}
          options={(articles.data ?? []).map((each) => ({
            value: each.key,
            label: `${each.name}, ${each.width}, ${each.price}`,
          }))}
          onChange={setChosen}
          style={{ minWidth: 300 }}
        />
        <span role="status">{check.data?.told ?? (articles.isFetching || check.isFetching ? 'Asking …' : '')}</span>
        {check.data?.isThere && (
          <>
            <Button disabled={busy} onClick={() => void place(true)}>
              Have it put aside
            </Button>
            <Button type="primary" disabled={busy} onClick={() => void place(false)}>
              Order it
            </Button>
          </>
        )}
      </div>
      {failed && (
        <p className="problem" role="alert">
          {failed} <Button onClick={() => void articles.refetch().then(() => setProblem(''))}>Try again</Button>
        </p>
      )}
    </>
  )
}

// What became of an order, and what is done with what came.
function Order({ view, cloth, refresh }: { view: OrderView; cloth: Cloth; refresh: () => Promise<unknown> }) {
  const unit = useUnit()
  const edit = useClothEdit(cloth)
  const [problem, setProblem] = useState('')
  const [shelved, setShelved] = useState<string[]>([])
  const { order, asked, missing, came, warnings } = view
  const attempt = async (call: () => Promise<unknown>) => {
    try {
      await call()
      setProblem('')
    } catch (error) {
      setProblem(said(error))
    }
    await refresh()
  }
  const path = { params: { path: { id: order.id } } }
  const shelve = (each: (typeof came)[number]) =>
    attempt(async () => {
      await answer(
        api.PUT('/api/stock/{id}', {
          params: { path: { id: each.id } },
          body: {
            from: 0,
            row: {
              kind: 'part-roll',
              name: cloth.name,
              batch: each.batch,
              place: '',
              length: { typed: each.lengthTyped, unit },
              width: { typed: each.width, unit },
              count: '',
              mark: '',
              note: `From the merchant, ${each.cameOn}`,
              countedOn: '',
              from: '',
            },
          },
        }),
      )
      setShelved((all) => [...all, each.id])
    })
  return (
    <div className={s.order}>
      <p>
        <b>
          {order.name} {asked}
        </b>
        , batch {order.batch}:{' '}
        {order.isReserved
          ? 'put aside.'
          : view.isWhole
            ? 'all of it came.'
            : came.length > 0
              ? `${missing} are still to come.`
              : `ordered on ${order.placedOn}, due ${order.dueOn}.`}{' '}
        {order.isReserved && (
          <>
            <Button onClick={() => void attempt(() => answer(api.POST('/api/merchant/orders/{id}/send', path)))}>
              Have it sent
            </Button>{' '}
            <Button onClick={() => void attempt(() => answer(api.DELETE('/api/merchant/orders/{id}', path)))}>
              Give it back
            </Button>
          </>
        )}
      </p>
      {warnings.map((warning) => (
        <p key={warning} className="problem" role="alert">
          {warning}
        </p>
      ))}
      <ul>
        {came.map((each) => (
          <li key={each.id}>
            {each.length} of batch {each.batch}, {each.width} wide, came on {each.cameOn}{' '}
            {!each.isOfWidth && cloth.width.typed !== each.width && (
              <Button onClick={() => edit({ width: { typed: each.width, unit } })}>Lay it {each.width} wide</Button>
            )}
            {cloth.batch !== each.batch && (
              <Button onClick={() => edit({ batch: each.batch })}>Cut it from batch {each.batch}</Button>
            )}
            {shelved.includes(each.id) ? (
              <span role="status">It is on the shelf.</span>
            ) : (
              <Button onClick={() => void shelve(each)}>Put it on the shelf</Button>
            )}
          </li>
        ))}
      </ul>
      {problem && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
    </div>
  )
}
