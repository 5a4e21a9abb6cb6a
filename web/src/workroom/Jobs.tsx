import { useInfiniteQuery, useQueryClient } from '@tanstack/react-query'
import { Button, Input, Segmented } from 'antd'
import { useDeferredValue, useState } from 'react'
import { answer, api, newId, Refused, type JobSummary } from '../api/client'
import { JobRow, type Act } from './JobRow'
import { Records } from './Records'
import s from './Home.module.css'

const atOnce = 50
const noAnswer = 'The server does not answer.'

type Kept = 'Here' | 'Away' | 'Deleted'
type Shown = Kept | 'Records'
type Order = 'Changed' | 'Name' | 'Customer'

const nothing: Record<Kept, string> = {
  Here: 'Nothing is on the table yet. Say above what the first job is for.',
  Away: 'Nothing was put away.',
  Deleted: 'Nothing was deleted in the last 30 days.',
}
const done = {
  'put-away': 'was put away',
  delete: 'was deleted',
  'bring-back': 'is back',
  copy: 'was copied',
  template: 'is a template now',
} as const

/** The jobs: found by any of their words, sorted; copied, put away, deleted, and brought back. */
export function Jobs() {
  const queries = useQueryClient()
  const [search, setSearch] = useState('')
  const [shown, setShown] = useState<Shown>('Here')
  const kept = shown === 'Records' ? 'Here' : shown
  const [order, setOrder] = useState<Order>('Changed')
  const [told, setTold] = useState<{ text: string; back?: JobSummary }>()
  const q = useDeferredValue(search.trim())
  const jobs = useInfiniteQuery({
    queryKey: ['jobs', q, kept, order],
    queryFn: ({ pageParam, signal }) =>
      answer(
        api.GET('/api/jobs', {
          params: { query: { q, limit: atOnce, kept, order, ...(pageParam && { after: pageParam }) } },
          signal,
        }),
      ),
    initialPageParam: '',
    getNextPageParam: (page) => (page.length === atOnce ? page.at(-1)?.mark : undefined),
    staleTime: 0,
  })
  const found = jobs.data?.pages.flat() ?? []
  const act = async (job: JobSummary, what: Act) => {
    const params = { params: { path: { id: job.id } } }
    try {
      const call = {
        'put-away': () => api.POST('/api/jobs/{id}/put-away', params),
        delete: () => api.DELETE('/api/jobs/{id}', params),
        'bring-back': () => api.POST('/api/jobs/{id}/bring-back', params),
        template: () => api.POST('/api/templates', { body: { id: newId(), job: job.id, name: job.name } }),
        copy: () =>
          api.POST('/api/jobs/{id}/copy', {
            ...params,
            body: { id: newId(), changeId: newId(), name: `${job.name}, again` },
          }),
      }[what]
      const { response, error } = await call()
      const refused = (error ?? {}) as { detail?: string }
      if (!response.ok) throw new Refused(response.status, refused.detail ?? noAnswer, [], undefined)
      setTold({
        text: `${job.name} ${done[what]}.`,
        ...((what === 'put-away' || what === 'delete') && { back: job }),
      })
    } catch (error) {
      setTold({ text: `${error instanceof Refused ? error.message : noAnswer} Nothing was changed.` })
    }
    await queries.invalidateQueries({ queryKey: [what === 'template' ? 'templates' : 'jobs'] })
  }
  return (
    <section aria-label="Jobs">
      <div className={s.find}>
        <Input
          aria-label="Find a job"
          placeholder="Find a job: its name, customer, items, cloths or notes"
          allowClear
          value={search}
          maxLength={120}
          onChange={(event) => setSearch(event.currentTarget.value)}
        />
        <Segmented
          aria-label="Kept"
          name="kept"
          value={shown}
          options={[
            { value: 'Here', label: 'on the bench' },
            { value: 'Away', label: 'put away' },
            { value: 'Deleted', label: 'deleted' },
            { value: 'Records', label: 'handed over' },
          ]}
          onChange={setShown}
        />
        <Segmented
          disabled={shown === 'Records'}
          aria-label="Sorted by"
          name="order"
          value={order}
          options={[
            { value: 'Changed', label: 'latest first' },
            { value: 'Name', label: 'by name' },
            { value: 'Customer', label: 'by customer' },
          ]}
          onChange={setOrder}
        />
      </div>
      {told && (
        <p role="status">
          {told.text}{' '}
          {told.back && <Button onClick={() => told.back && void act(told.back, 'bring-back')}>Bring it back</Button>}
        </p>
      )}
      {shown === 'Records' ? (
        <Records q={q} />
      ) : (
        <>
          {jobs.isError && (
            <p className="problem" role="alert">
              The jobs cannot be read:{' '}
              {jobs.error instanceof Refused ? jobs.error.message : 'the server does not answer.'}
            </p>
          )}
          {jobs.isSuccess && found.length === 0 && <p>{q ? `No job has “${q}” in it.` : nothing[kept]}</p>}
          <ul className={s.jobs}>
            {found.map((job) => (
              <JobRow key={job.id} job={job} kept={kept} act={(what) => void act(job, what)} />
            ))}
          </ul>
          {jobs.hasNextPage && <Button onClick={() => void jobs.fetchNextPage()}>More jobs</Button>}
        </>
      )}
    </section>
  )
}
