import { useQuery, useQueryClient } from '@tanstack/react-query'
import { Button, Input } from 'antd'
import { useState } from 'react'
import { answer, api } from '../api/client'
import { Dialog } from '../parts/Dialog'
import { Saves } from '../parts/Saves'
import { told } from '../parts/told'

/** The week in another calendar: as a file, or at a secret address that it asks by itself. */
export function Subscribe({ close }: { close: () => void }) {
  const queries = useQueryClient()
  const [problem, setProblem] = useState('')
  const feed = useQuery({ queryKey: ['feed'], queryFn: () => answer(api.GET('/api/feed')) })
  const address = feed.data?.address ?? ''
  const change = async (call: () => Promise<unknown>) => {
    try {
      await call()
      setProblem('')
    } catch (error) {
      setProblem(told(error))
    }
    await queries.invalidateQueries({ queryKey: ['feed'] })
  }
  const make = () => change(() => answer(api.POST('/api/feed')))
  return (
    <Dialog title="In another calendar" close={close}>
      <p>
        Due dates and days at the bench, half a year on. <Saves label="them" base="/api/week" as={['ics']} />
      </p>
      {problem && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
      {address === '' ? (
        <p>
          Or let a calendar ask for itself. <Button onClick={() => void make()}>Make a secret address</Button>
        </p>
      ) : (
        <>
          <label>
            Subscribe to this address. Whoever has it can read the week.
            <Input readOnly value={`${location.origin}${address}`} onFocus={(event) => event.currentTarget.select()} />
          </label>
          <p>
            <Button onClick={() => void make()}>Make another address</Button>{' '}
            <Button onClick={() => void change(() => answer(api.DELETE('/api/feed')))}>Nobody may read it</Button>
          </p>
        </>
      )}
    </Dialog>
  )
}
