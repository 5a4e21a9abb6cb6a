import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import type { JobDocument } from '../api/client'
import type * as Keeping from './keeping'
import type { Line } from './keeping'

// Locks as a browser has them: each is one page's until that page is gone.
class Locks {
  private readonly owners = new Map<string, number>()
  page = 0

  request = (name: string, options: { ifAvailable?: boolean }, then: (lock: object | null) => unknown) => {
    const free = !this.owners.has(name)
    if (free) this.owners.set(name, this.page)
    else if (!options.ifAvailable) throw new Error(`${name} would be waited for`)
    return Promise.resolve(then(free ? { name } : null))
  }

  gone(page: number) {
    for (const [name, owner] of this.owners) if (owner === page) this.owners.delete(name)
  }
}

let locks: Locks
let pages = 0

/** Another page of the same browser. */
async function open(): Promise<{ page: number } & typeof Keeping> {
  vi.resetModules()
  locks.page = ++pages
  return { page: locks.page, ...(await import('./keeping')) }
}

const line = (name: string): Line => ({
  revision: 3,
  document: { name } as JobDocument,
  changes: [{ changeId: 'c1', step: 'W', document: { name } as JobDocument }],
  asked: [],
})
const names = ({ lines }: { lines: Line[] }) => lines.map((each) => each.document.name).sort()
const use = (value: unknown) => Object.defineProperty(navigator, 'locks', { value, configurable: true })

beforeEach(() => {
  localStorage.clear()
  locks = new Locks()
  use(locks)
})
afterEach(() => vi.unstubAllGlobals())

test('what a page leaves behind is taken up once it is gone, and by one page only', async () => {
  const first = await open()
  await first.leftBehind('bench')
  expect(first.keep('bench', line('typed'))).toBe(true)
  const second = await open()
  expect(names(await second.leftBehind('bench'))).toEqual([])
  locks.gone(first.page)
  const third = await open()
  const left = await third.leftBehind('bench')
  expect(left.lines).toEqual([line('typed')])
  // While the third page has it, the second does not; it stays in the store until it is forgotten.
  locks.page = second.page
  expect(names(await second.leftBehind('bench'))).toEqual([])
  expect(localStorage.length).toBe(1)
  left.forget()
  expect(localStorage.length).toBe(0)
})

test('a page takes up neither its own nor what belongs to another job', async () => {
  const first = await open()
  await first.leftBehind('bench')
  first.keep('bench', line('bench'))
  first.keep('bunks', line('bunks'))
  expect(names(await first.leftBehind('bench'))).toEqual([])
  locks.gone(first.page)
  const second = await open()
  expect(names(await second.leftBehind('bunks'))).toEqual(['bunks'])
})

test('what was saved meanwhile is no longer kept', async () => {
  const { keep } = await open()
  keep('bench', line('typed'))
  expect(keep('bench', undefined)).toBe(true)
  expect(localStorage.length).toBe(0)
})

test('damage is left where it lies and hides nothing that is whole', async () => {
  localStorage.setItem('wrapper.unsaved.bench.torn', '{"revision": 3, "chan')
  localStorage.setItem('wrapper.unsaved.bench.older', '{"revision": 3}')
  localStorage.setItem('wrapper.unsaved.bench.empty', 'null')
  localStorage.setItem('wrapper.unsaved.bench.whole', JSON.stringify(line('whole')))
  const left = await (await open()).leftBehind('bench')
  expect(names(left)).toEqual(['whole'])
  left.forget()
  expect(localStorage.length).toBe(3)
})

test('a store that is full is told; one that is forbidden holds nothing', async () => {
  const { keep, leftBehind } = await open()
  const full = () => {
    throw new DOMException('full', 'QuotaExceededError')
  }
  vi.stubGlobal('localStorage', { length: 1, key: full, setItem: full, removeItem: full })
  expect(keep('bench', line('typed'))).toBe(false)
  // Nothing is lost where nothing was to be kept.
  expect(keep('bench', undefined)).toBe(true)
  expect((await leftBehind('bench')).lines).toEqual([])
})

test('where there are no locks everything that was left is taken up', async () => {
  use(undefined)
  const first = await open()
  first.keep('bench', line('first'))
  const second = await open()
  second.keep('bench', line('second'))
  expect(names(await (await open()).leftBehind('bench'))).toEqual(['first', 'second'])
})
