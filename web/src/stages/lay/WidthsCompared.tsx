import { useQuery } from '@tanstack/react-query'
import { Button, Input } from 'antd'
import { useState } from 'react'
import { answer, api, unitWord, type Cloth, type Entry } from '../../api/client'
import { useClothEdit } from '../../job/useClothEdit'
import { identity } from '../../parts/identity'
import { useDocument, useUnit } from '../../job/scene'
import s from './lay.module.css'

/** The cloth at every usual width, and with its panels lying either way: drafted and laid anew for each, on request. */
export function WidthsCompared({ cloth }: { cloth: Cloth }) {
  const jobUnit = useUnit()
  const jobDocument = useDocument()
  const [asked, setAsked] = useState(false)
  const [other, setOther] = useState('')
  const tried = useQuery({
    queryKey: ['widths', identity(jobDocument), cloth.id],
    queryFn: ({ signal }) => answer(api.POST('/api/widths', { body: { job: jobDocument, cloth: cloth.id }, signal })),
    enabled: asked,
    gcTime: 10_000,
  })
  const edit = useClothEdit(cloth)
  const others = (otherWidths: Entry[]) => edit({ otherWidths })
  const add = () => {
    if (other.trim()) others([...cloth.otherWidths, { typed: other.trim(), unit: jobUnit }])
    setOther('')
  }
  if (!asked) return <Button onClick={() => setAsked(true)}>Compare widths</Button>
  return (
    <section className={s.widths} aria-label={`Widths of ${cloth.name} compared`} aria-live="polite">
      {tried.isFetching && <p>Drafting and laying at every width …</p>}
      {tried.error && (
        <p className="problem" role="alert">
          {tried.error.message}
        </p>
      )}
      {tried.data && (
        <table>
          <thead>
            <tr>
              <th>Width</th>
              <th>Panels lie</th>
              <th>Needed</th>
              <th>To buy</th>
              <th>Cost</th>
              <th>Joins</th>
              <th>Waste</th>
            </tr>
          </thead>
          <tbody>
            {tried.data.map((row) => (
              <tr key={`${row.width.ticks} ${row.lying}`} className={row.current ? s.current : undefined}>
                <th scope="row">
                  {row.width.text}
                  {row.current && <small>now</small>}
                </th>
                <td>{row.lying}</td>
                {row.reason === null ? (
                  <>
                    <td>{row.needed?.text}</td>
                    <td>
                      <b>{row.bought?.text}</b>
                    </td>
                    <td>{row.cost}</td>
                    <td>{row.joins}</td>
                    <td>{row.waste} %</td>
                  </>
                ) : (
                  <td colSpan={5} className="note">
                    {row.reason}
                  </td>
                )}
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <form
        className={s.otherWidth}
        onSubmit={(event) => {
          event.preventDefault()
          add()
        }}
      >
        <label>
          Another width
          <Input value={other} suffix={unitWord(jobUnit)} onChange={(event) => setOther(event.currentTarget.value)} />
        </label>
        <Button htmlType="submit">Compare it too</Button>
        {cloth.otherWidths.length > 0 && <Button onClick={() => others([])}>Only the usual widths</Button>}
      </form>
      {tried.data && <p className="note">Cost takes the same price for every width.</p>}
    </section>
  )
}
