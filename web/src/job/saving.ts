import { answer, api, newId, Refused, type JobDocument, type JobView } from '../api/client'

/** One change to be saved: what it starts from, its id, its undo step, and the whole document. */
export interface Change {
  base: number
  changeId: string
  step: string
  document: JobDocument
}

/** How saving stands. `conflict` carries the job as somebody else saved it. */
export type SaveState =
  | { is: 'saved' }
  | { is: 'saving' }
  | { is: 'waiting'; why: string }
  | { is: 'refused'; why: string }
  | { is: 'conflict'; theirs: JobView }

interface Hooks {
  saved: (job: JobView) => void
  state: (state: SaveState) => void
}

/** Sends changes and keeps what is not acknowledged; the part that a test replaces. */
export interface Wire {
  save: (id: string, change: Change) => Promise<JobView>
  keep: (id: string, changes: Change[]) => void
  kept: (id: string) => Change[]
  later: (run: () => void, ms: number) => void
}

export const wire: Wire = {
  save: (id, change) => answer(api.PUT('/api/jobs/{id}', { params: { path: { id } }, body: change })),
  keep: (id, changes) => {
    if (changes.length > 0) localStorage.setItem(`wrapper.unsaved.${id}`, JSON.stringify(changes))
    else localStorage.removeItem(`wrapper.unsaved.${id}`)
  },
  kept: (id) => JSON.parse(localStorage.getItem(`wrapper.unsaved.${id}`) ?? '[]') as Change[],
  later: (run, ms) => setTimeout(run, ms),
}

/**
 * Saves a job's changes one after another. What the server has not acknowledged is kept in the browser and sent again under
 * the same change id, so that a lost reply, a reload or a restart makes neither a gap nor a duplicate.
 */
export class Saver {
  private sending: Change | undefined
  private queue: Change[] = []
  private revision: number
  private timer = 0

  constructor(
    private readonly id: string,
    revision: number,
    private readonly hooks: Hooks,
    private readonly wire: Wire,
  ) {
    this.revision = revision
  }

  /** Takes up what an earlier page left unsaved; returns the document that it leads to. */
  resume(): JobDocument | undefined {
    const [first, ...rest] = this.wire.kept(this.id)
    if (!first) return undefined
    this.queue = rest
    void this.send(first)
    return (rest.at(-1) ?? first).document
  }

  /** Saves `document` after a short pause for more typing; changes of one non-empty step fold together. */
  change(document: JobDocument, step: string) {
    const last = this.queue.at(-1)
    if (last && step !== '' && last.step === step) last.document = document
    else {
      this.flush()
      this.queue.push({ base: this.revision, changeId: newId(), step, document })
    }
    this.keep()
    const turn = ++this.timer
    this.wire.later(() => {
      if (turn === this.timer) this.flush()
    }, 350)
  }

  /** Sends what waits, one after another, now. */
  flush() {
    if (this.sending) return
    const change = this.queue.shift()
    if (change) void this.send({ ...change, base: this.revision })
  }

  /** Whether everything is acknowledged. */
  get idle() {
    return !this.sending && this.queue.length === 0
  }

  get at() {
    return this.revision
  }

  /** Goes on from another revision, after an undo or when a conflict was settled; `mine` is saved on top of it. */
  goOnFrom(revision: number, mine?: JobDocument) {
    this.revision = revision
    this.sending = undefined
    this.queue = []
    this.keep()
    if (mine) {
      this.change(mine, '')
      this.flush()
    } else this.hooks.state({ is: 'saved' })
  }

  private keep() {
    this.wire.keep(this.id, this.sending ? [this.sending, ...this.queue] : this.queue)
  }

  private async send(change: Change): Promise<void> {
    this.sending = change
    this.keep()
    this.hooks.state({ is: 'saving' })
    try {
      const job = await this.wire.save(this.id, change)
      this.revision = job.revision
      this.sending = undefined
      this.keep()
      this.hooks.saved(job)
      if (this.idle) this.hooks.state({ is: 'saved' })
      else this.flush()
    } catch (error) {
      if (error instanceof Refused && error.status === 409 && error.current) this.hooks.state({ is: 'conflict', theirs: error.current })
      else if (error instanceof Refused && error.status < 500) {
        // What the server will not have waits for the next change, which takes its place; nothing typed is lost meanwhile.
        this.sending = undefined
        const superseded = this.queue.length > 0
        if (!superseded) this.queue = [{ ...change, changeId: newId() }]
        this.keep()
        this.hooks.state({ is: 'refused', why: error.message })
        if (superseded) this.flush()
      } else {
        this.hooks.state({ is: 'waiting', why: 'The server does not answer. Your changes are kept in this browser and sent when it does.' })
        this.wire.later(() => void this.send(change), 1500)
      }
    }
  }
}
