import { Button, Input } from 'antd'
import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { answer, api, newId, unitWord, type Bench, type Cloth } from '../../api/client'
import { useScene, useUnit } from '../../job/scene'
import { useClothEdit } from '../../job/useClothEdit'
import { EntryField } from '../../job/EntryField'
import { told } from '../../parts/told'
import s from './make.module.css'

type Problems = NonNullable<Bench['at']>['problems']

/** What is left of a cloth once all of it is cut: measured, and where it is put, so that the next job finds it. */
export function Left({ cloth, problems }: { cloth: Cloth; problems: Problems }) {
  const unit = useUnit()
  const edit = useClothEdit(cloth)
  const planned = useScene(({ plan }) => plan?.cloths.find((each) => each.id === cloth.id)?.lay?.remnants)
  const change = (id: string, to: Partial<Cloth['left'][number]>, step: string) =>
    edit({ left: cloth.left.map((row) => (row.id === id ? { ...row, ...to } : row)) }, step)
  return (
    <fieldset className={s.left}>
      <legend>What is left of {cloth.name}</legend>
      {planned && planned.length > 0 && (
        <p>
          By the lay:{' '}
          {planned
            .slice(0, 4)
            .map((left) => `${left.along.text} x ${left.across.text}`)
            .join('; ')}
          .
        </p>
      )}
      {cloth.left.map((row) => (
        <div key={row.id} className={s.leftRow}>
          {(['length', 'width'] as const).map((field) => (
            <EntryField
              key={field}
              name={`cloths.${cloth.id}.left.${row.id}.${field}`}
              label={field === 'length' ? 'Along' : 'Across'}
              unit={unitWord(unit)}
              state={{
                entry: row[field] ?? undefined,
                read: undefined,
                problem: problems.find((each) => each.field === `cloths.${cloth.id}.left.${row.id}.${field}`),
              }}
              write={(typed, step) => change(row.id, { [field]: { typed, unit } }, step)}
            />
          ))}
          <div className="entry">
            <label htmlFor={`left-${row.id}`}>Put where</label>
            <Input
              id={`left-${row.id}`}
              value={row.name}
              maxLength={120}
              onChange={(event) => change(row.id, { name: event.currentTarget.value }, `left ${row.id}`)}
            />
          </div>
          <Button onClick={() => edit({ left: cloth.left.filter((each) => each.id !== row.id) })}>Take it out</Button>
          <ToShelf cloth={cloth} row={row} />
        </div>
      ))}
      <Button
        onClick={() =>
          edit({
            left: [...cloth.left, { id: newId(), name: '', length: { typed: '', unit }, width: { typed: '', unit } }],
          })
        }
      >
        Measure a remnant
      </Button>
    </fieldset>
  )
}

// A remnant that was measured is put among the stock, with the batch it came from; again, and it is put right there.
function ToShelf({ cloth, row }: { cloth: Cloth; row: Cloth['left'][number] }) {
  const job = useScene((scene) => scene.id)
  const queries = useQueryClient()
  const [said, setSaid] = useState('')
  const put = async () => {
    const id = `${job}-${row.id}`.slice(0, 64)
    try {
      const there = await answer(api.GET('/api/stock', { params: { query: { cloth: cloth.name } } }))
      const from = there.rows.find((each) => each.id === id)?.revision ?? 0
      await answer(
        api.PUT('/api/stock/{id}', {
          params: { path: { id } },
          body: {
            from,
            row: {
              kind: 'remnant',
              name: cloth.name,
              batch: cloth.batch,
              place: row.name,
              length: row.length,
              width: row.width,
              count: '',
              mark: '',
              note: '',
              countedOn: '',
              from: job,
            },
          },
        }),
      )
      setSaid('Among the stock now.')
      await queries.invalidateQueries({ queryKey: ['stock'] })
    } catch (error) {
      setSaid(told(error))
    }
  }
  return (
    <span role="status">
      <Button disabled={row.length.typed.trim() === ''} onClick={() => void put()}>
        Put it among the stock
      </Button>{' '}
      {said}
    </span>
  )
}
