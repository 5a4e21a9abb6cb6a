import { useQueryClient } from '@tanstack/react-query'
import { Button, Input, Select } from 'antd'
import { useState } from 'react'
import { Link } from 'react-router'
import { answer, api, newId, type Offer, type PricedBy } from '../../api/client'
import { useEdit, useScene } from '../../job/scene'
import { problemText, told } from '../../parts/told'
import type { PriceBookView } from '../../workroom/usePriceBook'
import s from './price.module.css'

const perWord: Record<PricedBy, string> = {
  each: 'each',
  yd: 'a yard',
  m: 'a metre',
  litre: 'a litre',
  'cu ft': 'a cubic foot',
  kg: 'a kilogram',
  lb: 'a pound',
}

/** What keeps the price from being known, each with where it is mended; prices are typed on the spot. */
export function Missing({ offer, book }: { offer: Offer; book: PriceBookView }) {
  const id = useScene((scene) => scene.id)
  const edit = useEdit()
  const problems = offer.problems.filter(({ field }) => !/^(extras|options|deposit)/.test(field))
  if (problems.length === 0 && offer.unpriced.length === 0) return null
  return (
    <section className={s.missing} aria-label="Not known yet">
      {problems.map((problem) => (
        <p key={problem.field} className="problem">
          {problemText({ ...problem, example: '' })}{' '}
          {problem.field === 'currency' ? (
            <Button onClick={() => edit('', (job) => void (job.currency = problem.example))}>
              Price this job in {problem.example}
            </Button>
          ) : problem.field.startsWith('cloths.') ? (
            <Link to={`/jobs/${id}/buy`}>Buy</Link>
          ) : problem.field.startsWith('items') ? (
            <Link to={`/jobs/${id}/measure`}>Measure</Link>
          ) : (
            <Link to="/prices">Prices</Link>
          )}
        </p>
      ))}
      {offer.unpriced.map((each) => (
        <NewPrice key={each.thing} asked={each} book={book} />
      ))}
    </section>
  )
}

function NewPrice({ asked, book }: { asked: Offer['unpriced'][number]; book: PriceBookView }) {
  const queries = useQueryClient()
  const [price, setPrice] = useState('')
  const usual = asked.by.find((by) => by !== 'each') ?? 'each'
  const [by, setBy] = useState<PricedBy>(usual)
  const [problem, setProblem] = useState('')
  const keep = async () => {
    if (price.trim() === '') {
      setProblem('A price is needed. For example 2.40.')
      return
    }
    const rows = book.book.rows.filter((row) => row.thing.toLowerCase() !== asked.thing.toLowerCase())
    const row = { id: newId(), thing: asked.thing, price: price.trim(), by }
    try {
      const kept = await answer(
        api.PUT('/api/price-book', { body: { from: book.revision, book: { ...book.book, rows: [...rows, row] } } }),
      )
      queries.setQueryData(['price-book'], kept)
      const wrong = kept.problems.find(({ field }) => field === `rows.${row.id}.price`)
      setProblem(wrong ? problemText(wrong) : '')
    } catch (error) {
      setProblem(told(error))
      await queries.invalidateQueries({ queryKey: ['price-book'] })
    }
    return undefined
  }
  return (
    <form
      className={s.unpriced}
      onSubmit={(event) => {
        event.preventDefault()
        void keep()
      }}
    >
      <label htmlFor={`price-${asked.thing}`}>
        {asked.name} <small>{asked.amount}</small>
      </label>
      <Input
        id={`price-${asked.thing}`}
        value={price}
        placeholder="no price yet"
        status={problem ? 'error' : ''}
        onChange={(event) => setPrice(event.currentTarget.value)}
      />
      <Select
        aria-label={`What the price of ${asked.name} is for`}
        value={by}
        options={asked.by.map((value) => ({ value, label: perWord[value] }))}
        onChange={setBy}
      />
      <Button htmlType="submit">Keep</Button>
      {problem && <p className="problem">{problem}</p>}
    </form>
  )
}
