import { answer, api, newId, Refused, type JobDocument, type JobView } from '../api/client'
import { keep, type Change, type Line } from './keeping'
import { decided, merge, same, type Question } from './merging'

/** How saving stands. */
export type SaveState =
  { is: 'saved' } | { is: 'saving' } | { is: 'waiting'; why: string } | { is: 'refused'; why: string }

/** What a page sees of a job that is saved by itself. */
export interface Saved {
  document: JobDocument
  state: SaveState
  canUndo: boolean
  canRedo: boolean
  /** What both changed: theirs stands until it is decided. */
  asked: Question[]
  /** Whether what is not saved yet is kept in this browser. */
  kept: boolean
  /** What happened that nobody asked for, in a sentence; empty for nothing. */
  told: string
}

type Move = { way: 'undo' | 'redo'; changeId: string }
type Act = Change | Move

const isChange = (act: Act): act is Change => 'document' in act

/** Sends and keeps; the part that a test replaces. */
export interface Wire {
  save: (id: string, base: number, change: Change) => Promise<JobView>
  move: (id: string, base: number, move: Move) => Promise<JobView>
  keep: (id: string, line: Line | undefined) => boolean
  /** Runs once the frame of a key press is out. */
  soon: (run: () => void) => void
  later: (run: () => void, ms: number) => void
}

export const wire: Wire = {
  save: (id, base, { changeId, step, document }) =>
    answer(api.PUT('/api/jobs/{id}', { params: { path: { id } }, body: { base, changeId, step, document } })),
  move: (id, base, { way, changeId }) =>
    answer(api.POST(`/api/jobs/{id}/${way}`, { params: { path: { id } }, body: { base, changeId } })),
  keep,
  soon: (run) => setTimeout(run, 20),
  later: (run, ms) => setTimeout(run, ms),
}

const MostWaiting = 30

/**
 * Saves a job's edits, undos and redos one after another, in one queue. What the server has not acknowledged is kept in the browser and sent again under
 * the same change id, so that a lost reply, a reload or a restart makes neither a gap nor a duplicate. Sending never depends on keeping. When somebody else
 * saved first, both changes are merged and saving goes on.
 */
export class Saver {
  private base: { revision: number; document: JobDocument }
  private can: { undo: boolean; redo: boolean }
  private queue: Act[] = []
  /** The last edit while it is still being typed. */
  private typing: Act | undefined
  private sending = false
  private stopped: { is: 'waiting' | 'refused'; why: string } | undefined
  /** Edits that were taken back before they were sent. */
  private takenBack: Change[] = []
  private asked: Question[] = []
  private shown: JobDocument
  private kept = true
  private keeping = false
  private told = ''
  private pause = 0
  private retry = 0
  private watcher: (saved: Saved) => void = () => undefined

  constructor(
    private readonly id: string,
    job: JobView,
    private readonly wire: Wire,
  ) {
    this.base = { revision: job.revision, document: job.document }
    this.shown = job.document
    this.can = { undo: job.canUndo, redo: job.canRedo }
  }

  /** Tells `watcher` how things stand, now and whenever they change; the last one alone. */
  watch(watcher: (saved: Saved) => void) {
    this.watcher = watcher
    this.tell()
  }

  /** Whether everything is acknowledged. */
  get idle() {
    return this.queue.length === 0
  }

  /** Whether leaving now would lose something. */
  get endangered() {
    this.keepNow()
    return !this.idle && !this.kept
  }

  get document() {
    return this.shown
  }

  /** Takes up what earlier pages left unsaved, before anything else is done. */
  async takeUp(lines: Line[]) {
    for (const line of lines) {
      let from = line.document
      const first = line.changes[0]
      try {
        // Maybe it was saved and the reply was lost: under its own id it is saved once.
        if (first) {
          const job = await this.wire.save(this.id, line.revision, first)
          from = first.document
          if (job.revision > this.base.revision) this.goOnFrom(job, first.document)
        }
      } catch {
        // Not as it stands: it is merged into what is there now, and whatever is wrong with it is told when that is sent.
      }
      const { document, asked } = merge(from, line.changes.at(-1)?.document ?? line.document, this.shown)
      this.ask([...line.asked, ...asked])
      if (!same(document, this.shown)) {
        this.queue.push({ changeId: newId(), step: '', document })
        this.shown = document
        this.told = 'What an earlier page had not saved is taken up again.'
      }
    }
    this.changed()
    this.pump()
  }

  /** Shows `document` and saves it after a short pause for more typing; edits of one non-empty step fold together. */
  edit(document: JobDocument, step: string) {
    this.takenBack = []
    this.told = ''
    this.add({ changeId: newId(), step, document })
    const turn = ++this.pause
    this.wire.later(() => {
      if (turn === this.pause) this.flush()
    }, 350)
  }

  /** Sends what waits, one after another, now. */
  flush() {
    this.typing = undefined
    this.pump()
  }

  undo() {
    this.told = ''
    const last = this.queue.at(-1)
    const before = this.queue.at(-2)
    const unsent =
      last && isChange(last) && (this.stopped?.is === 'refused' || (this.stopped !== undefined && before !== undefined))
    if (unsent) {
      // It never reached the server: it is taken back here.
      this.queue.pop()
      this.takenBack.push(last)
      if (this.stopped?.is === 'refused') this.stopped = undefined
      this.shown = before && isChange(before) ? before.document : this.base.document
      this.changed()
    } else this.queueMove('undo')
  }

  redo() {
    this.told = ''
    const back = this.takenBack.pop()
    if (back) {
      this.add({ ...back, changeId: newId() })
      this.flush()
    } else this.queueMove('redo')
  }

  /** Settles questions: those in `mine` get my value, the rest of `settled` stays as theirs. */
  decide(settled: Question[], mine: Question[]) {
    this.asked = this.asked.filter((each) => !settled.includes(each))
    if (mine.length > 0) {
      this.edit(decided(this.shown, mine), '')
      this.flush()
    } else this.changed()
  }

  private queueMove(way: Move['way']) {
    this.queue.push({ way, changeId: newId() })
    if (this.stopped?.is === 'waiting')
      this.told = `${way === 'undo' ? 'Undo' : 'Redo'} follows as soon as the server answers.`
    this.changed()
    this.flush()
  }

  private add(change: Change) {
    // What was refused is in the new document too, mended or not.
    if (this.stopped?.is === 'refused') {
      this.queue = []
      this.stopped = undefined
    }
    const last = this.queue.at(-1)
    const isSent = this.sending && this.queue.length === 1
    // Never two contents under one id: whatever replaces an edit has an id of its own.
    if (
      last &&
      isChange(last) &&
      change.step !== '' &&
      last.step === change.step &&
      !isSent &&
      !(this.stopped && this.queue.length === 1)
    )
      this.queue[this.queue.length - 1] = change
    else {
      this.flush()
      this.queue.push(change)
    }
    // A long line folds: later documents hold what earlier ones did.
    const fold =
      this.queue.length > MostWaiting
        ? this.queue.findIndex(
            (act, at) => at > 0 && isChange(act) && at + 1 < this.queue.length && isChange(this.queue[at + 1] ?? act),
          )
        : -1
    if (fold > 0) this.queue.splice(fold, 1)
    this.typing = change
    this.shown = change.document
    this.changed()
  }

  private get state(): SaveState {
    return this.stopped ?? (this.idle ? { is: 'saved' } : { is: 'saving' })
  }

  private tell() {
    this.watcher({
      document: this.shown,
      state: this.state,
      canUndo: this.can.undo || this.queue.some(isChange),
      canRedo: this.takenBack.length > 0 || (this.idle && this.can.redo),
      asked: this.asked,
      kept: this.kept,
      told: this.told,
    })
  }

  private changed() {
    if (!this.keeping) {
      this.keeping = true
      this.wire.soon(() => {
        const before = this.kept
        this.keepNow()
        if (this.kept !== before) this.tell()
      })
    }
    this.tell()
  }

  /** Keeps in the browser what is not kept yet; a page that is left does it before it goes. */
  keepNow() {
    if (!this.keeping) return
    this.keeping = false
    const changes = this.queue.filter(isChange)
    const line = (some: Change[]) => ({ ...this.base, changes: some, asked: this.asked })
    if (changes.length === 0 && this.asked.length === 0) this.kept = this.wire.keep(this.id, undefined)
    // Where there is little room the first and the last will do: the one that may be saved already, and the whole document.
    else
      this.kept =
        this.wire.keep(this.id, line(changes)) ||
        this.wire.keep(this.id, line([...new Set([...changes.slice(0, 1), ...changes.slice(-1)])]))
  }

  private pump(again = false) {
    const act = this.queue[0]
    // While the server is away it is asked now and then, not at every key.
    if (!act || this.sending || act === this.typing || this.stopped?.is === 'refused' || (this.stopped && !again))
      return
    void this.send(act)
  }

  private async send(act: Act) {
    this.sending = true
    this.tell()
    try {
      const job = await (isChange(act)
        ? this.wire.save(this.id, this.base.revision, act)
        : this.wire.move(this.id, this.base.revision, act))
      this.sending = false
      this.stopped = undefined
      this.queue.shift()
      this.can = { undo: job.canUndo, redo: job.canRedo }
      if (isChange(act)) this.base = { revision: job.revision, document: act.document }
      else this.goOnFrom(job, job.document)
      this.changed()
      this.pump()
    } catch (error) {
      this.sending = false
      this.failed(act, error)
    }
  }

  /** What was typed since goes on top of `document`, which the server has at the job's revision. */
  private goOnFrom(job: JobView, document: JobDocument) {
    const before = this.base.document
    this.base = { revision: job.revision, document }
    this.can = { undo: job.canUndo, redo: job.canRedo }
    this.shown = document
    this.queue = this.queue.map((act) => {
      if (!isChange(act)) return act
      const { document: both, asked } = merge(before, act.document, document)
      this.shown = decided(both, asked)
      const again = { ...act, changeId: newId(), document: this.shown }
      if (this.typing === act) this.typing = again
      return again
    })
  }

  private failed(act: Act, error: unknown) {
    if (error instanceof Refused && error.status === 409 && error.current) {
      this.meet(error.current, act)
      return
    }
    // A job that was taken away may come back, and a busy server has time again.
    const isRefusal = error instanceof Refused && error.status < 500 && ![404, 408, 429].includes(error.status)
    if (!isRefusal) {
      const why = error instanceof Refused ? error.message : 'The server does not answer.'
      this.stopped = { is: 'waiting', why }
      this.tell()
      this.retryLater()
      return
    }
    this.stopped = { is: 'refused', why: error.message }
    // A later edit takes the place of one that the server will not have; a move that it will not make is no edit.
    if (this.queue.length > 1 || !isChange(act)) {
      this.queue.shift()
      if (!isChange(act)) this.told = error.message
      this.stopped = undefined
    }
    this.changed()
    this.pump()
  }

  private retryLater() {
    const turn = ++this.retry
    this.wire.later(() => {
      if (turn !== this.retry) return
      if (this.queue[0] === this.typing) this.retryLater()
      else this.pump(true)
    }, 1500)
  }

  /** Somebody else saved first: both changes are kept, and what both changed is asked. */
  private meet(theirs: JobView, act: Act) {
    const { document, asked } = merge(this.base.document, this.shown, theirs.document)
    const moves = this.queue.some((each) => !isChange(each))
    this.base = { revision: theirs.revision, document: theirs.document }
    this.can = { undo: theirs.canUndo, redo: theirs.canRedo }
    this.queue = same(document, theirs.document) ? [] : [{ changeId: newId(), step: '', document }]
    this.typing = undefined
    this.takenBack = []
    this.shown = document
    this.stopped = undefined
    this.told = moves
      ? `Somebody else changed this job meanwhile: nothing was ${isChange(act) || act.way === 'undo' ? 'undone' : 'done again'}.`
      : 'Somebody else changed this too; both are kept.'
    this.ask(asked)
    this.changed()
    this.pump()
  }

  private ask(questions: Question[]) {
    const anew = (each: Question) => questions.some((other) => same(other.path, each.path))
    this.asked = [...this.asked.filter((each) => !anew(each)), ...questions]
  }
}
