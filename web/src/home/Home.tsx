import { useQuery } from '@tanstack/react-query'
import { Button, Input, Segmented } from 'antd'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { answer, api, newId, Refused, type Unit } from '../api/client'
import { useLight } from '../Look'

const day = new Intl.DateTimeFormat(undefined, { dateStyle: 'medium', timeStyle: 'short' })

/** All jobs, the latest change first, and a new one. */
export function Home() {
  const navigate = useNavigate()
  const { light, turn } = useLight()
  const jobs = useQuery({ queryKey: ['jobs'], queryFn: () => answer(api.GET('/api/jobs')), staleTime: 0 })
  const [name, setName] = useState('')
  const [unit, setUnit] = useState<Unit>('in')
  const [problem, setProblem] = useState('')
  const [backup, setBackup] = useState('')
  const backUp = async () => {
    setBackup('Copying …')
    try {
      setBackup(`Backed up as ${(await answer(api.POST('/api/backups'))).file}`)
    } catch {
      setBackup('Not backed up: the server does not answer.')
    }
  }
  const begin = async () => {
    const id = newId()
    try {
      await answer(api.POST('/api/jobs', { body: { id, changeId: newId(), name: name.trim(), unit, document: null } }))
      await navigate(`/jobs/${id}/measure`)
    } catch (error) {
      setProblem(error instanceof Refused ? (error.problems[0] ? `${error.problems[0].reason}. For example ${error.problems[0].example}.` : error.message) : 'The server does not answer.')
    }
  }
  return (
    <div className="home">
      <header className="head"><span className="word">Wrapper</span><Button onClick={turn} aria-pressed={light === 'dim'}>{light === 'dim' ? 'Bright' : 'Dim'}</Button></header>
      <main>
        <h1>On the table</h1>
        <form className="begin" onSubmit={(event) => { event.preventDefault(); void begin() }}>
          <label htmlFor="job-name">A new job</label>
          <Input id="job-name" autoFocus value={name} placeholder="What it is for" status={problem ? 'error' : ''} maxLength={120} onChange={(event) => setName(event.currentTarget.value)} />
          <Segmented tabIndex={-1} aria-label="Unit" name="new-unit" value={unit} options={[{ value: 'in', label: 'inches' }, { value: 'cm', label: 'cm' }]} onChange={setUnit} />
          <Button type="primary" htmlType="submit">Begin</Button>
        </form>
        {problem && <p className="problem" role="alert">{problem}</p>}
        {jobs.isError && <p className="problem" role="alert">The jobs cannot be read: the server does not answer.</p>}
        {jobs.data?.length === 0 && <p>No job yet. Name the first one above.</p>}
        <ul className="jobs">
          {jobs.data?.map((job) => (
            <li key={job.id}>
              <Link to={`/jobs/${job.id}/measure`}><b>{job.name}</b><span>{job.customer}</span><time dateTime={job.changedAt}>{day.format(new Date(job.changedAt))}</time></Link>
            </li>
          ))}
        </ul>
        <p className="backup" role="status"><Button onClick={() => void backUp()}>Back up everything</Button> {backup}</p>
      </main>
    </div>
  )
}
