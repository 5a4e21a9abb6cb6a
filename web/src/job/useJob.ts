import { produce } from 'immer'
import { useEffect, useMemo, useState } from 'react'
import { answer, api, newId, Refused, type JobDocument } from '../api/client'
import { leftBehind } from './keeping'
import type { Question } from './merging'
import { Saver, wire, type Saved } from './saving'

export interface OpenJob extends Omit<Saved, 'state'> {
  /** Changes the document: `change` writes into a copy of it. Edits of one non-empty step are undone together. `did` is what it did, in words. */
  edit: (step: string, change: (document: JobDocument) => void, did?: string) => void
  undo: () => void
  redo: () => void
  saving: Saved['state']
  /** Settles questions: those in `mine` get my value, the rest stays as theirs. */
  decide: (settled: Question[], mine: Question[]) => void
  /** The undo step of the latest edit; changes whenever another one begins. */
  step: string
  /** What the latest edit did, in words; empty where it is seen. */
  did: string
}

// A job that is left before all of it is saved goes on being saved; whoever comes back to it meets the same queue.
const left = new Map<string, Saver>()
const opening = new Map<string, Promise<Saver>>()

function begin(id: string): Promise<Saver> {
  const known = left.get(id)
  if (known && !known.idle) return Promise.resolve(known)
  const begun = opening.get(id) ?? load(id).finally(() => opening.delete(id))
  opening.set(id, begun)
  return begun
}

async function load(id: string): Promise<Saver> {
  const job = await answer(api.GET('/api/jobs/{id}', { params: { path: { id } } }))
  const { lines, forget } = await leftBehind(id)
  const saver = new Saver(id, job, wire)
  await saver.takeUp(lines)
  if (!saver.endangered) forget()
  return saver
}

/** A job opened for editing: optimistic, saved by itself, with undo across reloads. */
export function useJob(id: string): { job?: OpenJob; failed?: string } {
  const [saver, setSaver] = useState<Saver>()
  const [saved, setSaved] = useState<Saved>()
  const [failed, setFailed] = useState<string>()
  const [step, setStep] = useState('')
  const [did, setDid] = useState('')

  useEffect(() => {
    const page: { left: boolean; saver?: Saver } = { left: false }
    const leaving = (event: BeforeUnloadEvent) => {
      if (page.saver?.endangered) event.preventDefault()
    }
    // Every way of leaving a page passes here, a tab that is put away and killed included.
    const hidden = () => page.saver?.keepNow()
    window.addEventListener('beforeunload', leaving)
    window.addEventListener('pagehide', hidden)
    document.addEventListener('visibilitychange', hidden)
    void begin(id).then(
      (mine) => {
        if (page.left) return
        page.saver = mine
        setSaver(mine)
        mine.watch(setSaved)
      },
      (error: unknown) => {
        if (!page.left) setFailed(error instanceof Refused ? error.message : 'The server does not answer.')
      },
    )
    return () => {
      page.left = true
      window.removeEventListener('beforeunload', leaving)
      window.removeEventListener('pagehide', hidden)
      document.removeEventListener('visibilitychange', hidden)
      page.saver?.watch(() => undefined)
      page.saver?.flush()
      if (page.saver) left.set(id, page.saver)
    }
  }, [id])

  const acts = useMemo(
    () => ({
      edit: (editStep: string, change: (document: JobDocument) => void, what = '') => {
        if (!saver) return
        const changed = produce(saver.document, change)
        if (changed === saver.document) return
        setStep(editStep || newId())
        setDid(what)
        saver.edit(changed, editStep)
      },
      undo: () => {
        setStep(newId())
        setDid('')
        saver?.undo()
      },
      redo: () => {
        setStep(newId())
        setDid('')
        saver?.redo()
      },
      decide: (settled: Question[], mine: Question[]) => saver?.decide(settled, mine),
    }),
    [saver],
  )
  const job = useMemo(() => {
    if (!saved) return undefined
    const { state, ...rest } = saved
    return { ...rest, ...acts, saving: state, step, did }
  }, [saved, acts, step, did])
  if (failed !== undefined) return { failed }
  return job ? { job } : {}
}
