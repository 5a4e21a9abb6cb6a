import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { answer, api } from '../api/client'
import type { components } from '../api/schema'
import { told } from '../parts/told'
import { Bar } from '../workroom/Bar'
import s from './figures.module.css'

type Figure = components['schemas']['FigureView']

/** What the workroom did, for the maker alone: every figure with the rows behind it. */
export default function Figures() {
  const asked = useQuery({
    queryKey: ['figures'],
    queryFn: ({ signal }) => answer(api.GET('/api/figures', { signal })),
    staleTime: 0,
    retry: false,
  })
  const figures = asked.data
  return (
    <div className={s.page}>
      <Bar at="figures" />
      <main>
        <h1>Figures</h1>
        {asked.isError && (
          <p className="problem" role="alert">
            {told(asked.error)}
          </p>
        )}
        {asked.isPending && <p>Adding up …</p>}
        {figures && (
          <>
            <Part
              name="Hours by kind of work"
              nothing="No step was timed yet: the timer on Make does it."
              figures={figures.hours}
              at="make"
            />
            <Part
              name="Cloth saved"
              nothing="Nothing is cut yet that rows by hand would have taken more for."
              figures={figures.cloth}
              at="lay"
            />
            <Part name="Quotations" nothing="No quotation was written yet." figures={figures.offers} at="price" />
            <Part name="What estimates were off" nothing="No step was timed yet." figures={figures.off} at="make" />
          </>
        )}
      </main>
    </div>
  )
}

function Part({ name, nothing, figures, at }: { name: string; nothing: string; figures: Figure[]; at: string }) {
  return (
    <section aria-label={name}>
      <h2>{name}</h2>
      {figures.length === 0 && <p>{nothing}</p>}
      {figures.map((figure) => (
        <details key={figure.name} className={s.figure}>
          <summary>
            <span>{figure.name}</span>
            <b>{figure.figure}</b>
            <span>{figure.beside}</span>
          </summary>
          <ul>
            {figure.rows.map((row, n) => (
              <li key={n}>
                <Link to={`/jobs/${row.job}/${at}`}>{row.text}</Link> {row.figure}
              </li>
            ))}
          </ul>
        </details>
      ))}
    </section>
  )
}
