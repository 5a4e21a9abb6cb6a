import { useQuery } from '@tanstack/react-query'
import { Input } from 'antd'
import { useDeferredValue, useState } from 'react'
import { useNavigate } from 'react-router'
import { answer, api } from '../api/client'
import { Dialog } from '../parts/Dialog'
import s from './Keys.module.css'

/** Something that can be done or gone to; its keys as told to people: a character, or keys that are held together. */
export interface Command {
  name: string
  keys: string
  run: () => void
}

// Fewer letters would find every job.
const letters = 2
const mostJobs = 8

// Other jobs, found as they are in the list of jobs.
function useJobs(sought: string): Command[] {
  const go = useNavigate()
  const q = useDeferredValue(sought.trim())
  const jobs = useQuery({
    queryKey: ['palette', q],
    queryFn: ({ signal }) => answer(api.GET('/api/jobs', { params: { query: { q, limit: mostJobs } }, signal })),
    enabled: q.length >= letters,
  })
  return (jobs.data ?? []).map((job) => ({
    name: `Job ${job.name}${job.customer && `, ${job.customer}`}`,
    keys: '',
    run: () => void go(`/jobs/${job.id}/measure`),
  }))
}

/** Finds commands, things of this job, and other jobs by their names. */
export function Palette({ commands, close }: { commands: Command[]; close: () => void }) {
  const [sought, setSought] = useState('')
  const [picked, setPicked] = useState(0)
  const jobs = useJobs(sought)
  const words = sought.toLowerCase().split(' ')
  const found = [
    ...commands.filter((each) => words.every((word) => each.name.toLowerCase().includes(word))),
    ...(sought.trim().length >= letters ? jobs : []),
  ]
  const run = (command: Command | undefined) => {
    close()
    command?.run()
  }
  return (
    <Dialog title="Find" close={close}>
      <Input
        data-first
        aria-label="Command, item, piece, choice, cloth or job"
        role="combobox"
        aria-expanded
        aria-controls="found-commands"
        value={sought}
        onChange={(event) => {
          setSought(event.currentTarget.value)
          setPicked(0)
        }}
        onKeyDown={(event) => {
          if (event.key === 'ArrowDown') setPicked(Math.min(picked + 1, found.length - 1))
          else if (event.key === 'ArrowUp') setPicked(Math.max(picked - 1, 0))
          else if (event.key === 'Enter') run(found[picked])
        }}
      />
      {found.length === 0 && <p>Nothing here is called so.</p>}
      <ul className={s.found} id="found-commands" role="listbox" aria-label="Commands">
        {found.map((each, n) => (
          <li key={`${each.keys}${each.name}${n}`} role="option" aria-selected={n === picked} onClick={() => run(each)}>
            {each.name} {each.keys && <kbd>{each.keys}</kbd>}
          </li>
        ))}
      </ul>
    </Dialog>
  )
}
