import type { CareMark, Given } from '../../api/client'
import { CareSigns } from './CareSigns'
import s from './hand-over.module.css'

interface Props {
  given: Given
  marks: CareMark[]
}

const marksOf = ({ given, marks }: Props) => marks.filter((mark) => given.care.includes(mark.key))

const clothsOf = (given: Given) =>
  given.cloths.map(({ name, batch }) => (batch ? `${name}, batch ${batch}` : name)).join('; ')

/** A label to be sewn in, at its true size: as wide as told, and as high as its text asks for. */
export function Label({ given, marks, wide, high }: Props & { wide: number; high: number }) {
  return (
    <article className={s.label} style={{ width: `${wide}mm`, minHeight: `${high}mm` }} data-paper="label">
      <p>
        <b>{given.name}</b> {given.size}
      </p>
      <p>
        {given.maker} {given.postcode} · {given.date}
      </p>
      <p>{clothsOf(given)}</p>
      <CareSigns marks={marksOf({ given, marks })} />
      {given.stated
        .filter(({ name }) => name !== 'Notes' && name !== 'Opens at')
        .map((line) => (
          <p key={line.name}>
            {line.name}: {line.text}
          </p>
        ))}
      {given.cautions.map((caution) => (
        <p key={caution}>
          <b>{caution}</b>
        </p>
      ))}
    </article>
  )
}

/** A card for the customer: how the cover is cleaned, opened and put on again. */
export function CareCard({ given, marks }: Props) {
  return (
    <article className={s.card} data-paper="card">
      <h2>Caring for your {given.name}</h2>
      <p>{clothsOf(given)}</p>
      {given.care.length > 0 ? (
        <CareSigns marks={marksOf({ given, marks })} words />
      ) : (
        <p>The maker of the cloth gave no care code: ask before it is cleaned.</p>
      )}
      {given.stated
        .filter(({ name }) => name === 'Cleaning' || name === 'Opens at' || name === 'Notes' || name === 'Cover')
        .map((line) => (
          <p key={line.name}>
            <b>{line.name}</b> {line.text}
          </p>
        ))}
      {given.cautions.map((caution) => (
        <p key={caution} className={s.caution}>
          {caution}
        </p>
      ))}
      <p className={s.maker}>
        {given.maker} {given.postcode} · {given.date}
      </p>
    </article>
  )
}

/** What the customer signs: every cover with what was said of it, and what came back. */
export function HandOverSheet({ all, marks }: { all: Given[]; marks: CareMark[] }) {
  const [first] = all
  if (!first) return null
  return (
    <article className={s.sheet} data-paper="sheet">
      <h2>Handed over</h2>
      <p>
        {[first.customer, first.place].filter(Boolean).join(', ')}
        {first.customer || first.place ? ' · ' : ''}
        {first.date}
      </p>
      <p>
        From {first.maker} {first.postcode}
      </p>
      {all.map((given, n) => (
        <section key={n}>
          <h3>
            {n + 1} {given.name}
            {given.quantity > 1 && ` × ${given.quantity}`}
          </h3>
          <p>
            {given.kind}
            {given.size && `, ${given.size}`}. {clothsOf(given)}.
          </p>
          <p>
            {marksOf({ given, marks })
              .map((mark) => mark.words)
              .join('. ')}
          </p>
          {given.stated.map((line) => (
            <p key={line.name}>
              <b>{line.name}</b> {line.text}
            </p>
          ))}
          {given.cautions.map((caution) => (
            <p key={caution} className={s.caution}>
              {caution}
            </p>
          ))}
          {given.parts.length > 0 && <p>Back with it: {given.parts.join('; ')}</p>}
        </section>
      ))}
      <p>
        What is written about flammability and fillings is stated by the maker. Follow the local rules; a qualified
        upholsterer can advise.
      </p>
      <dl className={s.signed}>
        <div>
          <dt>Received, as described</dt>
          <dd />
        </div>
        <div>
          <dt>Date</dt>
          <dd />
        </div>
      </dl>
    </article>
  )
}
