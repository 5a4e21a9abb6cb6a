import { describe, expect, it } from 'vitest'
import type { JobDocument } from '../../api/client'
import { coverOf, say } from './covers'

const blank = () => ({ handOver: { place: '', covers: [] } }) as unknown as JobDocument

describe('what is said of covers', () => {
  it('is nothing until somebody says something, and looking at it writes nothing', () => {
    const job = blank()
    expect(coverOf(job, 'a')).toMatchObject({ id: 'a', fillings: 'unsaid', interliner: 'unsaid', given: null })
    expect(job.handOver.covers).toEqual([])
  })

  it('is kept item by item, each said thing beside the others', () => {
    const job = blank()
    say(job, 'a', (cover) => (cover.opens = 'its zip'))
    say(job, 'b', (cover) => (cover.opens = 'the back left corner'))
    say(job, 'a', (cover) => (cover.fixed = 'no'))
    expect(job.handOver.covers).toHaveLength(2)
    expect(coverOf(job, 'a')).toMatchObject({ opens: 'its zip', fixed: 'no' })
    expect(coverOf(job, 'b')).toMatchObject({ opens: 'the back left corner', fixed: 'unsaid' })
  })

  it('is taken back by opening the record, and nothing else of it goes', () => {
    const job = blank()
    say(job, 'a', (cover) => Object.assign(cover, { notes: 'Air it.', given: { date: '2026-11-26' } }))
    say(job, 'a', (cover) => (cover.given = null))
    expect(coverOf(job, 'a')).toMatchObject({ notes: 'Air it.', given: null })
  })
})
