import { describe, expect, it } from 'vitest'
import { Refused, type JobDocument, type JobView } from '../api/client'
import type { Line } from './keeping'
import { Saver, type Saved, type Wire } from './saving'

const job = (name: string, customer = ''): JobDocument => ({
  version: 1,
  name,
  customer,
  unit: 'in',
  currency: '£',
  customerId: '',
  placeId: '',
  items: [],
  cloths: [],
  removed: [],
  making: { order: 'batch', steps: [], fits: [], checks: [] },
  fromShelves: [],
  handOver: { place: '', labelWidth: null, labelHeight: null, covers: [] },
})
const turn = () => new Promise((done) => setTimeout(done, 0))

type Answer = 'ok' | 'lost reply' | 'no server' | 'refused' | 'full'

/** A server that keeps revisions, and a browser store that may be forbidden; `answers` says what becomes of each call, in order. */
function room(answers: Answer[] = [], store: 'open' | 'forbidden' = 'open', frames: 'drawn' | 'never' = 'drawn') {
  const sent: { id: string; text: string }[] = []
  const done = new Map<string, { revision: number; text: string }>()
  let revisions = [job('start')]
  let undone = 0
  let line: Line | undefined
  let waiting: (() => void)[] = []
  const view = (revision = revisions.length): JobView => ({
    id: 'j',
    revision,
    document: structuredClone(revisions[revision - 1] ?? job('?')),
    canUndo: revision > 1,
    canRedo: false,
  })
  const conflict = () => Promise.reject(new Refused(409, 'conflict', [], view()))
  const call = (base: number, id: string, text: string, make: () => JobDocument) => {
    sent.push({ id, text })
    const answer = answers[sent.length - 1] ?? 'ok'
    if (answer === 'no server') return Promise.reject(new TypeError('fetch failed'))
    if (answer === 'refused') return Promise.reject(new Refused(422, 'a job needs a name', [], undefined))
    if (answer === 'full') return Promise.reject(new Refused(507, 'The disk is full.', [], undefined))
    const known = done.get(id)
    if (known && known.text !== text) return conflict()
    if (!known) {
      if (base !== revisions.length) return conflict()
      revisions.push(make())
      done.set(id, { revision: revisions.length, text })
    }
    if (answer === 'lost reply') return Promise.reject(new TypeError('connection closed'))
    return Promise.resolve(view(known?.revision))
  }
  const wire: Wire = {
    save: (_, base, change) =>
      call(base, change.changeId, JSON.stringify(change.document), () => structuredClone(change.document)),
    move: (_, base, move) =>
      call(base, move.changeId, move.way, () =>
        structuredClone(revisions[revisions.length - 2 - 2 * undone++] ?? job('?')),
      ),
    keep: (_, next) => {
      if (store === 'forbidden') return next === undefined
      line = structuredClone(next)
      return true
    },
    soon: (run) => {
      if (frames === 'drawn') run()
    },
    later: (run) => {
      waiting.push(run)
    },
  }
  const open = () => {
    const saver = new Saver('j', view(), wire)
    const seen: Saved[] = []
    saver.watch((saved) => seen.push(saved))
    return {
      saver,
      now: () => {
        const last = seen.at(-1)
        if (!last) throw new Error('nothing seen')
        return last
      },
    }
  }
  const pass = async () => {
    const due = waiting
    waiting = []
    due.forEach((run) => run())
    for (let n = 0; n < 6; n++) await turn()
  }
  return {
    open,
    pass,
    sent,
    line: () => line,
    names: () => revisions.map((each) => each.name),
    latest: () => view().document,
    elsewhere: (document: JobDocument) => {
      revisions = [...revisions, document]
    },
  }
}

describe('saving', () => {
  it('folds the typing of one step into one save, and keeps steps apart and in order', async () => {
    const { open, pass, names } = room()
    const { saver, now } = open()
    for (const name of ['4', '46', '46 1/2']) saver.edit(job(name), 'W')
    expect(now().state.is).toBe('saving')
    saver.edit(job('20'), 'L')
    await pass()
    expect([names(), now().state.is]).toEqual([['start', '46 1/2', '20'], 'saved'])
  })

  it('sends a change whose reply was lost again under its id: one revision, no conflict', async () => {
    const { open, pass, sent, names } = room(['lost reply'])
    const { saver, now } = open()
    saver.edit(job('a'), 'W')
    await pass()
    expect(now().state.is).toBe('waiting')
    await pass()
    expect([new Set(sent.map(({ id }) => id)).size, names(), now().state.is]).toEqual([1, ['start', 'a'], 'saved'])
  })

  it('never sends two contents under one id, whatever fails while a field is typed in', async () => {
    const { open, pass, sent, names } = room(['lost reply', 'no server', 'ok'])
    const { saver } = open()
    saver.edit(job('4'), 'W')
    await pass()
    saver.edit(job('46'), 'W')
    await pass()
    await pass()
    await pass()
    const contents = new Map<string, Set<string>>()
    for (const { id, text } of sent) contents.set(id, (contents.get(id) ?? new Set()).add(text))
    expect([...contents.values()].every((each) => each.size === 1)).toBe(true)
    expect(names()).toEqual(['start', '4', '46'])
  })

  it('sends what the browser does not let it keep, and tells', async () => {
    const { open, pass, names } = room(['no server'], 'forbidden')
    const { saver, now } = open()
    saver.edit(job('a'), 'W')
    expect([now().kept, saver.endangered]).toEqual([false, true])
    await pass()
    await pass()
    expect([names(), now().state.is, saver.endangered]).toEqual([['start', 'a'], 'saved', false])
  })

  it('keeps what was typed before the page goes, though the frame of the key is not out', () => {
    const { open, line } = room([], 'open', 'never')
    const { saver } = open()
    saver.edit(job('4'), 'W')
    saver.edit(job('46'), 'W')
    expect(line()).toBeUndefined()
    expect(saver.endangered).toBe(false)
    expect(line()?.changes.map((change) => change.document.name)).toEqual(['46'])
  })

  it('tells what the server says of a full disk, and saves when there is room', async () => {
    const { open, pass, names } = room(['full'])
    const { saver, now } = open()
    saver.edit(job('a'), 'W')
    await pass()
    expect(now().state).toEqual({ is: 'waiting', why: 'The disk is full.' })
    await pass()
    expect(names()).toEqual(['start', 'a'])
  })

  it('asks a server that is away now and then, not at every key', async () => {
    const { open, pass, sent } = room(Array.from({ length: 50 }, () => 'no server' as const))
    const { saver } = open()
    for (let n = 1; n <= 40; n++) saver.edit(job(`n${n}`), `step ${n}`)
    await pass()
    for (let n = 1; n <= 40; n++) saver.edit(job(`m${n}`), `more ${n}`)
    const before = sent.length
    await pass()
    expect(sent.length - before).toBeLessThanOrEqual(1)
  })

  it('folds a long queue while the server is away, and loses nothing', async () => {
    const { open, pass, line, names } = room(Array.from({ length: 2 }, () => 'no server' as const))
    const { saver } = open()
    for (let n = 1; n <= 200; n++) saver.edit(job(`n${n}`), `step ${n}`)
    await pass()
    expect(line()?.changes.length).toBeLessThanOrEqual(30)
    await pass()
    await pass()
    expect(names().at(-1)).toBe('n200')
  })

  it('takes up what pages that are gone have left, the part that was saved without its reply too', async () => {
    const { open, pass, line, latest, names } = room(['lost reply'])
    const first = open()
    first.saver.edit(job('a', 'Mill Lane'), 'name')
    await pass()
    first.saver.edit(job('b', 'Mill Lane'), 'W')
    const left = line()
    if (!left) throw new Error('nothing was kept')
    const other: Line = {
      revision: 1,
      document: job('start'),
      changes: [{ changeId: 'other', step: '', document: { ...job('start'), currency: '€' } }],
      asked: [],
    }
    const second = open()
    await second.saver.takeUp([left, other])
    await pass()
    await pass()
    expect(latest()).toEqual({ ...job('b', 'Mill Lane'), currency: '€' })
    expect(names().filter((name) => name === 'a')).toHaveLength(1)
    expect([second.now().state.is, second.now().asked]).toEqual(['saved', []])
  })

  it('merges with what somebody else saved, and asks only what both changed', async () => {
    const { open, pass, elsewhere, latest } = room()
    const { saver, now } = open()
    elsewhere({ ...job('theirs'), currency: '€' })
    saver.edit(job('mine', 'Mill Lane'), 'W')
    await pass()
    expect(latest()).toEqual({ ...job('theirs', 'Mill Lane'), currency: '€' })
    expect(now().asked.map(({ path, mine, theirs }) => [path, mine, theirs])).toEqual([[['name'], 'mine', 'theirs']])
    // Putting the question off ends nothing: what is typed next is saved.
    saver.edit({ ...now().document, customer: 'Lodge' }, 'customer')
    await pass()
    expect([latest().customer, now().state.is]).toEqual(['Lodge', 'saved'])
    saver.decide(now().asked, now().asked)
    await pass()
    expect([latest().name, now().asked]).toEqual(['mine', []])
  })

  it('keeps what the server will not have until it is mended, and undo takes it back', async () => {
    const { open, pass, line, names } = room(['refused', 'refused'])
    const { saver, now } = open()
    saver.edit(job(''), 'name')
    await pass()
    expect([now().state.is, line()?.changes[0]?.document.name]).toEqual(['refused', ''])
    saver.undo()
    expect([now().document.name, now().state.is, now().canRedo, line()]).toEqual(['start', 'saved', true, undefined])
    saver.redo()
    await pass()
    expect(now().state.is).toBe('refused')
    saver.edit(job('bench'), 'name')
    await pass()
    expect([names(), now().state.is]).toEqual([['start', 'bench'], 'saved'])
  })

  it('puts what is typed while an undo is on its way on top of it', async () => {
    const { open, pass, latest } = room()
    const { saver, now } = open()
    saver.edit(job('a'), 'name')
    await pass()
    saver.undo()
    saver.edit({ ...now().document, customer: 'Mill Lane' }, 'customer')
    await pass()
    expect([now().document, latest()]).toEqual([job('start', 'Mill Lane'), job('start', 'Mill Lane')])
  })

  it('undoes nothing where somebody else saved meanwhile, and says so', async () => {
    const { open, pass, elsewhere, latest } = room()
    const { saver, now } = open()
    saver.edit(job('a'), 'name')
    await pass()
    elsewhere(job('a', 'theirs'))
    saver.undo()
    await pass()
    expect([latest(), now().document]).toEqual([job('a', 'theirs'), job('a', 'theirs')])
    expect(now().told).toContain('nothing was undone')
  })
})
