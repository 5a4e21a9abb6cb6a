import { useQuery } from '@tanstack/react-query'
import { Button, Input } from 'antd'
import { useState } from 'react'
import { answer, api, Refused, type Cloth } from '../../api/client'
import { SavingList } from './Savings'
import { identity } from '../../parts/identity'
import { useDocument, useUnit } from '../../job/scene'
import s from './buy.module.css'

/** "I have 4 3/4 yd": what fits, what does not, and which choice would make it fit. */
export function IHave({ cloth }: { cloth: Cloth }) {
  const jobUnit = useUnit()
  const jobDocument = useDocument()
  const [typed, setTyped] = useState('')
  const [asked, setAsked] = useState('')
  const found = useQuery({
    queryKey: ['enough', identity(jobDocument), cloth.id, asked],
    queryFn: ({ signal }) =>
      answer(
        api.POST('/api/enough', {
          body: { job: jobDocument, cloth: cloth.id, have: { typed: asked, unit: jobUnit } },
          signal,
        }),
      ),
    enabled: asked !== '',
    retry: false,
    gcTime: 10_000,
  })
  const problem = found.error instanceof Refused ? found.error.problems[0] : undefined
  return (
    <form
      className={s.have}
      aria-label={`What there is of ${cloth.name}`}
      onSubmit={(event) => {
        event.preventDefault()
        setAsked(typed.trim())
      }}
    >
      <label>
        I have
        <Input
          value={typed}
          placeholder={jobUnit === 'cm' ? '4.3 m' : '4 3/4 yd'}
          status={problem ? 'error' : ''}
          onChange={(event) => setTyped(event.currentTarget.value)}
        />
      </label>
      <Button htmlType="submit">Will it do?</Button>
      <div role="status">
        {found.isFetching && <p>Laying …</p>}
        {problem && (
          <p className="problem">
            {problem.reason}. {problem.example && <span>For example {problem.example}.</span>}
          </p>
        )}
        {!found.isFetching &&
          found.data &&
          (found.data.fits ? (
            <p>
              <b>It will do:</b> {found.data.needed.text} is needed, {found.data.difference.text} stays over.
            </p>
          ) : (
            <>
              <p>
                <b>It will not do:</b> {found.data.difference.text} is missing. No room for {found.data.left.join(', ')}
                .
              </p>
              {found.data.choices.length > 0 ? (
                <p>It would do with one of these:</p>
              ) : (
                <p>No size that may be spared would make it fit.</p>
              )}
              <SavingList savings={found.data.choices} />
            </>
          ))}
      </div>
    </form>
  )
}
