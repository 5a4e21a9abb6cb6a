import { useInfiniteQuery } from '@tanstack/react-query'
import { Button, Input, Segmented } from 'antd'
import { useDeferredValue, useState } from 'react'
import { Link } from 'react-router'
import { answer, api, type PaperKind } from '../api/client'
import { told } from '../parts/told'
import { Bar } from '../workroom/Bar'
import { kindWord } from './kinds'
import s from './paper.module.css'

const atOnce = 50

/** Every paper that was given out, the latest first. */
export default function PaperList() {
  const [search, setSearch] = useState('')
  const [kind, setKind] = useState<PaperKind | ''>('')
  const q = useDeferredValue(search.trim())
  const papers = useInfiniteQuery({
    queryKey: ['papers', q, kind],
    queryFn: ({ pageParam, signal }) =>
      answer(
        api.GET('/api/papers', {
          params: {
            query: { q, limit: atOnce, ...(kind && { kind }), ...(pageParam && { after: pageParam }) },
          },
          signal,
        }),
      ),
    initialPageParam: '',
    getNextPageParam: (page) => (page.length === atOnce ? page.at(-1)?.mark : undefined),
    staleTime: 0,
  })
  const found = papers.data?.pages.flat() ?? []
  return (
    <div className={s.page}>
      <Bar at="papers" />
      <main>
        <h1>Papers</h1>
        <div className={s.find}>
          <Input
            aria-label="Find a paper"
            placeholder="Find a paper: its customer or job"
            allowClear
            value={search}
            maxLength={120}
            onChange={(event) => setSearch(event.currentTarget.value)}
          />
          <Segmented
            aria-label="Kind of paper"
            name="kind"
            value={kind}
            options={[
              { value: '', label: 'all' },
              ...(Object.keys(kindWord) as PaperKind[]).map((value) => ({ value, label: `${kindWord[value]}s` })),
            ]}
            onChange={setKind}
          />
        </div>
        {papers.isError && (
          <p className="problem" role="alert">
            {told(papers.error)}
          </p>
        )}
        {papers.isSuccess && found.length === 0 && (
          <p>{q || kind ? 'No paper is like that.' : 'Nothing was given out yet: a job’s Price writes quotations.'}</p>
        )}
        <ul className={s.list}>
          {found.map(({ id, paper, events }) => (
            <li key={id}>
              <Link to={`/papers/${id}`}>
                <b>{paper.called}</b>
                <span>{kindWord[paper.kind]}</span>
                <span>{paper.date}</span>
                <span>{paper.customer.name}</span>
                <span>{paper.job}</span>
                <b>{paper.sum.total.text}</b>
                <em>{events.map(({ event }) => event).join(', ')}</em>
              </Link>
            </li>
          ))}
        </ul>
        {papers.hasNextPage && <Button onClick={() => void papers.fetchNextPage()}>More papers</Button>}
      </main>
    </div>
  )
}
