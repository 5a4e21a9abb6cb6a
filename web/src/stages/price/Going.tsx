import { Button, Input, Segmented } from 'antd'
import { useState } from 'react'
import { Link } from 'react-router'
import { answer, api, newId, type JobMoney, type Offer, type PaperKind, type PaperView } from '../../api/client'
import { useScene } from '../../job/scene'
import { PaperPages } from '../../papers/PaperPages'
import { kindWord } from '../../papers/kinds'
import { told } from '../../parts/told'
import { Typed } from '../../parts/Typed'
import s from './price.module.css'

interface Props {
  money: JobMoney
  offer: Offer | undefined
  stale: boolean
  refresh: () => Promise<void>
}

type Give = (kind: PaperKind, more?: Partial<Parameters<typeof body>[1]>) => Promise<boolean>

const body = (
  kind: PaperKind,
  more: { basedOn?: string; option?: string; total?: number | null; amount?: string; note?: string; date?: string },
) => ({ id: newId(), kind, basedOn: '', option: '', total: null, amount: '', note: '', date: '', ...more })

/** What goes out: how the job stands with its customer, what can be given out next, and every paper so far. */
export function Going({ money, offer, stale, refresh }: Props) {
  const id = useScene((scene) => scene.id)
  const saved = useScene((scene) => scene.job.saving.is === 'saved')
  const [problem, setProblem] = useState('')
  const [busy, setBusy] = useState(false)
  const { papers, standing } = money
  const paper = (of: string | null) => papers.find((each) => each.id === of)
  const give: Give = async (kind, more = {}) => {
    setBusy(true)
    setProblem('')
    try {
      await answer(api.POST('/api/jobs/{id}/papers', { params: { path: { id } }, body: { ...body(kind, more) } }))
      return true
    } catch (error) {
      setProblem(told(error))
      return false
    } finally {
      await refresh()
      setBusy(false)
    }
  }
  const note = async (of: PaperView, event: string) => {
    try {
      await answer(
        api.POST('/api/papers/{paper}/events', { params: { path: { paper: of.id } }, body: { event, note: '' } }),
      )
      setProblem('')
    } catch (error) {
      setProblem(told(error))
    }
    await refresh()
  }
  const [offered, order, invoice] = [paper(standing.offered), paper(standing.order), paper(standing.invoice)]
  const canOffer = offer?.whole === true && !stale && saved && !busy
  const latest = papers.at(-1)
  return (
    <section className={s.going} aria-label="What goes out">
      <h2>What goes out</h2>
      <dl className={s.standing}>
        {invoice ? (
          <>
            <dt>Invoiced</dt>
            <dd>{standing.invoiced}</dd>
            <dt>Paid</dt>
            <dd>{standing.paid}</dd>
            <dt>{standing.isSettled ? 'Settled' : 'Still to pay'}</dt>
            <dd>
              <b data-testid="balance">{standing.balance}</b>
            </dd>
          </>
        ) : (
          order && (
            <>
              <dt>Ordered</dt>
              <dd>{order.paper.sum.total.text}</dd>
              <dt>Paid so far</dt>
              <dd>{standing.paid}</dd>
              {standing.deposit && (
                <>
                  <dt>Deposit still to come</dt>
                  <dd>
                    <b>{standing.deposit}</b>
                  </dd>
                </>
              )}
            </>
          )
        )}
      </dl>
      {problem && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
      {offered && !order && (
        <Answer offered={offered} give={give} decline={() => note(offered, 'declined')} busy={busy} />
      )}
      {!invoice && order && (
        <div className={s.row}>
          <Button
            {...(!standing.deposit && { type: 'primary' as const })}
            disabled={busy}
            onClick={() => void give('invoice', { basedOn: order.id })}
          >
            Write the invoice
          </Button>
          <Button disabled={busy} onClick={() => void note(order, 'cancelled')}>
            The order was cancelled
          </Button>
        </div>
      )}
      {(invoice ?? order) && !standing.isSettled && (
        <Pay
          key={papers.length}
          asked={invoice ? standing.toPay : (standing.deposit ?? standing.toPay)}
          deposit={!invoice}
          give={(amount, how, date) =>
            give('receipt', { basedOn: (invoice ?? order)?.id ?? '', amount, note: how, date })
          }
          busy={busy}
        />
      )}
      {invoice && <Credit key={`c${papers.length}`} of={invoice} give={give} busy={busy} />}
      {!order && (
        <div className={s.row}>
          <Button
            {...(!offered && { type: 'primary' as const })}
            disabled={!canOffer}
            onClick={() => void give('quotation', { total: offer?.sum.total.units ?? null })}
          >
            {offered ? 'Write a new quotation' : 'Write the quotation'}
          </Button>
          <Button disabled={!canOffer} onClick={() => void give('estimate', { total: offer?.sum.total.units ?? null })}>
            An estimate, binding nobody
          </Button>
          {offer && !offer.whole && <p className="note">First what is not known yet needs a price.</p>}
        </div>
      )}
      {papers.length > 0 && (
        <ul className={s.papers} aria-label="Papers">
          {[...papers].reverse().map((each) => (
            <li key={each.id}>
              <Link to={`/papers/${each.id}`}>
                <b>{each.paper.called}</b> {kindWord[each.paper.kind]}
                <span>{each.paper.date}</span>
                <span>{each.paper.sum.total.text}</span>
                {each.events.length > 0 && <em>{each.events.map(({ event }) => event).join(', ')}</em>}
              </Link>
            </li>
          ))}
        </ul>
      )}
      {latest && (
        <div className={s.preview} aria-hidden>
          <PaperPages id={latest.id} />
        </div>
      )}
    </section>
  )
}

// The customer said yes to an offer, to one of its options, or no.
function Answer({
  offered,
  give,
  decline,
  busy,
}: {
  offered: PaperView
  give: Give
  decline: () => Promise<void>
  busy: boolean
}) {
  const [option, setOption] = useState('')
  const { paper } = offered
  return (
    <div className={s.answer}>
      {paper.options.length > 0 && (
        <Segmented
          vertical
          aria-label="Which was ordered"
          name="option"
          value={option}
          options={[
            { value: '', label: `As first offered, ${paper.sum.total.text}` },
            ...paper.options.map((each) => ({ value: each.id, label: `${each.text}, ${each.sum.total.text}` })),
          ]}
          onChange={setOption}
        />
      )}
      <div className={s.row}>
        <Button type="primary" disabled={busy} onClick={() => void give('order', { basedOn: offered.id, option })}>
          {paper.called} was accepted
        </Button>
        <Button disabled={busy} onClick={() => void decline()}>
          It was declined
        </Button>
      </div>
    </div>
  )
}

const ways = ['cash', 'card', 'bank transfer', 'cheque']

// A payment: how much, by what, and when if not today.
function Pay({
  asked,
  deposit,
  give,
  busy,
}: {
  asked: string
  deposit: boolean
  give: (amount: string, how: string, date: string) => Promise<boolean>
  busy: boolean
}) {
  const [amount, setAmount] = useState(asked)
  const [how, setHow] = useState(ways[0] ?? '')
  const [date, setDate] = useState('')
  return (
    <form
      className={s.pay}
      aria-label={deposit ? 'A deposit was paid' : 'A payment came in'}
      onSubmit={(event) => {
        event.preventDefault()
        void give(amount, how, date)
      }}
    >
      <label>
        {deposit ? 'Deposit paid' : 'Paid'}
        <Input value={amount} onChange={(event) => setAmount(event.currentTarget.value)} />
      </label>
      <Segmented aria-label="How it was paid" name="how" value={how} options={ways} onChange={setHow} />
      <Typed label="On, if not today" value={date} placeholder="2026-11-24" write={setDate} />
      <Button type="primary" htmlType="submit" disabled={busy}>
        Write the receipt
      </Button>
    </form>
  )
}

// What is taken back from an invoice, and why.
function Credit({ of, give, busy }: { of: PaperView; give: Give; busy: boolean }) {
  const [open, setOpen] = useState(false)
  const [amount, setAmount] = useState(of.paper.sum.total.text)
  const [why, setWhy] = useState('')
  if (!open)
    return (
      <div className={s.row}>
        <Button onClick={() => setOpen(true)}>Take something back …</Button>
      </div>
    )
  return (
    <form
      className={s.pay}
      aria-label="A credit note"
      onSubmit={(event) => {
        event.preventDefault()
        void give('credit-note', { basedOn: of.id, amount, note: why })
      }}
    >
      <label>
        Taken back from {of.paper.called}, tax included
        <Input value={amount} onChange={(event) => setAmount(event.currentTarget.value)} />
      </label>
      <label>
        Why
        <Input
          value={why}
          placeholder="One cushion was cut too short"
          maxLength={400}
          onChange={(event) => setWhy(event.currentTarget.value)}
        />
      </label>
      <Button htmlType="submit" disabled={busy}>
        Write the credit note
      </Button>
      <Button onClick={() => setOpen(false)}>Leave it</Button>
    </form>
  )
}
