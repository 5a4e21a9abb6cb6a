import { useQuery, useQueryClient } from '@tanstack/react-query'
import { AutoComplete } from 'antd'
import { useDeferredValue, useRef, useState } from 'react'
import { Link } from 'react-router'
import { answer, api, newId } from '../api/client'
import { useEdit, useScene } from '../job/scene'
import { told } from '../parts/told'
import s from '../job/JobHead.module.css'

const most = 8

/** Whose job it is: typed freely, or one of the workroom's customers, whom papers and records then know. */
export function CustomerField() {
  const name = useScene((scene) => scene.job.document.customer)
  const id = useScene((scene) => scene.job.document.customerId)
  const edit = useEdit()
  const queries = useQueryClient()
  const step = useRef('')
  const [at, setAt] = useState(false)
  const [problem, setProblem] = useState('')
  const q = useDeferredValue(name.trim())
  const known = useQuery({
    queryKey: ['customers', 'like', q],
    queryFn: ({ signal }) => answer(api.GET('/api/customers', { params: { query: { q, limit: most } }, signal })),
    enabled: at,
  }).data
  const isThere = known?.some(({ customer }) => customer.name.toLowerCase() === name.trim().toLowerCase())
  const add = name.trim() !== '' && id === '' && known && !isThere
  const take = async (value: string) => {
    if (value !== '') {
      const found = known?.find((each) => each.id === value)
      if (!found) return
      edit(newId(), (job) => {
        job.customer = found.customer.name
        job.customerId = found.id
        job.placeId = found.customer.places[0]?.id ?? ''
      })
      return
    }
    const made = newId()
    const customer = { name: name.trim(), address: '', notes: '', people: [], places: [] }
    try {
      await answer(api.PUT('/api/customers/{id}', { params: { path: { id: made } }, body: { from: 0, customer } }))
      edit(newId(), (job) => void (job.customerId = made))
      await queries.invalidateQueries({ queryKey: ['customers'] })
      setProblem('')
    } catch (error) {
      setProblem(told(error))
    }
  }
  return (
    <span className={s.customer}>
      <AutoComplete
        variant="borderless"
        aria-label="Customer"
        placeholder="Customer"
        value={name}
        open={at && (known?.length ?? 0) + (add ? 1 : 0) > 0 && id === ''}
        defaultActiveFirstOption={false}
        onFocus={() => {
          step.current = newId()
          setAt(true)
        }}
        onBlur={() => setAt(false)}
        options={[
          ...(known ?? []).map((each) => ({
            value: each.id,
            label: [each.customer.name, each.customer.address.split('\n').at(-1)].filter(Boolean).join(', '),
          })),
          ...(add ? [{ value: '', label: `Add “${name.trim()}” to the customers` }] : []),
        ]}
        onSelect={(value: string) => void take(value)}
        showSearch={{
          onSearch: (typed) =>
            edit(step.current, (job) => {
              job.customer = typed
              job.customerId = ''
              job.placeId = ''
            }),
        }}
      />
      {problem && (
        <small className="problem" role="alert">
          {problem}
        </small>
      )}
      {id !== '' && (
        <Link to={`/customers/${id}`} aria-label={`About ${name}`}>
          about
        </Link>
      )}
    </span>
  )
}
