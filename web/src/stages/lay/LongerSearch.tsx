import { useQuery, useQueryClient } from '@tanstack/react-query'
import { Button } from 'antd'
import { useEffect, useState } from 'react'
import { answer, api, type Cloth, type ClothPlan } from '../../api/client'
import { useDocument } from '../../job/scene'
import s from './lay.module.css'

const howOften = (times: number) => (times === 1 ? 'once' : `${times} times`)

/** A longer search for a shorter lay, in the background: how it stands, and a button that stops it and keeps what it has found. */
export function LongerSearch({ cloth, planned }: { cloth: Cloth; planned: ClothPlan }) {
  const jobDocument = useDocument()
  const client = useQueryClient()
  const [started, setStarted] = useState<{ id: string; of: unknown }>()
  const [refused, setRefused] = useState('')
  const search = useQuery({
    queryKey: ['search', started?.id],
    queryFn: () => answer(api.GET('/api/searches/{id}', { params: { path: { id: started?.id ?? '' } } })),
    enabled: started !== undefined,
    refetchInterval: (query) => (query.state.data?.runs === false ? false : 600),
    retry: false,
  })
  const found = search.data
  // Each shorter lay is in the next plan of the same pieces.
  const mark = `${found?.shortened ?? 0} ${found?.proven ?? false}`
  useEffect(() => {
    if (mark !== '0 false') void client.invalidateQueries({ queryKey: ['lays'] })
  }, [client, mark])
  const begin = async () => {
    setRefused('')
    try {
      setStarted({
        id: (await answer(api.POST('/api/searches', { body: { job: jobDocument, cloth: cloth.id } }))).id,
        of: jobDocument,
      })
    } catch (error) {
      setRefused(error instanceof Error ? error.message : 'The server does not answer.')
    }
  }
  const stop = () => started && void api.DELETE('/api/searches/{id}', { params: { path: { id: started.id } } })
  if (planned.lay?.proven)
    return (
      <p className={s.search} role="status">
        Proven shortest: no lay of these pieces takes less.
      </p>
    )
  const runs = started !== undefined && found?.runs !== false && !search.isError
  return (
    <p className={s.search} role="status">
      {runs ? (
        <Button onClick={stop}>Stop and keep</Button>
      ) : (
        <Button onClick={() => void begin()}>Search longer for a shorter lay</Button>
      )}
      {runs && (
        <span>
          Searching … {found?.length && <b>{found.length.text}</b>}{' '}
          {(found?.shortened ?? 0) > 0 && `shortened ${howOften(found?.shortened ?? 0)}`}
        </span>
      )}
      {!runs && found && started?.of === jobDocument && (
        <span>
          {found.fault ??
            (found.shortened > 0
              ? `Shortened ${howOften(found.shortened)}, to ${found.length?.text ?? ''}.`
              : 'Nothing shorter was found.')}
        </span>
      )}
      {refused && (
        <span className="problem" role="alert">
          {refused}
        </span>
      )}
    </p>
  )
}
