import { useInfiniteQuery, useQuery, useQueryClient } from '@tanstack/react-query'
import { Button, Input, Segmented } from 'antd'
import { useDeferredValue, useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { answer, api, newId, Refused, type Unit, type Workroom } from '../api/client'
import { Dialog } from '../parts/Dialog'
import { useLight } from '../parts/Look'
import { usePicture } from '../parts/picture'
import { WorkroomForm } from './WorkroomForm'
import s from './Home.module.css'

const day = new Intl.DateTimeFormat(undefined, { dateStyle: 'medium', timeStyle: 'short' })
const atOnce = 50
const noAnswer = 'The server does not answer.'

/** The workroom: at its first start what it is called, from then on its jobs. */
export function Home() {
  const { light, switchLight } = useLight()
  const [changing, setChanging] = useState(false)
  const asked = useQuery({ queryKey: ['workroom'], queryFn: () => answer(api.GET('/api/workroom')) })
  const workroom = asked.data
  return (
    <div className={s.home}>
      <header className={s.head}>
        <span className={s.word}>Wrapper</span>
        {workroom?.told && <Button onClick={() => setChanging(true)}>Workroom</Button>}
        <Button onClick={switchLight} aria-pressed={light === 'dim'}>
          {light === 'dim' ? 'Bright' : 'Dim'}
        </Button>
      </header>
      {asked.isError && !workroom && (
        <main>
          <p className="problem" role="alert">
            {asked.error instanceof Refused ? asked.error.message : noAnswer}
          </p>
          <Button onClick={() => void asked.refetch()}>Try again</Button>
        </main>
      )}
      {workroom?.told ? (
        <Table key={workroom.unit} workroom={workroom} />
      ) : (
        workroom && (
          <main>
            <h1>A new workroom</h1>
            <WorkroomForm workroom={workroom} action="Open it" done={() => undefined} />
          </main>
        )
      )}
      {changing && workroom && (
        <Dialog title="Workroom" close={() => setChanging(false)}>
          <WorkroomForm workroom={workroom} action="Keep" done={() => setChanging(false)} />
        </Dialog>
      )}
    </div>
  )
}

// All jobs, the latest change first, and a new one.
function Table({ workroom }: { workroom: Workroom }) {
  const navigate = useNavigate()
  const [name, setName] = useState('')
  const [unit, setUnit] = useState<Unit>(workroom.unit)
  const [problem, setProblem] = useState('')
  const health = useQuery({ queryKey: ['health'], queryFn: () => answer(api.GET('/api/health')), staleTime: 0 })
  const begin = async () => {
    const id = newId()
    try {
      await answer(api.POST('/api/jobs', { body: { id, changeId: newId(), name: name.trim(), unit, document: null } }))
      await navigate(`/jobs/${id}/measure`)
    } catch (error) {
      setProblem(
        error instanceof Refused
          ? error.problems[0]
            ? `${error.problems[0].reason}. For example ${error.problems[0].example}.`
            : error.message
          : noAnswer,
      )
    }
  }
  return (
    <main>
      <h1>{workroom.name}</h1>
      {health.data?.notes.map((note) => (
        <p key={note} className="problem" role="alert">
          {note}
        </p>
      ))}
      <form
        className={s.begin}
        onSubmit={(event) => {
          event.preventDefault()
          void begin()
        }}
      >
        <label htmlFor="job-name">A new job</label>
        <Input
          id="job-name"
          autoFocus
          value={name}
          placeholder="What it is for"
          status={problem ? 'error' : ''}
          maxLength={120}
          onChange={(event) => setName(event.currentTarget.value)}
        />
        <Segmented
          tabIndex={-1}
          aria-label="Unit"
          name="new-unit"
          value={unit}
          options={[
            { value: 'in', label: 'inches' },
            { value: 'cm', label: 'cm' },
          ]}
          onChange={setUnit}
        />
        <Button type="primary" htmlType="submit">
          Begin
        </Button>
      </form>
      {problem && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
      <Jobs />
      <BackUp />
    </main>
  )
}

/** The jobs, found by their name or customer; any can be taken away, and brought back. */
function Jobs() {
  const queries = useQueryClient()
  const [search, setSearch] = useState('')
  const [away, setAway] = useState(false)
  const [told, setTold] = useState<{ text: string; back?: { id: string; name: string } }>()
  const q = useDeferredValue(search.trim())
  const jobs = useInfiniteQuery({
    queryKey: ['jobs', q, away],
    queryFn: ({ pageParam }) =>
      answer(
        api.GET('/api/jobs', {
          params: { query: { q, limit: atOnce, deleted: away, ...(pageParam && { before: pageParam }) } },
        }),
      ),
    initialPageParam: '',
    getNextPageParam: (page) => (page.length === atOnce ? page.at(-1)?.mark : undefined),
    staleTime: 0,
  })
  const found = jobs.data?.pages.flat() ?? []
  const put = async (job: { id: string; name: string }, back: boolean) => {
    try {
      const params = { params: { path: { id: job.id } } }
      const { response } = await (back
        ? api.POST('/api/jobs/{id}/bring-back', params)
        : api.DELETE('/api/jobs/{id}', params))
      if (!response.ok) throw new Error()
      setTold(back ? { text: `${job.name} is back.` } : { text: `${job.name} was taken away.`, back: job })
    } catch {
      setTold({ text: `${noAnswer} Nothing was changed.` })
    }
    await queries.invalidateQueries({ queryKey: ['jobs'] })
  }
  return (
    <section aria-label="Jobs">
      <div className={s.find}>
        <Input
          aria-label="Find a job"
          placeholder="Find a job by its name or customer"
          allowClear
          value={search}
          maxLength={120}
          onChange={(event) => setSearch(event.currentTarget.value)}
        />
        <Button aria-pressed={away} onClick={() => setAway(!away)}>
          {away ? 'Show jobs' : 'Show what was taken away'}
        </Button>
      </div>
      {told && (
        <p role="status">
          {told.text}{' '}
          {told.back && <Button onClick={() => told.back && void put(told.back, true)}>Bring it back</Button>}
        </p>
      )}
      {jobs.isError && (
        <p className="problem" role="alert">
          The jobs cannot be read: {jobs.error instanceof Refused ? jobs.error.message : 'the server does not answer.'}
        </p>
      )}
      {jobs.isSuccess && found.length === 0 && (
        <p>
          {q
            ? `No job has “${q}” in its name or customer.`
            : away
              ? 'Nothing was taken away.'
              : 'Nothing is on the table yet. Say above what the first job is for.'}
        </p>
      )}
      <ul className={s.jobs}>
        {found.map((job) => (
          <li key={job.id}>
            {away ? (
              <p>
                <b>{job.name}</b>
                <span>{job.customer}</span>
              </p>
            ) : (
              <Link to={`/jobs/${job.id}/measure`}>
                <Items id={job.id} mark={job.mark} />
                <b>{job.name}</b>
                <span>{job.customer}</span>
                <time dateTime={job.changedAt}>{day.format(new Date(job.changedAt))}</time>
              </Link>
            )}
            <Button aria-label={`${away ? 'Bring back' : 'Take away'} ${job.name}`} onClick={() => void put(job, away)}>
              {away ? 'Bring back' : 'Take away'}
            </Button>
          </li>
        ))}
      </ul>
      {jobs.hasNextPage && <Button onClick={() => void jobs.fetchNextPage()}>Older jobs</Button>}
    </section>
  )
}

// What the job covers, as it will be sewn.
function Items({ id, mark }: { id: string; mark: string }) {
  const picture = usePicture(`/api/jobs/${encodeURIComponent(id)}/picture.png?at=${encodeURIComponent(mark)}`)
  return <span className={s.items}>{picture && <img src={picture} alt="" />}</span>
}

function BackUp() {
  const [told, setTold] = useState('')
  const backUp = async () => {
    setTold('Copying …')
    try {
      setTold(`Backed up as ${(await answer(api.POST('/api/backups'))).file}`)
    } catch (error) {
      setTold(`Not backed up: ${error instanceof Refused ? error.message : 'the server does not answer.'}`)
    }
  }
  return (
    <p role="status">
      <Button onClick={() => void backUp()}>Back up everything</Button> {told}
    </p>
  )
}
