import { useQueries, useQuery, useQueryClient } from '@tanstack/react-query'
import { Button, Input } from 'antd'
import { useRef, useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { answer, api, newId, Refused, type Customer, type CustomerPage as Page } from '../api/client'
import { told } from '../parts/told'
import { Typed } from '../parts/Typed'
import { Bar } from './Bar'
import { Records } from './Records'
import s from './customers.module.css'

const keptWord = { Here: '', Away: 'put away', Deleted: 'deleted' } as const

/** One customer: how to reach them, where their covers go, what to know, and everything that was made for them. */
export default function CustomerPage() {
  const { id = '' } = useParams()
  const queries = useQueryClient()
  const navigate = useNavigate()
  const key = ['customer', id]
  const asked = useQuery({
    queryKey: key,
    queryFn: () => answer(api.GET('/api/customers/{id}', { params: { path: { id } } })),
  })
  const [problem, setProblem] = useState('')
  const line = useRef<Promise<unknown>>(Promise.resolve())
  const page = asked.data
  const keep = async () => {
    const now = queries.getQueryData<Page>(key)
    if (!now) return
    const { customer, revision, id: own } = now.customer
    try {
      const kept = await answer(
        api.PUT('/api/customers/{id}', { params: { path: { id: own } }, body: { from: revision, customer } }),
      )
      const latest = queries.getQueryData<Page>(key) ?? now
      queries.setQueryData(key, {
        ...latest,
        customer: {
          ...kept,
          customer: latest.customer.customer === customer ? kept.customer : latest.customer.customer,
        },
      })
      setProblem('')
      await queries.invalidateQueries({ queryKey: ['customers'] })
    } catch (error) {
      setProblem(told(error))
      if (error instanceof Refused && error.status === 409) await queries.invalidateQueries({ queryKey: key })
    }
  }
  const edit = (change: (customer: Customer) => Customer) => {
    const now = queries.getQueryData<Page>(key)
    if (!now) return
    queries.setQueryData(key, { ...now, customer: { ...now.customer, customer: change(now.customer.customer) } })
    line.current = line.current.then(keep)
  }
  const join = async (into: string) => {
    try {
      await answer(
        api.POST('/api/customers/{id}/join', { params: { path: { id: page?.customer.id ?? id } }, body: { into } }),
      )
      await queries.invalidateQueries({ queryKey: ['customers'] })
      await navigate(`/customers/${into}`)
    } catch (error) {
      setProblem(told(error))
    }
  }
  const remove = async () => {
    const { response, error } = await api.DELETE('/api/customers/{id}', {
      params: { path: { id: page?.customer.id ?? id } },
    })
    if (!response.ok) {
      setProblem((error as { detail?: string } | undefined)?.detail ?? 'It cannot be taken off.')
      return
    }
    await queries.invalidateQueries({ queryKey: ['customers'] })
    await navigate('/customers')
    return undefined
  }
  const begin = async () => {
    if (!page) return
    const { unit } = await answer(api.GET('/api/workroom'))
    const made = newId()
    const { customer, id: customerId } = page.customer
    try {
      await answer(
        api.POST('/api/jobs', {
          body: { id: made, changeId: newId(), name: `For ${customer.name}`, unit, document: null, customerId },
        }),
      )
      await navigate(`/jobs/${made}/measure`)
    } catch (error) {
      setProblem(told(error))
    }
  }
  if (!page)
    return (
      <div className={s.page}>
        <Bar at="customers" />
        <main>{asked.isError ? <p className="problem">{told(asked.error)}</p> : <p>…</p>}</main>
      </div>
    )
  const { customer } = page.customer
  return (
    <div className={s.page}>
      <Bar at="customers" />
      <main>
        <h1>{customer.name}</h1>
        {problem && (
          <p className="problem" role="alert">
            {problem}
          </p>
        )}
        {page.alike.map((each) => (
          <p key={each.id} className={s.alike}>
            <b>{each.customer.name}</b> may be the same: it has the same name, telephone or mail.{' '}
            <Link to={`/customers/${each.id}`}>Look</Link>{' '}
            <Button onClick={() => void join(each.id)}>Make them one</Button>
          </p>
        ))}
        <div className={s.halves}>
          <section aria-label="Who they are">
            <div className={s.who}>
              <Typed label="Name" value={customer.name} write={(name) => edit((old) => ({ ...old, name }))} />
              <Typed
                long
                label="Address for papers"
                value={customer.address}
                write={(address) => edit((old) => ({ ...old, address }))}
              />
              <Typed
                long
                label="To know"
                placeholder="cat; latex allergy"
                value={customer.notes}
                write={(notes) => edit((old) => ({ ...old, notes }))}
              />
            </div>
            <h2>People</h2>
            <People customer={customer} edit={edit} />
            <h2>Places</h2>
            <Places customer={customer} edit={edit} />
          </section>
          <section aria-label="What is theirs">
            <h2>Jobs</h2>
            {page.jobs.length === 0 && <p>None yet.</p>}
            <ul className={s.jobs}>
              {page.jobs.map((job) => (
                <li key={job.id}>
                  {job.kept === 'Deleted' ? (
                    <p>
                      {job.name} <em>{keptWord[job.kept]}</em>
                    </p>
                  ) : (
                    <Link to={`/jobs/${job.id}/measure`}>
                      <b>{job.name}</b> <em>{keptWord[job.kept]}</em>
                    </Link>
                  )}
                </li>
              ))}
            </ul>
            <p>
              <Button type="primary" onClick={() => void begin()}>
                A new job for them
              </Button>
            </p>
            <Photos jobs={page.jobs} />
            <h2>Handed over</h2>
            <Records q={customer.name} />
            <p>
              <Button onClick={() => void remove()}>Take off the list</Button>
            </p>
          </section>
        </div>
      </main>
    </div>
  )
}

// So many of their jobs are looked through for photos, the latest first.
const mostJobs = 6

function Photos({ jobs }: { jobs: Page['jobs'] }) {
  const shown = jobs.filter(({ kept }) => kept !== 'Deleted').slice(0, mostJobs)
  const photos = useQueries({
    queries: shown.map(({ id }) => ({
      queryKey: ['photos', id],
      queryFn: () => answer(api.GET('/api/jobs/{id}/photos', { params: { path: { id } } })),
    })),
  })
  const all = photos.flatMap(({ data }, at) =>
    (data ?? []).filter(({ away }) => !away).map((photo) => ({ photo, job: shown[at] })),
  )
  if (all.length === 0) return null
  return (
    <>
      <h2>Photos</h2>
      <ul className={s.photos}>
        {all.map(({ photo, job }) => (
          <li key={photo.id}>
            <Link to={`/jobs/${job?.id ?? ''}/hand-over`}>
              <img
                src={`/api/photos/${photo.id}/small`}
                alt={photo.caption || `${photo.moment} ${job?.name ?? ''}`.trim()}
              />
            </Link>
          </li>
        ))}
      </ul>
    </>
  )
}

interface Part {
  customer: Customer
  edit: (change: (customer: Customer) => Customer) => void
}

function People({ customer, edit }: Part) {
  const set = (id: string, changed: object) =>
    edit((old) => ({ ...old, people: old.people.map((each) => (each.id === id ? { ...each, ...changed } : each)) }))
  return (
    <>
      {customer.people.map((person) => (
        <fieldset key={person.id} className={s.person} aria-label={person.name || 'Somebody'}>
          <Typed label="Name" value={person.name} write={(name) => set(person.id, { name })} />
          <Typed
            label="What they are there"
            placeholder="has the keys"
            value={person.role}
            write={(role) => set(person.id, { role })}
          />
          <Typed label="Telephone" value={person.phone} write={(phone) => set(person.id, { phone })} />
          <Typed label="Mail" value={person.email} write={(email) => set(person.id, { email })} />
          <Button
            aria-label={`Take away ${person.name || 'this person'}`}
            onClick={() => edit((old) => ({ ...old, people: old.people.filter(({ id }) => id !== person.id) }))}
          >
            Take away
          </Button>
        </fieldset>
      ))}
      <Button
        onClick={() =>
          edit((old) => ({
            ...old,
            people: [...old.people, { id: newId(), name: '', role: '', phone: '', email: '' }],
          }))
        }
      >
        Add somebody
      </Button>
    </>
  )
}

function Places({ customer, edit }: Part) {
  const set = (id: string, changed: object) =>
    edit((old) => ({ ...old, places: old.places.map((each) => (each.id === id ? { ...each, ...changed } : each)) }))
  return (
    <>
      {customer.places.map((place) => (
        <fieldset key={place.id} className={s.place} aria-label={place.name || 'A place'}>
          <Typed label="Place" value={place.name} write={(name) => set(place.id, { name })} />
          <Typed label="Where it is" value={place.address} write={(address) => set(place.id, { address })} />
          <Typed
            long
            label="To know there"
            placeholder="parking behind; narrow stair"
            value={place.notes}
            write={(notes) => set(place.id, { notes })}
          />
          <Rooms rooms={place.rooms} write={(rooms) => set(place.id, { rooms })} />
          <Button
            aria-label={`Take away ${place.name || 'this place'}`}
            onClick={() => edit((old) => ({ ...old, places: old.places.filter(({ id }) => id !== place.id) }))}
          >
            Take away
          </Button>
        </fieldset>
      ))}
      <Button
        onClick={() =>
          edit((old) => ({
            ...old,
            places: [...old.places, { id: newId(), name: '', address: '', rooms: [], notes: '' }],
          }))
        }
      >
        Add a place
      </Button>
    </>
  )
}

// The rooms of a place, one a line as they are walked.
function Rooms({ rooms, write }: { rooms: string[]; write: (rooms: string[]) => void }) {
  const [room, setRoom] = useState('')
  const add = () => {
    if (room.trim() && !rooms.includes(room.trim())) write([...rooms, room.trim()])
    setRoom('')
  }
  return (
    <div className={s.rooms}>
      <span>Rooms</span>
      <ul>
        {rooms.map((each) => (
          <li key={each}>
            {each}{' '}
            <Button
              aria-label={`Take away ${each}`}
              onClick={() => write(rooms.filter((other) => other !== each))}
              type="text"
            >
              ×
            </Button>
          </li>
        ))}
      </ul>
      <Input
        aria-label="Another room"
        placeholder="another room, then Enter"
        value={room}
        maxLength={120}
        onChange={(event) => setRoom(event.currentTarget.value)}
        onPressEnter={add}
        onBlur={add}
      />
    </div>
  )
}
