import { useInfiniteQuery } from '@tanstack/react-query'
import { Button, Input } from 'antd'
import { useDeferredValue, useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { answer, api, newId } from '../api/client'
import { Saves } from '../parts/Saves'
import { told } from '../parts/told'
import { Bar } from './Bar'
import { TakeTable } from './TakeTable'
import s from './customers.module.css'

const atOnce = 100

/** The customers of the workroom, found by whatever was said of them. */
export default function Customers() {
  const navigate = useNavigate()
  const [search, setSearch] = useState('')
  const [problem, setProblem] = useState('')
  const q = useDeferredValue(search.trim())
  const customers = useInfiniteQuery({
    queryKey: ['customers', q],
    queryFn: ({ pageParam, signal }) =>
      answer(
        api.GET('/api/customers', {
          params: { query: { q, limit: atOnce, ...(pageParam && { after: pageParam }) } },
          signal,
        }),
      ),
    initialPageParam: '',
    getNextPageParam: (page) => (page.length === atOnce ? page.at(-1)?.mark : undefined),
    staleTime: 0,
  })
  const found = customers.data?.pages.flat() ?? []
  const add = async () => {
    const name = search.trim()
    if (name === '') {
      setProblem('Type the name of the new customer first. For example Ferncliff Lodge.')
      return
    }
    const id = newId()
    const customer = { name, address: '', notes: '', people: [], places: [] }
    try {
      await answer(api.PUT('/api/customers/{id}', { params: { path: { id } }, body: { from: 0, customer } }))
      await navigate(`/customers/${id}`)
    } catch (error) {
      setProblem(told(error))
    }
    return undefined
  }
  return (
    <div className={s.page}>
      <Bar at="customers" />
      <main>
        <h1>Customers</h1>
        <form
          className={s.find}
          onSubmit={(event) => {
            event.preventDefault()
            void add()
          }}
        >
          <Input
            autoFocus
            aria-label="Find a customer, or name a new one"
            placeholder="A name, street, room, telephone, or whatever was noted"
            allowClear
            value={search}
            maxLength={120}
            onChange={(event) => {
              setSearch(event.currentTarget.value)
              setProblem('')
            }}
          />
          <Button htmlType="submit">{q ? `Add “${q}”` : 'Add a customer'}</Button>
        </form>
        {problem && (
          <p className="problem" role="alert">
            {problem}
          </p>
        )}
        {customers.isError && (
          <p className="problem" role="alert">
            {told(customers.error)}
          </p>
        )}
        {customers.isSuccess && found.length === 0 && (
          <p>{q ? `Nobody has “${q}” said of them.` : 'Nobody is on the list yet. Type a name above.'}</p>
        )}
        <ul className={s.list}>
          {found.map(({ id, customer, openJobs }) => (
            <li key={id}>
              <Link to={`/customers/${id}`}>
                <b>{customer.name}</b>
                <span>
                  {customer.people.map((each) => [each.name, each.phone].filter(Boolean).join(' ')).join(', ')}
                </span>
                <span>{customer.places.map((each) => each.name).join(', ')}</span>
                <span>{openJobs === 0 ? '' : openJobs === 1 ? '1 job' : `${openJobs} jobs`}</span>
              </Link>
            </li>
          ))}
        </ul>
        {customers.hasNextPage && <Button onClick={() => void customers.fetchNextPage()}>More customers</Button>}
        <p className={s.files}>
          {found.length > 0 && <Saves label="all customers" base="/api/tables/customers" as={['csv', 'xlsx', 'vcf']} />}
          <TakeTable kind="customers" then="customers" />
        </p>
      </main>
    </div>
  )
}
