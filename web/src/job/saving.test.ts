import { describe, expect, it } from 'vitest'
import { Refused, type JobDocument, type JobView } from '../api/client'
import { Saver, type Change, type SaveState, type Wire } from './saving'

const named = (name: string): JobDocument => ({ version: 1, name, customer: '', unit: 'in', currency: '£', items: [], cloths: [] })
const turn = () => new Promise((done) => setTimeout(done, 0))

/** A wire to a server that counts revisions; `answers` says what becomes of each call, in order. */
function room(answers: ('ok' | 'lost reply' | 'no server' | 'conflict' | 'refused')[] = []) {
  const sent: Change[] = []
  const committed = new Map<string, number>()
  const states: SaveState[] = []
  let revision = 1
  let kept: Change[] = []
  let waiting: (() => void)[] = []
  const job = (document: JobDocument, at: number): JobView => ({ id: 'j', revision: at, document, canUndo: true, canRedo: false })
  const wire: Wire = {
    save: (_, change) => {
      sent.push(change)
      const answer = answers[sent.length - 1] ?? 'ok'
      if (answer === 'no server') return Promise.reject(new TypeError('fetch failed'))
      if (answer === 'refused') return Promise.reject(new Refused(422, 'a job needs a name', [], undefined))
      const done = committed.get(change.changeId)
      if (done === undefined && (answer === 'conflict' || change.base !== revision)) return Promise.reject(new Refused(409, 'conflict', [], job(named('theirs'), 9)))
      if (done === undefined) committed.set(change.changeId, ++revision)
      if (answer === 'lost reply') return Promise.reject(new TypeError('connection closed'))
      return Promise.resolve(job(change.document, done ?? revision))
    },
    keep: (_, changes) => { kept = structuredClone(changes) },
    kept: () => kept,
    later: (run) => { waiting.push(run) },
  }
  const open = () => new Saver('j', revision, { saved: () => undefined, state: (state) => states.push(state) }, wire)
  const pass = async () => {
    const due = waiting
    waiting = []
    due.forEach((run) => run())
    await turn()
  }
  return { open, pass, sent, states, committed, kept: () => kept, state: () => states.at(-1)?.is }
}

describe('saving', () => {
  it('folds the typing of one step into one save', async () => {
    const { open, pass, sent, state } = room()
    const saver = open()
    for (const name of ['4', '46', '46 1/2']) saver.change(named(name), 'W')
    await pass()
    expect(sent.map((change) => change.document.name)).toEqual(['46 1/2'])
    expect(state()).toBe('saved')
    expect(saver.idle).toBe(true)
  })

  it('keeps steps apart and in order, each on top of the one before', async () => {
    const { open, pass, sent } = room()
    const saver = open()
    saver.change(named('a'), 'W')
    saver.change(named('b'), 'L')
    await turn()
    await pass()
    expect(sent.map((change) => [change.document.name, change.base, change.step])).toEqual([['a', 1, 'W'], ['b', 2, 'L']])
  })

  it('keeps steps apart that begin while a save is on its way', async () => {
    const { open, pass, sent } = room()
    const saver = open()
    for (const [name, step] of [['a', 'W'], ['b', 'L'], ['c', 'T'], ['cc', 'T']] as const) saver.change(named(name), step)
    await pass()
    await pass()
    expect(sent.map((change) => [change.document.name, change.base])).toEqual([['a', 1], ['b', 2], ['cc', 3]])
  })

  it('sends a change whose reply was lost again under its id: one revision, no conflict', async () => {
    const { open, pass, sent, committed, state } = room(['lost reply'])
    const saver = open()
    saver.change(named('a'), 'W')
    await pass()
    expect(state()).toBe('waiting')
    await pass()
    expect(new Set(sent.map((change) => change.changeId)).size).toBe(1)
    expect([committed.size, saver.at, state()]).toEqual([1, 2, 'saved'])
  })

  it('keeps what a closed page left unsent and takes it up again', async () => {
    const { open, pass, kept, committed, state } = room(['no server'])
    const first = open()
    first.change(named('a'), 'W')
    await pass()
    first.change(named('b'), 'L')
    expect(kept().map((change) => change.document.name)).toEqual(['a', 'b'])
    const second = open()
    expect(second.resume()?.name).toBe('b')
    await turn()
    await turn()
    expect([committed.size, state(), kept().length]).toEqual([2, 'saved', 0])
  })

  it('shows a conflict, and goes on from the other revision when it is settled', async () => {
    const { open, pass, states } = room(['conflict'])
    const saver = open()
    saver.change(named('mine'), 'W')
    await pass()
    expect(states.at(-1)).toMatchObject({ is: 'conflict', theirs: { revision: 9, document: { name: 'theirs' } } })
    saver.goOnFrom(9)
    expect(states.at(-1)).toEqual({ is: 'saved' })
    expect(saver.idle).toBe(true)
  })

  it('keeps a change that the server will not have until the next one mends it', async () => {
    const { open, pass, sent, state, kept } = room(['refused'])
    const saver = open()
    saver.change(named(''), 'name')
    await pass()
    expect([state(), kept()[0]?.document.name]).toEqual(['refused', ''])
    saver.change(named('bench'), 'name')
    await pass()
    await turn()
    expect([sent.at(-1)?.document.name, state()]).toEqual(['bench', 'saved'])
  })
})
