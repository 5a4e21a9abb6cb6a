import { useQuery } from '@tanstack/react-query'
import { Button } from 'antd'
import { Link, useParams } from 'react-router'
import { answer, api } from '../api/client'
import { told } from '../parts/told'
import { Bar } from '../workroom/Bar'
import { PaperSheet } from './PaperSheet'
import { kindWord } from './kinds'
import s from './paper.module.css'

/** One paper, as it is printed. */
export default function PaperPage() {
  const { id = '' } = useParams()
  const asked = useQuery({
    queryKey: ['paper', id],
    queryFn: () => answer(api.GET('/api/papers/{paper}', { params: { path: { paper: id } } })),
    staleTime: 0,
  })
  const view = asked.data
  return (
    <div className={s.page}>
      <Bar at="papers" />
      <main>
        {asked.isError && (
          <p className="problem" role="alert">
            {told(asked.error)}
          </p>
        )}
        {view && (
          <>
            <p className={s.tools}>
              <Button type="primary" onClick={() => window.print()}>
                Print
              </Button>
              <Link to={`/jobs/${view.job}/price`}>To its job</Link>
              <span>
                {view.events.map((each) => (
                  <b key={each.at}>
                    This {kindWord[view.paper.kind]} was {each.event}. {each.note}{' '}
                  </b>
                ))}
                Given out as it stands here; nothing changes it any more.
              </span>
            </p>
            <PaperSheet view={view} />
          </>
        )}
      </main>
    </div>
  )
}
