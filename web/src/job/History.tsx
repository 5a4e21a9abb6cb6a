import { useInfiniteQuery, useQuery, useQueryClient } from '@tanstack/react-query'
import { Button, Input } from 'antd'
import { useState } from 'react'
import { answer, api } from '../api/client'
import { Dialog } from '../parts/Dialog'
import { told } from '../parts/told'
import { useEdit, useScene } from './scene'
import s from './History.module.css'

const moment = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' })

interface State {
  number: number
  at: string
  name: string
  told: string[]
}

/** Earlier states of the job: what changed, a name for one, and the way back to one. */
export function History({ close }: { close: () => void }) {
  const id = useScene((scene) => scene.id)
  const edit = useEdit()
  const queries = useQueryClient()
  const [problem, setProblem] = useState('')
  const [looked, setLooked] = useState<number>()
  const key = ['states', id]
  const states = useInfiniteQuery({
    queryKey: key,
    queryFn: ({ pageParam, signal }) =>
      answer(
        api.GET('/api/jobs/{id}/states', {
          params: { path: { id }, query: pageParam ? { before: pageParam } : {} },
          signal,
        }),
      ),
    initialPageParam: 0,
    getNextPageParam: (page) => (page.more ? page.states.at(-1)?.number : undefined),
    staleTime: 0,
  })
  const shown = states.data?.pages.flatMap((page) => page.states) ?? []
  const named = (states.data?.pages[0]?.named ?? []).filter(
    (each) => !shown.some(({ number }) => number === each.number),
  )
  // Back to a state is a step like any other, and can be taken back.
  const back = async (number: number) => {
    try {
      const then = await answer(api.GET('/api/jobs/{id}/states/{number}', { params: { path: { id, number } } }))
      edit('', (job) => void Object.assign(job, then), 'Back to an earlier state.')
      close()
    } catch (error) {
      setProblem(told(error))
    }
  }
  const name = async (number: number, text: string) => {
    const { response, error } = await api.PUT('/api/jobs/{id}/states/{number}/name', {
      params: { path: { id, number } },
      body: { name: text },
    })
    setProblem(response.ok ? '' : ((error as { detail?: string } | undefined)?.detail ?? 'It was not named.'))
    await queries.invalidateQueries({ queryKey: key })
  }
  const row = (state: State, latest: boolean) => (
    <li key={state.number}>
      <time dateTime={state.at}>{moment.format(new Date(state.at))}</time>
      <div>
        {state.name && <b>{state.name}</b>}
        {state.told.length > 0 ? state.told.map((line) => <p key={line}>{line}</p>) : <p>nothing that is told</p>}
        {looked === state.number && <Since id={id} number={state.number} />}
      </div>
      <div className={s.acts}>
        {!latest && (
          <>
            <Button onClick={() => setLooked(looked === state.number ? undefined : state.number)}>Since then</Button>
            <Button onClick={() => void back(state.number)}>Back to this</Button>
          </>
        )}
        <Naming state={state} name={(text) => name(state.number, text)} />
      </div>
    </li>
  )
  return (
    <Dialog title="What changed" close={close}>
      {[problem, states.isError ? told(states.error) : '']
        .filter((text) => text !== '')
        .map((text) => (
          <p key={text} className="problem" role="alert">
            {text}
          </p>
        ))}
      {states.isPending && <p>…</p>}
      <ul className={s.states}>{shown.map((state, at) => row(state, at === 0))}</ul>
      {states.hasNextPage && <Button onClick={() => void states.fetchNextPage()}>Earlier</Button>}
      {named.length > 0 && (
        <>
          <h3>With a name</h3>
          <ul className={s.states}>{named.map((state) => row(state, false))}</ul>
        </>
      )}
    </Dialog>
  )
}

function Naming({ state, name }: { state: State; name: (text: string) => Promise<void> }) {
  const [typed, setTyped] = useState<string>()
  if (typed === undefined)
    return <Button onClick={() => setTyped(state.name)}>{state.name ? 'Rename' : 'Name it'}</Button>
  const keep = () => {
    void name(typed)
    setTyped(undefined)
  }
  return (
    <Input
      autoFocus
      aria-label="Name of this state"
      placeholder="as quoted"
      maxLength={80}
      value={typed}
      onChange={(event) => setTyped(event.currentTarget.value)}
      onPressEnter={keep}
      onBlur={keep}
    />
  )
}

// What is other now, and what that does to the cloth.
function Since({ id, number }: { id: string; number: number }) {
  const compared = useQuery({
    queryKey: ['states', id, number, 'now'],
    queryFn: ({ signal }) =>
      answer(api.GET('/api/jobs/{id}/states/{number}/now', { params: { path: { id, number } }, signal })),
    staleTime: 0,
  })
  const lines = compared.data && [...compared.data.told, ...compared.data.cloth]
  return (
    <div className={s.since} role="status">
      {compared.isPending && <p>Laying both …</p>}
      {compared.isError && <p className="problem">{told(compared.error)}</p>}
      {lines?.length === 0 && <p>Nothing is other now.</p>}
      {lines?.map((line) => (
        <p key={line}>{line}</p>
      ))}
    </div>
  )
}
