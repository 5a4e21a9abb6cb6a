import { useQuery } from '@tanstack/react-query'
import { Button } from 'antd'
import { clsx } from 'clsx'
import { Link } from 'react-router'
import { answer, api, Refused } from '../../api/client'
import { identity } from '../../parts/identity'
import { useSettled } from '../../parts/useSettled'
import { told } from '../../parts/told'
import { useDocument, useScene } from '../../job/scene'
import { Extras } from './Extras'
import { Going } from './Going'
import { Missing } from './Missing'
import { Options } from './Options'
import { RealCost } from './RealCost'
import { Reckoning } from './Reckoning'
import { useMoney } from './useMoney'
import s from './price.module.css'

/** What a job costs, what is asked for it, and the papers that go out. */
export default function Price() {
  const id = useScene((scene) => scene.id)
  const job = useDocument()
  const { money, failed, problem, edit, again, refresh } = useMoney(id)
  const sheet = money?.sheet
  const book = useQuery({ queryKey: ['price-book'], queryFn: () => answer(api.GET('/api/price-book')) }).data
  const asked = useSettled(job, 250)
  const offer = useQuery({
    queryKey: ['offer', asked && identity(asked), sheet && identity(sheet), book?.revision],
    queryFn: ({ signal }) =>
      answer(api.POST('/api/offer', { body: { job: asked ?? job, sheet: sheet ?? blank }, signal })),
    enabled: asked !== undefined && sheet !== undefined && book !== undefined && job.items.length > 0,
    placeholderData: (before) => before,
    retry: false,
  })
  if (failed)
    return (
      <p className="problem" role="alert">
        {failed}
      </p>
    )
  if (!money || !sheet || !book) return <p>…</p>
  const priced = offer.data
  const stale = offer.isPlaceholderData || asked !== job
  return (
    <div className={s.price}>
      {problem && (
        <p className="problem" role="alert">
          {problem} <Button onClick={() => void again()}>Try again</Button>
        </p>
      )}
      <section className={clsx(s.cost, stale && 'stale')} aria-label="What it comes to" aria-busy={stale}>
        <h2>
          What it comes to <Link to="/prices">Prices</Link>
        </h2>
        {job.items.length === 0 && <p>Nothing is measured yet, so that there is nothing to price.</p>}
        {offer.isError && (
          <p className="problem" role="alert">
            {offer.error instanceof Refused ? offer.error.message : told(offer.error)}
          </p>
        )}
        {!priced && offer.isFetching && <p>Drafting, laying and reckoning …</p>}
        {priced && (
          <>
            <Missing offer={priced} book={book} />
            <Reckoning offer={priced} />
          </>
        )}
        <Extras
          sheet={sheet}
          edit={edit}
          problems={priced?.problems ?? []}
          rush={book.book.rush}
          deposit={book.book.deposit}
        />
        {priced && <Options offer={priced} sheet={sheet} edit={edit} />}
      </section>
      <Going money={money} offer={priced} stale={stale || offer.isFetching} refresh={refresh} />
      {money.standing.order && <RealCost id={id} revision={money.revision} sheet={sheet} edit={edit} />}
    </div>
  )
}

const blank = { isRush: false, extras: [], options: [], bought: [], deposit: '' }
