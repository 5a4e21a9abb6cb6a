import { useQuery } from '@tanstack/react-query'
import { Link, useParams } from 'react-router'
import { answer, api } from '../api/client'
import { told } from '../parts/told'
import { Bar } from '../workroom/Bar'
import { MailIt } from '../parts/MailIt'
import { Print } from '../parts/Print'
import { PaperPages } from './PaperPages'
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
  const whose = view?.customerId ?? ''
  const customer = useQuery({
    queryKey: ['customer', whose],
    queryFn: async () =>
      whose === '' ? null : answer(api.GET('/api/customers/{id}', { params: { path: { id: whose } } })),
    enabled: view !== undefined,
    retry: false,
  })
  const mails = (customer.data?.customer.customer.people ?? [])
    .flatMap(({ email }) => (email === '' ? [] : [email]))
    .join(', ')
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
              <Print href={`/api/papers/${id}/paper.pdf`} name={`${kindWord[view.paper.kind]} ${view.paper.called}`}>
                Print
              </Print>
              {customer.isFetched && (
                <MailIt
                  to={mails}
                  subject={`${kindWord[view.paper.kind]} ${view.paper.called}`}
                  text={`${view.paper.job}: please find the ${kindWord[view.paper.kind]} enclosed.\n\n${view.paper.maker.name}`}
                  enclose={[{ paper: id, job: null, sheet: null, item: null }]}
                >
                  Mail it
                </MailIt>
              )}
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
            <PaperPages id={id} />
          </>
        )}
      </main>
    </div>
  )
}
