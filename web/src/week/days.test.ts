import { describe, expect, it } from 'vitest'
import { dayAfter, daysBetween, dayText, minutesText } from './days'

describe('days', () => {
  it('are counted over months, leap days and the change of the clock', () => {
    expect(dayAfter('2026-11-27', 7)).toBe('2026-12-04')
    expect(dayAfter('2028-02-28', 1)).toBe('2028-02-29')
    expect(dayAfter('2026-03-28', 2)).toBe('2026-03-30')
    expect(dayAfter('2026-01-01', -1)).toBe('2025-12-31')
    expect(daysBetween('2026-03-28', '2026-03-30')).toBe(2)
    expect(daysBetween('2026-12-04', '2026-11-27')).toBe(-7)
  })

  it('are told with their weekday, and what is none as it was typed', () => {
    expect(dayText('2026-12-04')).toBe('Fri 4 Dec')
    expect(dayText('soon')).toBe('soon')
  })

  it('minutes are told in hours from an hour on', () => {
    expect([45, 60, 65, 605].map(minutesText)).toEqual(['45 min', '1 h 00', '1 h 05', '10 h 05'])
  })
})
