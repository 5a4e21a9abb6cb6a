import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { act, useEffect } from 'react'
import { createRoot } from 'react-dom/client'
import { beforeEach, expect, test } from 'vitest'
import { Refused } from '../api/client'
import { useKept } from './useKept'

interface View {
  revision: number
  text: string
}

// A server that keeps one text by its revision; `hold` makes a save wait until it is let go.
class Kept {
  revision = 1
  text = 'first'
  saves: string[] = []
  private waiting: (() => void)[] = []
  hold = false
  fail = false

  read = () => Promise.resolve<View>({ revision: this.revision, text: this.text })

  write = async ({ revision, text }: View): Promise<View> => {
    this.saves.push(`${revision} ${text}`)
    if (this.hold) await new Promise<void>((go) => this.waiting.push(go))
    if (this.fail) throw new TypeError('no network')
    if (revision !== this.revision) throw new Refused(409, 'It was changed elsewhere.', [], undefined)
    this.revision++
    this.text = text
    return { revision: this.revision, text }
  }

  letGo = () => {
    this.hold = false
    for (const go of this.waiting.splice(0)) go()
  }
}

let server: Kept
let kept: ReturnType<typeof useKept<View, string>>
const seen = (now: typeof kept) => {
  kept = now
}

function Probe() {
  const now = useKept<View, string>({
    key: ['kept'],
    read: server.read,
    write: server.write,
    of: ({ text }) => text,
    put: (view, text) => ({ ...view, text }),
  })
  useEffect(() => seen(now))
  return null
}

const settle = () => act(() => new Promise((done) => setTimeout(done, 20)))
const type = (text: string) =>
  act(async () => {
    kept.edit(() => text)
    await Promise.resolve()
  })

beforeEach(async () => {
  Reflect.set(globalThis, 'IS_REACT_ACT_ENVIRONMENT', true)
  server = new Kept()
  const box = document.createElement('div')
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } })
  act(() =>
    createRoot(box).render(
      <QueryClientProvider client={queries}>
        <Probe />
      </QueryClientProvider>,
    ),
  )
  await settle()
})

test('a change is shown at once and kept from the revision that it was made from', async () => {
  server.hold = true
  await type('second')
  await settle()
  expect(kept.view?.text).toBe('second')
  server.letGo()
  await settle()
  expect(server.saves).toEqual(['1 second'])
  expect(kept.view).toEqual({ revision: 2, text: 'second' })
})

test('what is typed while a change is on its way stays, and is kept after it', async () => {
  server.hold = true
  await type('second')
  await type('third')
  expect(server.saves).toEqual(['1 second'])
  server.letGo()
  await settle()
  expect(server.saves).toEqual(['1 second', '2 third'])
  expect(kept.view).toEqual({ revision: 3, text: 'third' })
})

test('what somebody else changed meanwhile is told and read anew', async () => {
  server.revision = 5
  server.text = 'theirs'
  await type('mine')
  await settle()
  expect(kept.problem).toBe('It was changed elsewhere.')
  expect(kept.view).toEqual({ revision: 5, text: 'theirs' })
  await type('mine after all')
  await settle()
  expect(kept.problem).toBe('')
  expect(server.text).toBe('mine after all')
})

test('a server that does not answer is told; what was typed stays and is kept when it is tried again', async () => {
  server.fail = true
  await type('typed in the dark')
  await settle()
  expect(kept.problem).toContain('does not answer')
  expect(kept.view?.text).toBe('typed in the dark')
  server.fail = false
  await act(async () => {
    await kept.again()
  })
  expect(server.text).toBe('typed in the dark')
  expect(kept.problem).toBe('')
})
