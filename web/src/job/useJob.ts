import { useCallback, useEffect, useRef, useState } from 'react'
import { answer, api, newId, Refused, type JobDocument, type JobView } from '../api/client'
import { Saver, wire, type SaveState } from './saving'

export interface OpenJob {
  document: JobDocument
  /** Changes the document; edits of one non-empty step are undone together. */
  edit: (step: string, change: (document: JobDocument) => JobDocument) => void
  undo: () => void
  redo: () => void
  canUndo: boolean
  canRedo: boolean
  saving: SaveState
  /** Settles a conflict with this document, on top of the other one's revision. */
  settle: (document: JobDocument | undefined, theirs: JobView) => void
  /** The undo step of the latest edit; changes whenever another one begins. */
  step: string
}

/** A job opened for editing: optimistic, saved by itself, with undo across reloads. */
export function useJob(id: string): { job?: OpenJob; failed?: string } {
  const [document, setDocument] = useState<JobDocument>()
  const [can, setCan] = useState({ undo: false, redo: false })
  const [saving, setSaving] = useState<SaveState>({ is: 'saved' })
  const [failed, setFailed] = useState<string>()
  const [step, setStep] = useState('')
  const saver = useRef<Saver>(null)
  const latest = useRef<JobDocument>(null)

  const show = useCallback((shown: JobDocument) => {
    latest.current = shown
    setDocument(shown)
  }, [])

  useEffect(() => {
    const page = { left: false }
    void (async () => {
      try {
        const job = await answer(api.GET('/api/jobs/{id}', { params: { path: { id } } }))
        if (page.left) return
        const mine = new Saver(id, job.revision, {
          saved: (saved) => setCan({ undo: saved.canUndo, redo: saved.canRedo }),
          state: setSaving,
        }, wire)
        saver.current = mine
        setCan({ undo: job.canUndo, redo: job.canRedo })
        show(mine.resume() ?? job.document)
      } catch (error) {
        if (!page.left) setFailed(error instanceof Refused ? error.message : 'The server does not answer.')
      }
    })()
    return () => {
      page.left = true
      saver.current?.flush()
      saver.current = null
    }
  }, [id, show])

  const edit = useCallback((editStep: string, change: (document: JobDocument) => JobDocument) => {
    if (!latest.current || !saver.current) return
    const changed = change(latest.current)
    if (changed === latest.current) return
    show(changed)
    setStep(editStep || newId())
    setCan((now) => ({ ...now, undo: true, redo: false }))
    saver.current.change(changed, editStep)
  }, [show])

  const move = useCallback(async (way: 'undo' | 'redo') => {
    const mine = saver.current
    if (!mine) return
    mine.flush()
    for (let turns = 0; !mine.idle && turns < 60; turns++) await new Promise((done) => setTimeout(done, 50))
    if (!mine.idle) return
    try {
      const job = await answer(api.POST(`/api/jobs/{id}/${way}`, { params: { path: { id } }, body: { base: mine.at, changeId: newId() } }))
      mine.goOnFrom(job.revision)
      setStep(newId())
      setCan({ undo: job.canUndo, redo: job.canRedo })
      show(job.document)
    } catch (error) {
      if (error instanceof Refused && error.current) setSaving({ is: 'conflict', theirs: error.current })
      else setSaving({ is: 'waiting', why: 'The server does not answer. Nothing was changed.' })
    }
  }, [id, show])

  const settle = useCallback((settled: JobDocument | undefined, theirs: JobView) => {
    show(settled ?? theirs.document)
    setCan({ undo: theirs.canUndo, redo: theirs.canRedo })
    saver.current?.goOnFrom(theirs.revision, settled)
  }, [show])

  if (failed !== undefined) return { failed }
  if (!document) return {}
  return {
    job: {
      document, edit, saving, settle, step,
      undo: () => void move('undo'),
      redo: () => void move('redo'),
      canUndo: can.undo,
      canRedo: can.redo,
    },
  }
}
