import { Button, Input, Segmented, Select } from 'antd'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { answer, api, Refused, type Unit, type Workroom } from '../api/client'
import s from './Home.module.css'

interface Props {
  workroom: Workroom
  /** What the button says. */
  action: string
  done: () => void
}

type Words = Workroom['words']

const inRegion = (terms: { term: string }[], usual: Words): Words =>
  Object.fromEntries(terms.map(({ term }) => [term, usual[term] ?? term]))
const same = (one: Words, other: Words) => Object.keys(one).every((term) => one[term] === other[term])

/** What the workroom is called, how it measures, and its words. */
export function WorkroomForm({ workroom, action, done }: Props) {
  const queries = useQueryClient()
  const [name, setName] = useState(workroom.name)
  const [unit, setUnit] = useState<Unit>(workroom.unit)
  const [words, setWords] = useState(workroom.words)
  const known = useQuery({
    queryKey: ['words'],
    queryFn: () => answer(api.GET('/api/words')),
    staleTime: Infinity,
  }).data
  const [problem, setProblem] = useState('')
  const tell = async () => {
    try {
      queries.setQueryData(['workroom'], await answer(api.PUT('/api/workroom', { body: { name, unit, words } })))
      // Everything is said in other words from now on.
      await queries.invalidateQueries({ predicate: (query) => query.queryKey[0] !== 'workroom' })
      done()
    } catch (error) {
      const told = error instanceof Refused ? error.problems[0] : undefined
      setProblem(
        told
          ? `${told.reason}. For example ${told.example}.`
          : error instanceof Refused
            ? error.message
            : 'The server does not answer. Try again.',
      )
    }
  }
  return (
    <form
      className={s.workroom}
      onSubmit={(event) => {
        event.preventDefault()
        void tell()
      }}
    >
      <label htmlFor="workroom-name">The workroom is called</label>
      <Input
        id="workroom-name"
        data-first
        autoFocus
        value={name}
        placeholder="As it stands on what you print"
        maxLength={120}
        aria-invalid={problem !== ''}
        onChange={(event) => {
          setName(event.currentTarget.value)
          setProblem('')
        }}
      />
      <span id="workroom-unit">New jobs are measured in</span>
      <Segmented
        aria-labelledby="workroom-unit"
        name="workroom-unit"
        value={unit}
        options={[
          { value: 'in', label: 'inches' },
          { value: 'cm', label: 'centimetres' },
        ]}
        onChange={setUnit}
      />
      <span id="workroom-words">Things are called</span>
      <Segmented
        aria-labelledby="workroom-words"
        name="workroom-words"
        value={known?.regions.find((region) => same(inRegion(known.terms, region.words), words))?.key ?? 'mixed'}
        options={[
          ...(known?.regions.map((region) => ({ value: region.key, label: region.name })) ?? []),
          { value: 'mixed', label: 'Each its own', disabled: true },
        ]}
        onChange={(key) => {
          const region = known?.regions.find((each) => each.key === key)
          if (known && region) setWords(inRegion(known.terms, region.words))
        }}
      />
      <details>
        <summary>{Object.values(words).slice(0, 6).join(', ')}…</summary>
        <div className={s.words}>
          {known?.terms.map(({ term, words: all }) => (
            <label key={term}>
              <span>{term}</span>
              <Select
                aria-label={`What ${term} is called`}
                value={words[term] ?? term}
                options={all.map((word) => ({ value: word, label: word }))}
                onChange={(word) => setWords({ ...words, [term]: word })}
              />
            </label>
          ))}
        </div>
      </details>
      {problem && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
      <Button type="primary" htmlType="submit">
        {action}
      </Button>
    </form>
  )
}
