import { expect, it } from 'vitest'
import type { Item, JobDocument, Plan } from '../api/client'
import { Drafts, type Ask } from './drafts'

const item = (id: string, name = id) => ({ id, name }) as unknown as Item
const document = (items: Item[], cloths: JobDocument['cloths'] = []) =>
  ({ unit: 'in', items, cloths }) as unknown as JobDocument
const here = new AbortController().signal

/** Answers with a draft that says the item's name, for those that are asked for; tells what was asked. */
function server() {
  const asked: (string[] | undefined)[] = []
  const ask: Ask = (job, of) => {
    asked.push(of)
    const items = job.items
      .filter(({ id }) => of?.includes(id) ?? true)
      .map(({ id, name }) => ({ id, draft: { name, parts: { same: 'always' } } }))
    return Promise.resolve({ items } as unknown as Plan)
  }
  return { asked, drafts: new Drafts(ask) }
}
const names = (plan: Plan) => plan.items.map(({ draft }) => (draft as unknown as { name: string }).name)

it('asks for the changed item alone; the others stay the same objects', async () => {
  const { asked, drafts } = server()
  const [a, b] = [item('a'), item('b')]
  const first = await drafts.of(document([a, b]), here)
  const cloths = document([]).cloths
  const second = await drafts.of(document([a, item('b', 'wider')], cloths), here)
  const third = await drafts.of(document([a, item('b', 'wider')], cloths), here)
  // Other cloths, though as empty: all are drafted to them.
  expect(asked).toEqual([['a', 'b'], ['a', 'b'], ['b']])
  expect(names(second)).toEqual(['a', 'wider'])
  expect(third.items[0]).toBe(second.items[0])
  expect(first.items[0]).toBe(second.items[0]) // it came back the same
})

it('asks again for what another place or another cloth may change', async () => {
  const { asked, drafts } = server()
  const [a, b, cloths] = [item('a'), item('b'), document([]).cloths]
  await drafts.of(document([a, b], cloths), here)
  await drafts.of(document([b, a], cloths), here)
  await drafts.of(document([b], cloths), here)
  await drafts.of(document([b, a], cloths), here)
  expect(asked).toEqual([['a', 'b'], ['b', 'a'], [], ['a']])
})

it('keeps what a part of a draft was while it says the same', async () => {
  const { drafts } = server()
  const cloths = document([]).cloths
  const parts = async (name: string) => {
    const { items } = await drafts.of(document([item('a', name)], cloths), here)
    return (items[0]?.draft as unknown as { parts: object }).parts
  }
  expect(await parts('wider')).toBe(await parts('wider still'))
})

it('asks for all where there are too many to be named', async () => {
  const { asked, drafts } = server()
  await drafts.of(document(Array.from({ length: 61 }, (_, n) => item(`i${n}`))), here)
  expect(asked).toEqual([undefined])
})

it('an answer that comes too late is not what is known', async () => {
  const waiting: (() => void)[] = []
  const drafts = new Drafts(async (job) => {
    await new Promise<void>((go) => waiting.push(go))
    return { items: job.items.map(({ id, name }) => ({ id, draft: { name } })) } as unknown as Plan
  })
  const cloths = document([]).cloths
  const left = new AbortController()
  const old = drafts.of(document([item('a', 'old')], cloths), left.signal)
  const now = document([item('a', 'new')], cloths)
  const recent = drafts.of(now, here)
  left.abort()
  waiting[1]?.()
  await recent
  waiting[0]?.()
  await old
  const again = drafts.of(now, here)
  waiting[2]?.()
  expect(names(await again)).toEqual(['new'])
})
