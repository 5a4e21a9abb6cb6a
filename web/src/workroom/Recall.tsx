import { useQuery } from '@tanstack/react-query'
import { Button, Input } from 'antd'
import { useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { answer, api } from '../api/client'
import { told } from '../parts/told'
import { Bar } from './Bar'
import { Letters } from './Letters'
import s from './stock.module.css'

const usual =
  'the maker of the cloth has told us that this batch may be faulty. Please do not wash or clean the covers named below until we have looked at them. We will call to arrange it; nothing of this costs you anything.'

/** Where a batch of cloth went: every cover with its customer, as a list and as letters. */
export default function Recall() {
  const [params, setParams] = useSearchParams()
  const batch = params.get('batch') ?? ''
  const [typed, setTyped] = useState(batch)
  const [text, setText] = useState(usual)
  const asked = useQuery({
    queryKey: ['recall', batch],
    queryFn: ({ signal }) => answer(api.GET('/api/recall', { params: { query: { batch } }, signal })),
    enabled: batch !== '',
    staleTime: 0,
    retry: false,
  })
  const found = asked.data
  return (
    <div className={s.page}>
      <Bar at="stock" />
      <main>
        <h1>Where a batch went</h1>
        <form
          className={s.find}
          onSubmit={(event) => {
            event.preventDefault()
            setParams(typed.trim() ? { batch: typed.trim() } : {})
          }}
        >
          <Input
            autoFocus
            aria-label="Batch, as its ticket says"
            placeholder="Batch or dye lot, as its ticket says"
            value={typed}
            maxLength={200}
            onChange={(event) => setTyped(event.currentTarget.value)}
          />
          <Button type="primary" htmlType="submit">
            Find
          </Button>
          {found && found.customers.length > 0 && <Letters batch={found.batch} text={text} />}
        </form>
        {asked.isError && (
          <p className="problem" role="alert">
            {told(asked.error)}
          </p>
        )}
        {found && (
          <section aria-label={`Batch ${found.batch}`}>
            {found.customers.length === 0 && <p>No cover is cut from batch {found.batch}.</p>}
            <ul>
              {found.customers.map((customer) => (
                <li key={customer.name + customer.address}>
                  <b>{customer.name}</b> {customer.reached.join('; ')}
                  <ul>
                    {customer.covers.map((cover) => (
                      <li key={cover.job + cover.item}>
                        {cover.quantity} × {cover.name}, {cover.cloth},{' '}
                        <Link to={`/jobs/${cover.job}/hand-over`}>{cover.jobName}</Link>
                        {cover.handedOver ? `, handed over on ${cover.handedOver}` : ', not handed over yet'}
                      </li>
                    ))}
                  </ul>
                </li>
              ))}
            </ul>
            {found.shelves.length > 0 && (
              <p>
                On the shelves:{' '}
                {found.shelves.map((view) => `${view.row.name} ${view.amount}, ${view.row.place}`).join('; ')}
              </p>
            )}
            {found.customers.length > 0 && (
              <div className="typed">
                <label htmlFor="recall-text">What the letters say</label>
                <Input.TextArea
                  id="recall-text"
                  autoSize={{ minRows: 3, maxRows: 10 }}
                  maxLength={4000}
                  value={text}
                  onChange={(event) => setText(event.currentTarget.value)}
                />
              </div>
            )}
          </section>
        )}
      </main>
    </div>
  )
}
