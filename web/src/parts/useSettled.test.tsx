import { act } from 'react'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { probe } from '../testing/probe'
import { useSettled } from './useSettled'

beforeEach(() => void vi.useFakeTimers())
afterEach(() => void vi.useRealTimers())

test('a value counts once it has stayed for so long; until another has, it stays', () => {
  const page = probe((typed: string) => useSettled(typed, 300))
  const type = (value: string, ms: number) => {
    page.show(value)
    act(() => void vi.advanceTimersByTime(ms))
    return page.now()
  }
  expect([type('b', 200), type('be', 200), type('ben', 299)]).toEqual([undefined, undefined, undefined])
  expect(type('ben', 1)).toBe('ben')
  expect([type('bench', 299), type('bench', 1)]).toEqual(['ben', 'bench'])
  // Gone before it settled: nothing is told to a page that is no longer there.
  page.show('bunk')
  page.gone()
  vi.advanceTimersByTime(1000)
  expect(page.now()).toBe('bench')
})
