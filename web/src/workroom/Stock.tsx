import { useQuery, useQueryClient } from '@tanstack/react-query'
import { Button, Input, Select } from 'antd'
import { useDeferredValue, useState } from 'react'
import { Link } from 'react-router'
import { answer, api, newId, type StockKind, type StockRow, type StockView, type Unit } from '../api/client'
import { Saves } from '../parts/Saves'
import { told } from '../parts/told'
import { Typed } from '../parts/Typed'
import { Bar } from './Bar'
import { ShelfPhoto } from './ShelfPhoto'
import { TakeTable } from './TakeTable'
import s from './stock.module.css'

const kinds: { value: StockKind; label: string }[] = [
  { value: 'bolt', label: 'bolt' },
  { value: 'part-roll', label: 'part roll' },
  { value: 'remnant', label: 'remnant' },
  { value: 'zip', label: 'zips' },
  { value: 'cord', label: 'cord, tape, chain' },
  { value: 'foam', label: 'foam' },
  { value: 'other', label: 'other' },
]

/** What lies on the shelves: found, reserved, counted by walking along them, bought anew below a mark. */
export default function Stock() {
  const queries = useQueryClient()
  const [search, setSearch] = useState('')
  const [held, setHeld] = useState('')
  const [walking, setWalking] = useState(false)
  const [problem, setProblem] = useState('')
  const q = useDeferredValue(search.trim())
  const unit: Unit =
    useQuery({ queryKey: ['workroom'], queryFn: () => answer(api.GET('/api/workroom')) }).data?.unit ?? 'in'
  const asked = useQuery({
    queryKey: ['stock', q],
    queryFn: ({ signal }) => answer(api.GET('/api/stock', { params: { query: { q } }, signal })),
    placeholderData: (before) => before,
    staleTime: 0,
  })
  const keep = async (id: string, from: number, row: StockRow) => {
    try {
      await answer(api.PUT('/api/stock/{id}', { params: { path: { id } }, body: { from, row } }))
      setProblem('')
    } catch (error) {
      setProblem(told(error))
    }
    await queries.invalidateQueries({ queryKey: ['stock'] })
  }
  const add = async () => {
    const id = newId()
    await keep(id, 0, {
      kind: 'part-roll',
      name: search.trim(),
      batch: '',
      place: '',
      length: { typed: '', unit },
      width: null,
      count: '',
      mark: '',
      note: '',
      countedOn: '',
      from: '',
    })
    setHeld(id)
  }
  const remove = async (id: string) => {
    const { response, error } = await api.DELETE('/api/stock/{id}', { params: { path: { id } } })
    setProblem(response.ok ? '' : ((error as { detail?: string } | undefined)?.detail ?? 'It cannot be taken off.'))
    await queries.invalidateQueries({ queryKey: ['stock'] })
  }
  const rows = [...(asked.data?.rows ?? [])]
  if (walking) rows.sort((one, other) => one.row.place.localeCompare(other.row.place))
  return (
    <div className={s.page}>
      <Bar at="stock" />
      <main>
        <h1>Stock</h1>
        <form
          className={s.find}
          onSubmit={(event) => {
            event.preventDefault()
            void add()
          }}
        >
          <Input
            aria-label="Find something, or name something new"
            placeholder="Cloth, batch, place, zip, cord"
            allowClear
            value={search}
            maxLength={120}
            onChange={(event) => setSearch(event.currentTarget.value)}
          />
          <Button htmlType="submit">{q ? `Add “${q}”` : 'Add something'}</Button>
          <Button aria-pressed={walking} onClick={() => setWalking(!walking)}>
            {walking ? 'Done counting' : 'Count along the shelves'}
          </Button>
          <Link to="/recall">Where a batch went</Link>
        </form>
        <p className={s.files}>
          <Saves label="the shelves" base="/api/tables/stock" as={['csv', 'xlsx']} />
          <TakeTable kind="stock" then="stock" />
        </p>
        {[problem, asked.isError ? told(asked.error) : '']
          .filter((text) => text !== '')
          .map((text) => (
            <p key={text} className="problem" role="alert">
              {text}
            </p>
          ))}
        {asked.data && asked.data.low.length > 0 && (
          <section className={s.low} aria-label="To buy anew">
            <h2>To buy anew</h2>
            <ul>
              {asked.data.low.map((low) => (
                <li key={low.name}>
                  <b>{low.name}</b>: {low.there} is there, under the mark of {low.mark}
                </li>
              ))}
            </ul>
          </section>
        )}
        {asked.data && rows.length === 0 && <p>{q ? `Nothing has “${q}” in it.` : 'Nothing is on the shelves yet.'}</p>}
        {walking ? (
          <ul className={s.walk} aria-label="Count">
            {rows.map((view) => (
              <Counted key={view.id} view={view} unit={unit} keep={keep} />
            ))}
          </ul>
        ) : (
          <ul className={s.rows} aria-label="On the shelves">
            {rows.map((view) => (
              <li key={view.id}>
                <button
                  className={s.row}
                  aria-expanded={held === view.id}
                  onClick={() => setHeld(held === view.id ? '' : view.id)}
                >
                  <b>
                    {view.hasPhoto && (
                      <img
                        src={`/api/stock/${view.id}/photo?small=true&of=${view.revision}`}
                        alt=""
                        className={s.little}
                      />
                    )}
                    {view.row.name || 'no name yet'}
                  </b>
                  <span>{kinds.find(({ value }) => value === view.row.kind)?.label}</span>
                  <span>{view.amount || '?'}</span>
                  <span>{view.row.batch && `batch ${view.row.batch}`}</span>
                  <span>{view.row.place}</span>
                  <em>
                    {view.reserved.length > 0 &&
                      `for ${view.reserved.map(({ name, amount }) => (amount === '' ? name : `${name} (${amount})`)).join(', ')}`}
                  </em>
                </button>
                {held === view.id && (
                  <Fields
                    view={view}
                    unit={unit}
                    keep={(row) => keep(view.id, view.revision, row)}
                    remove={() => remove(view.id)}
                  />
                )}
              </li>
            ))}
          </ul>
        )}
      </main>
    </div>
  )
}

function Fields({
  view,
  unit,
  keep,
  remove,
}: {
  view: StockView
  unit: Unit
  keep: (row: StockRow) => Promise<void>
  remove: () => Promise<void>
}) {
  const { row, problems, reserved, byLength: long } = view
  const set = (changed: Partial<StockRow>) => void keep({ ...row, ...changed })
  const wrong = (field: string) => problems.find((each) => each.field === field)
  return (
    <fieldset className={s.fields} aria-label={row.name || 'Something new'}>
      <Typed label="What" value={row.name} problem={wrong('name')} write={(name) => set({ name })} />
      <div className="typed">
        <span>It is a</span>
        <Select aria-label="It is a" value={row.kind} options={kinds} onChange={(kind) => set({ kind })} />
      </div>
      <Typed label="Where it lies" value={row.place} write={(place) => set({ place })} />
      {long ? (
        <Typed
          label="Length"
          value={row.length?.typed ?? ''}
          placeholder={unit === 'cm' ? '1.8 m' : '2 1/4 yd'}
          problem={wrong('length')}
          write={(typed) => set({ length: { typed, unit } })}
        />
      ) : (
        <Typed label="How many" value={row.count} problem={wrong('count')} write={(count) => set({ count })} />
      )}
      <Typed
        label="Width, if it has one"
        value={row.width?.typed ?? ''}
        problem={wrong('width')}
        write={(typed) => set({ width: typed.trim() === '' ? null : { typed, unit } })}
      />
      <Typed label="Batch, as its ticket says" value={row.batch} write={(batch) => set({ batch })} />
      <Typed
        label="Buy more below"
        value={row.mark}
        placeholder="never"
        problem={wrong('mark')}
        write={(mark) => set({ mark })}
      />
      <Typed label="To know" value={row.note} write={(note) => set({ note })} />
      {wrong('reserved') && <p className="problem">{wrong('reserved')?.reason}</p>}
      <ShelfPhoto view={view} />
      <p>
        {row.countedOn && <span>Counted on {row.countedOn}. </span>}
        {reserved.map(({ job, name, amount }) => (
          <Link key={`${job} ${amount}`} to={`/jobs/${job}/${amount === '' ? 'lay' : 'buy'}`}>
            For {name}
            {amount !== '' && `: ${amount}`}
          </Link>
        ))}
        {reserved.some(({ amount }) => amount !== '') && <span>{view.free} free. </span>}
        <Button onClick={() => void remove()}>Take off the shelves</Button>
      </p>
    </fieldset>
  )
}

// One row of the walk: what is there now; Enter keeps it and goes on to the next.
function Counted({
  view,
  unit,
  keep,
}: {
  view: StockView
  unit: Unit
  keep: (id: string, from: number, row: StockRow) => Promise<void>
}) {
  const long = view.byLength
  const now = long ? (view.row.length?.typed ?? '') : view.row.count
  const [typed, setTyped] = useState(now)
  const done = () => {
    const today = new Date()
    const countedOn = `${today.getFullYear()}-${`${today.getMonth() + 1}`.padStart(2, '0')}-${`${today.getDate()}`.padStart(2, '0')}`
    if (typed === now && view.row.countedOn === countedOn) return
    void keep(view.id, view.revision, {
      ...view.row,
      countedOn,
      ...(long
        ? { length: { typed, unit: typed === now ? (view.row.length?.unit ?? unit) : unit } }
        : { count: typed }),
    })
  }
  const problem = view.problems.find(({ field }) => field === (long ? 'length' : 'count'))
  return (
    <li>
      <span>{view.row.place || 'no place'}</span>
      <b>
        {view.row.name} {view.row.batch}
      </b>
      <Input
        aria-label={`${view.row.name}, ${view.row.place}: what is there`}
        value={typed}
        status={problem ? 'error' : ''}
        onFocus={(event) => event.currentTarget.select()}
        onChange={(event) => setTyped(event.currentTarget.value)}
        onKeyDown={(event) => {
          if (event.key !== 'Enter') return
          done()
          const inputs = [...(event.currentTarget.closest('ul')?.querySelectorAll('input') ?? [])]
          inputs[inputs.indexOf(event.currentTarget) + 1]?.focus()
        }}
      />
      <span>{view.row.countedOn ? `counted ${view.row.countedOn}` : ''}</span>
    </li>
  )
}
