import { useQuery, useQueryClient } from '@tanstack/react-query'
import { Button, Input, Segmented, Select } from 'antd'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { answer, api, newId, Refused, type Unit, type Workroom } from '../api/client'
import { Dialog } from '../parts/Dialog'
import { Bar } from './Bar'
import { Jobs } from './Jobs'
import { OpenFile } from './OpenFile'
import { WorkroomForm } from './WorkroomForm'
import s from './Home.module.css'

const noAnswer = 'The server does not answer.'

/** The workroom: at its first start what it is called, from then on its jobs. */
export function Home() {
  const [changing, setChanging] = useState(false)
  const asked = useQuery({ queryKey: ['workroom'], queryFn: () => answer(api.GET('/api/workroom')) })
  const workroom = asked.data
  return (
    <div className={s.home}>
      <Bar at={workroom?.told ? 'jobs' : ''}>
        {workroom?.told && <Button onClick={() => setChanging(true)}>Workroom</Button>}
      </Bar>
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
  const templates = useQuery({
    queryKey: ['templates'],
    queryFn: () => answer(api.GET('/api/templates')),
  }).data
  const [template, setTemplate] = useState('')
  const begin = async () => {
    const id = newId()
    const called = name.trim() || (templates?.find((each) => each.id === template)?.name ?? '')
    try {
      if (template !== '')
        await answer(
          api.POST('/api/templates/{template}/begin', {
            params: { path: { template } },
            body: { id, changeId: newId(), name: called },
          }),
        )
      else
        await answer(
          api.POST('/api/jobs', {
            body: { id, changeId: newId(), name: name.trim(), unit, document: null, customerId: null },
          }),
        )
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
        {templates && templates.length > 0 && <Templates all={templates} template={template} choose={setTemplate} />}
      </form>
      {problem && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
      <Jobs />
      <p className={s.files}>
        <OpenFile />
        <Link to="/files">The whole workroom as a file</Link>
        <Link to="/devices">Workshop devices</Link>
      </p>
      <BackUp />
    </main>
  )
}

// What a new job is begun from: nothing, or the same bench as once before.
function Templates({
  all,
  template,
  choose,
}: {
  all: { id: string; name: string; items: number }[]
  template: string
  choose: (template: string) => void
}) {
  const queries = useQueryClient()
  const remove = async () => {
    const { response } = await api.DELETE('/api/templates/{template}', { params: { path: { template } } })
    // One that somebody else took away already is as good as gone.
    if (response.ok || response.status === 404) choose('')
    await queries.invalidateQueries({ queryKey: ['templates'] })
  }
  return (
    <span className={s.templates}>
      <Select
        aria-label="Begin from a template"
        value={template}
        options={[
          { value: '', label: 'from nothing' },
          ...all.map((each) => ({
            value: each.id,
            label: `like ${each.name}, ${each.items} ${each.items === 1 ? 'item' : 'items'}`,
          })),
        ]}
        popupMatchSelectWidth={false}
        onChange={choose}
      />
      {template !== '' && <Button onClick={() => void remove()}>Take this template away</Button>}
    </span>
  )
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
