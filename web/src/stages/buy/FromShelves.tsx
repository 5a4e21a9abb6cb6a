import { useQuery, useQueryClient } from '@tanstack/react-query'
import { Button } from 'antd'
import { useState } from 'react'
import { answer, api, newId, type FromShelf, type StockView } from '../../api/client'
import { useEdit, useScene, useUnit } from '../../job/scene'
import { told } from '../../parts/told'
import { Typed } from '../../parts/Typed'
import type { Line } from './listed'
import s from './buy.module.css'

const cloth = new Set<StockView['row']['kind']>(['bolt', 'part-roll', 'remnant'])
const words = (text: string) => text.toLowerCase().match(/[a-z0-9/]{3,}/g) ?? []

/** What of a line of the list is taken from the shelves: reserved there, and less of it bought. */
export function FromShelves({ line }: { line: Line }) {
  const all = useScene((scene) => scene.job.document.fromShelves)
  const edit = useEdit()
  const unit = useUnit()
  const queries = useQueryClient()
  const [looking, setLooking] = useState(false)
  const [problem, setProblem] = useState('')
  const taken = all.filter(({ thing }) => thing === line.thing)
  const shelves = useQuery({
    queryKey: ['stock', 'all'],
    queryFn: ({ signal }) => answer(api.GET('/api/stock', { signal })),
    staleTime: 2_000,
  }).data
  const known = (id: string) => shelves?.rows.find((row) => row.id === id)
  // What has a word of the line in its name goes first; the rest may serve all the same.
  const like = new Set(words(`${line.name} ${line.note}`))
  const alike = ({ row }: StockView) => words(`${row.name} ${row.note}`).filter((word) => like.has(word)).length
  const offered = (shelves?.rows ?? [])
    .filter(({ id, row }) => !cloth.has(row.kind) && !taken.some(({ stock }) => stock === id))
    .sort((one, other) => alike(other) - alike(one))
  const change = (id: string, changed: Partial<FromShelf>) =>
    edit('', (document) => {
      const row = document.fromShelves.find((each) => each.id === id)
      if (row) Object.assign(row, changed)
    })
  const takeOut = async ({ id, amount }: FromShelf, there: StockView) => {
    try {
      await answer(
        api.POST('/api/stock/{id}/out', {
          params: { path: { id: there.id } },
          body: { from: there.revision, amount },
        }),
      )
      setProblem('')
      change(id, { isOut: true })
    } catch (error) {
      setProblem(told(error))
    }
    await queries.invalidateQueries({ queryKey: ['stock'] })
  }
  return (
    <div className={s.shelves}>
      {taken.map((row) => {
        const there = known(row.stock)
        const where = there
          ? [there.row.name, there.row.place].filter(Boolean).join(', ')
          : 'not on the shelves any more'
        const over = there?.problems.find(({ field }) => field === 'reserved')
        return row.isOut ? (
          <p key={row.id}>
            {row.amount.typed} taken out of {where}
          </p>
        ) : (
          <div key={row.id} className={s.shelf}>
            <Typed
              label={`From ${where}`}
              value={row.amount.typed}
              problem={over}
              write={(typed) => change(row.id, { amount: { typed, unit } })}
            />
            {there && <Button onClick={() => void takeOut(row, there)}>It is out of the shelf</Button>}
            <Button
              onClick={() =>
                edit('', (document) => {
                  document.fromShelves = document.fromShelves.filter(({ id }) => id !== row.id)
                })
              }
            >
              Leave it there
            </Button>
          </div>
        )
      })}
      {problem && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
      {offered.length > 0 && (
        <Button type="text" aria-expanded={looking} onClick={() => setLooking(!looking)}>
          From the shelves
        </Button>
      )}
      {looking && (
        <ul aria-label={`On the shelves for ${line.name}`}>
          {offered.map((there) => (
            <li key={there.id}>
              {there.row.name}
              {there.row.place && `, ${there.row.place}`}: {there.free || '?'} free{' '}
              <Button
                onClick={() => {
                  setLooking(false)
                  edit('', (document) => {
                    document.fromShelves.push({
                      id: newId(),
                      thing: line.thing,
                      stock: there.id,
                      amount: { typed: line.whole, unit },
                      isOut: false,
                    })
                  })
                }}
              >
                Use it
              </Button>
            </li>
          ))}
        </ul>
      )}
    </div>
  )
}
