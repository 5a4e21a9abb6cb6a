import { newId, type JobDocument } from '../api/client'
import type { Question } from './merging'

/** One edit that the server has not acknowledged: its id, its undo step, and the whole document. */
export interface Change {
  changeId: string
  step: string
  document: JobDocument
}

/** What a page keeps in the browser: what its edits start from, the edits, and what is still to be decided. */
export interface Line {
  revision: number
  document: JobDocument
  changes: Change[]
  asked: Question[]
}

// Each page keeps under a key of its own, and holds a lock of that name as long as it lives: a key whose lock is free belongs to a page that is gone.
const page = newId()
// Not there on pages that are not trusted to be this machine's own; then every key is taken up, as by the only page.
const locks = (navigator as { locks?: LockManager | null }).locks ?? undefined
const keyOf = (job: string, owner: string) => `wrapper.unsaved.${job}.${owner}`
const lockOf = (owner: string) => `wrapper.page.${owner}`

/** Takes a lock until this page is gone; false when another page has it. */
function hold(name: string, wait: boolean): Promise<boolean> {
  if (!locks) return Promise.resolve(true)
  return new Promise((taken) => {
    void locks.request(name, wait ? {} : { ifAvailable: true }, (lock) => {
      taken(lock !== null)
      return lock ? new Promise(() => undefined) : undefined
    })
  })
}

const alive = hold(lockOf(page), true)

/** Keeps a line of this page, or nothing; false when the browser does not let it: its store is full or forbidden. */
export function keep(job: string, line: Line | undefined): boolean {
  try {
    if (line) localStorage.setItem(keyOf(job, page), JSON.stringify(line))
    else localStorage.removeItem(keyOf(job, page))
    return true
  } catch {
    return line === undefined
  }
}

/** What pages that are gone have left of a job; `forget` once this page keeps it or it is saved. */
export async function leftBehind(job: string): Promise<{ lines: Line[]; forget: () => void }> {
  await alive
  const lines: Line[] = []
  const taken: string[] = []
  try {
    const start = keyOf(job, '')
    const keys = Array.from({ length: localStorage.length }, (_, at) => localStorage.key(at) ?? '')
    for (const key of keys.filter((each) => each.startsWith(start) && each !== keyOf(job, page))) {
      if (!(await hold(lockOf(key.slice(start.length)), false))) continue
      const line = read(localStorage.getItem(key))
      if (!line) continue
      lines.push(line)
      taken.push(key)
    }
  } catch {
    // A forbidden store holds nothing.
  }
  return {
    lines,
    forget: () =>
      taken.forEach((key) => {
        try {
          localStorage.removeItem(key)
        } catch {
          /* forbidden meanwhile */
        }
      }),
  }
}

function read(text: string | null): Line | undefined {
  try {
    const line = JSON.parse(text ?? 'null') as Line | null
    return line && Array.isArray(line.changes) && Array.isArray(line.asked) ? line : undefined
  } catch {
    return undefined
  }
}
