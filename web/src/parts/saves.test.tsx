import { act } from 'react'
import { createRoot } from 'react-dom/client'
import { afterEach, beforeEach, expect, test } from 'vitest'
import { Saves } from './Saves'

let box: HTMLElement

beforeEach(() => {
  Reflect.set(globalThis, 'IS_REACT_ACT_ENVIRONMENT', true)
  box = document.createElement('div')
  document.body.append(box)
})
afterEach(() => box.remove())

const links = (element: React.ReactNode) => {
  const root = createRoot(box)
  act(() => root.render(element))
  return [...box.querySelectorAll('a')].map((link) => [link.textContent, link.getAttribute('href')])
}

test('each format is a link of its own, that is loaded down and not gone to', () => {
  expect(links(<Saves label="the list" base="/api/tables/stock" as={['csv', 'xlsx']} />)).toEqual([
    ['CSV', '/api/tables/stock.csv'],
    ['XLSX', '/api/tables/stock.xlsx'],
  ])
  expect([...box.querySelectorAll('a')].every((link) => link.hasAttribute('download'))).toBe(true)
  expect(box.querySelector('[role=group]')?.getAttribute('aria-label')).toBe('Save the list')
})

test('what is asked with it is written as an address takes it', () => {
  expect(
    links(<Saves label="1a" base="/x/drawing" as={['pdf']} query={{ piece: 'zip strip, half', roll: '36 in' }} />),
  ).toEqual([['PDF', '/x/drawing.pdf?piece=zip+strip%2C+half&roll=36+in']])
})
