import { describe, expect, it } from 'vitest'
import { inTurn } from './picture'

const open = new AbortController().signal

describe('pictures', () => {
  it('are fetched two at a time, in the order in which they were asked for', async () => {
    const asked: number[] = []
    const release: (() => void)[] = []
    const all = [1, 2, 3, 4].map((n) =>
      inTurn(async () => {
        asked.push(n)
        await new Promise<void>((go) => release.push(go))
        return new Response('x', { status: 200 })
      }, open),
    )
    await Promise.resolve()
    expect(asked).toEqual([1, 2])
    release[0]?.()
    await all[0]
    expect(asked).toEqual([1, 2, 3])
    release[1]?.()
    await all[1]
    expect(asked).toEqual([1, 2, 3, 4])
    release.slice(2).forEach((go) => go())
    expect((await Promise.all(all)).every((each) => each?.startsWith('data:'))).toBe(true)
  })

  it('that are not there, or fail, let the next one have its turn', async () => {
    expect(await inTurn(() => Promise.resolve(new Response(null, { status: 204 })), open)).toBeNull()
    const busy = () => Promise.resolve(new Response(null, { status: 503 }))
    await expect(inTurn(busy, open)).rejects.toThrow('503')
    await expect(inTurn(() => Promise.reject(new Error('away')), open)).rejects.toThrow('away')
    expect(await inTurn(() => Promise.resolve(new Response('x')), open)).toMatch(/^data:/)
  })

  it('that nobody waits for any more are not fetched', async () => {
    const gone = new AbortController()
    gone.abort()
    expect(await inTurn(() => Promise.reject(new Error('fetched')), gone.signal)).toBeNull()
  })
})
