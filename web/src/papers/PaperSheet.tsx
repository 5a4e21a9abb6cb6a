import { clsx } from 'clsx'
import type { Paper, PaperView } from '../api/client'
import { kindWord } from './kinds'
import s from './paper.module.css'

// The same on every print, wherever it is printed, and read in one way alone.
const day = new Intl.DateTimeFormat('en-GB', { dateStyle: 'long' })
const dated = (date: string) => (date ? day.format(new Date(`${date}T12:00:00`)) : '')
const title = (paper: Paper) => kindWord[paper.kind].charAt(0).toUpperCase() + kindWord[paper.kind].slice(1)

/** A paper as it was given out: nothing on it is reckoned here. */
export function PaperSheet({ view }: { view: PaperView }) {
  const { paper, drawings } = view
  const taxed = paper.sum.taxes.length > 0
  return (
    <article className={s.paper} data-paper={paper.kind}>
      <header>
        <div>
          <h2>
            {title(paper)} {paper.called}
          </h2>
          <p>{dated(paper.date)}</p>
        </div>
        <address>
          <b>{paper.maker.name}</b>
          {'\n'}
          {paper.maker.address.replace(`${paper.maker.name}\n`, '')}
          {paper.taxNumber && `\nTax number ${paper.taxNumber}`}
        </address>
      </header>
      <p className={s.to}>
        <b>{paper.customer.name}</b>
        {'\n'}
        {paper.customer.address.replace(`${paper.customer.name}\n`, '')}
      </p>
      <p className={s.about}>
        {paper.job}
        {paper.basedOn && `, following ${paper.basedOn}`}
        {paper.chosen && `. Ordered with ${paper.chosen}`}
      </p>
      <table>
        <tbody>
          {paper.lines.map((line, at) => (
            <tr key={line.item || at}>
              <td className={s.drawn}>
                {drawings.includes(line.item) && (
                  <img src={`/api/papers/${view.id}/drawings/${encodeURIComponent(line.item)}`} alt="" />
                )}
              </td>
              <th scope="row">
                <b>
                  {line.quantity > 1 && `${line.quantity} × `}
                  {line.text}
                </b>
                {line.told.map((each) => (
                  <span key={each}>{each}</span>
                ))}
              </th>
              <td className={s.amount}>{line.amount.text}</td>
            </tr>
          ))}
        </tbody>
        <tfoot>
          {taxed && (
            <tr>
              <td />
              <th scope="row">{paper.taxIncluded ? 'Of this before tax' : 'Before tax'}</th>
              <td className={s.amount}>{paper.sum.net.text}</td>
            </tr>
          )}
          {paper.sum.taxes.map((tax) => (
            <tr key={tax.name}>
              <td />
              <th scope="row">
                {tax.name} {tax.percent} %{paper.taxIncluded && ', included'}
              </th>
              <td className={s.amount}>{tax.amount.text}</td>
            </tr>
          ))}
          <tr className={s.total}>
            <td />
            <th scope="row">{paper.kind === 'receipt' ? 'Received with thanks' : 'Total'}</th>
            <td className={s.amount}>{paper.sum.total.text}</td>
          </tr>
          {paper.paid.map((each) => (
            <tr key={each.receipt}>
              <td />
              <th scope="row">
                Paid on {dated(each.date)}, {each.receipt}
              </th>
              <td className={s.amount}>{each.amount.text}</td>
            </tr>
          ))}
          {paper.due && (
            <tr className={clsx(paper.kind === 'invoice' && s.total)}>
              <td />
              <th scope="row">{paper.kind === 'invoice' ? 'To pay' : 'Still to pay'}</th>
              <td className={s.amount}>{paper.due.text}</td>
            </tr>
          )}
        </tfoot>
      </table>
      {paper.options.length > 0 && (
        <section className={s.options}>
          <h3>Or made otherwise</h3>
          <ul>
            {paper.options.map((option) => (
              <li key={option.id}>
                <span>{option.text}</span>
                <b>{option.sum.total.text}</b>
                <span>{option.difference}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
      <footer>
        {paper.deposit && paper.kind !== 'invoice' && (
          <p>
            <b>Deposit with the order: {paper.deposit.text}</b>
          </p>
        )}
        {paper.kind === 'quotation' && paper.until && <p>This offer holds until {dated(paper.until)}.</p>}
        {paper.kind === 'estimate' && (
          <p>This is an estimate and binds nobody: the price follows from the measurements.</p>
        )}
        {paper.kind === 'invoice' && paper.until && <p>Please pay by {dated(paper.until)}.</p>}
        {paper.payTo && paper.kind !== 'receipt' && paper.kind !== 'credit-note' && <p>Pay to: {paper.payTo}</p>}
        {paper.note && <p>{paper.kind === 'receipt' ? `Paid by ${paper.note}` : paper.note}</p>}
        {paper.rounding && taxed && <p className={s.small}>{paper.rounding}</p>}
        {paper.terms && paper.kind !== 'receipt' && <p className={s.small}>{paper.terms}</p>}
      </footer>
    </article>
  )
}
