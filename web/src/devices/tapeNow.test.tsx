import { act } from 'react'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { probe } from '../testing/probe'
import { useTape, type TapeNow } from './useTape'

// What the server sends, as a browser hears it.
class Events extends EventTarget {
  static all: Events[] = []
  onerror?: () => void
  open = true
  constructor(readonly url: string) {
    super()
    Events.all.push(this)
  }
  close() {
    this.open = false
  }
  says(reading: string, trouble = '', battery = 80) {
    const data = JSON.stringify({ reading, trouble, battery })
    act(() => void this.dispatchEvent(new MessageEvent('tape', { data })))
  }
}
const heard = () => Events.all.filter(({ open }) => open)

let page: ReturnType<typeof probe<boolean, TapeNow>>
const now = () => page.now()
const use = (used: boolean) => page.show(used)
let field: HTMLInputElement

beforeEach(() => {
  vi.useFakeTimers()
  Events.all = []
  vi.stubGlobal('EventSource', Events)
  field = document.createElement('input')
  field.dataset['field'] = 'measures.W'
  document.body.replaceChildren(field)
  page = probe(useTape)
})
afterEach(() => {
  page.gone()
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

test('nothing is heard until it is used, nor after', () => {
  use(false)
  expect([now().is, Events.all.length]).toEqual(['off', 0])
  use(true)
  heard()[0]?.says('')
  expect([now().is, now().told, now().battery]).toEqual(['heard', '', 80])
  use(false)
  expect([now().is, heard().length]).toEqual(['off', 0])
})

test('a reading goes into the field that waits; where none waits it is told', () => {
  use(true)
  field.focus()
  heard()[0]?.says('46 1/2 in')
  expect([field.value, now().told]).toEqual(['46 1/2 in', 'Read 46 1/2 in.'])
  field.blur()
  heard()[0]?.says('30 in')
  expect([field.value, now().told]).toEqual(['46 1/2 in', 'Read 30 in, and no field waits: tap the size that it is.'])
})

test('trouble is told before a reading', () => {
  use(true)
  heard()[0]?.says('', 'out of reach', 4)
  expect([now().told, now().battery]).toEqual(['The tape is out of reach.', 4])
})

test('when it falls silent it is asked again, again and again, and no more once it is not used', () => {
  use(true)
  for (const round of [1, 2]) {
    act(() => heard()[0]?.onerror?.())
    expect([now().is, heard().length]).toEqual(['silent', 0])
    act(() => void vi.advanceTimersByTime(2500))
    expect([heard().length, Events.all.length]).toEqual([1, round + 1])
  }
  heard()[0]?.says('')
  expect(now().is).toBe('heard')
  act(() => heard()[0]?.onerror?.())
  use(false)
  act(() => void vi.advanceTimersByTime(10_000))
  expect(heard()).toEqual([])
})
