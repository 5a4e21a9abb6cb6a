import { useInfiniteQuery } from '@tanstack/react-query'
import { Button } from 'antd'
import { Link } from 'react-router'
import { answer, api, Refused } from '../api/client'
import s from './Home.module.css'

const atOnce = 50

/** What was handed over, the latest first: found by customer, place, batch, or whatever else was said of it. */
export function Records({ q }: { q: string }) {
  const records = useInfiniteQuery({
    queryKey: ['records', q],
    queryFn: ({ pageParam, signal }) =>
      answer(
        api.GET('/api/records', {
          params: { query: { q, limit: atOnce, ...(pageParam && { after: pageParam }) } },
          signal,
        }),
      ),
    initialPageParam: '',
    getNextPageParam: (page) => (page.length === atOnce ? page.at(-1)?.mark : undefined),
    staleTime: 0,
  })
  const found = records.data?.pages.flat() ?? []
  return (
    <>
      {records.isError && (
        <p className="problem" role="alert">
          The records cannot be read:{' '}
          {records.error instanceof Refused ? records.error.message : 'the server does not answer.'}
        </p>
      )}
      {records.isSuccess && found.length === 0 && (
        <p>{q ? `No record has “${q}” in it.` : 'Nothing was handed over yet.'}</p>
      )}
      <ul className={s.records} aria-label="Handed over">
        {found.map(({ job, jobName, item, given }) => (
          <li key={`${job} ${item}`}>
            <Link to={`/jobs/${job}/hand-over`}>
              <b>
                {given.name}
                {given.quantity > 1 && ` × ${given.quantity}`}
              </b>
              <span>{given.date}</span>
              <span>
                {[given.customer, given.place].filter(Boolean).join(', ')}
                <small>{jobName}</small>
              </span>
              <span>
                {given.cloths.map(({ name, batch }) => (batch ? `${name}, batch ${batch}` : name)).join('; ')}
              </span>
            </Link>
          </li>
        ))}
      </ul>
      {records.hasNextPage && <Button onClick={() => void records.fetchNextPage()}>More records</Button>}
    </>
  )
}
