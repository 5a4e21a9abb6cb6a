import { act, useEffect } from 'react'
import { createRoot } from 'react-dom/client'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { useSettled } from './useSettled'

let now: string | undefined
const seen = (value: string | undefined) => {
  now = value
}
function Probe({ value }: { value: string }) {
  const settled = useSettled(value, 300)
  useEffect(() => seen(settled))
  return null
}

beforeEach(() => {
  Reflect.set(globalThis, 'IS_REACT_ACT_ENVIRONMENT', true)
  vi.useFakeTimers()
})
afterEach(() => void vi.useRealTimers())

test('a value counts once it has stayed for so long; until another has, it stays', () => {
  const root = createRoot(document.createElement('div'))
  const type = (value: string, ms: number) => {
    act(() => root.render(<Probe value={value} />))
    act(() => void vi.advanceTimersByTime(ms))
    return now
  }
  expect([type('b', 200), type('be', 200), type('ben', 299)]).toEqual([undefined, undefined, undefined])
  expect(type('ben', 1)).toBe('ben')
  expect([type('bench', 299), type('bench', 1)]).toEqual(['ben', 'bench'])
  // Gone before it settled: nothing is told to a page that is no longer there.
  act(() => root.render(<Probe value="bunk" />))
  act(() => root.unmount())
  vi.advanceTimersByTime(1000)
  expect(now).toBe('bench')
})
