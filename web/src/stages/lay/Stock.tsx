import { useQuery } from '@tanstack/react-query'
import { Button, Input } from 'antd'
import { useState } from 'react'
import { newId, answer, api, type Cloth, type Remnant } from '../../api/client'
import { ClothEntry, type ClothGroup } from '../../job/ClothEntry'
import { identity } from '../../parts/identity'
import { useDocument, useScene, useUnit } from '../../job/scene'
import { Folded } from '../../parts/Folded'
import s from './lay.module.css'

/** Remnants and part rolls that are there: laid on before anything is bought. */
export function Stock({ cloth, planned, edit }: ClothGroup) {
  const jobUnit = useUnit()
  const change = (at: number, remnant: Remnant, step?: string) =>
    edit({ stock: cloth.stock.map((each, n) => (n === at ? remnant : each)) }, step)
  return (
    <Folded className={s.demands} summary="Remnants and part rolls that are there" asked={cloth.stock.length > 0}>
      {cloth.stock.map((remnant, at) => (
        <fieldset key={remnant.id || at} className="cloth-fields">
          <legend>{remnant.name || `Remnant ${at + 1}`}</legend>
          <label>
            Called
            <Input
              value={remnant.name}
              maxLength={80}
              onChange={(event) => change(at, { ...remnant, name: event.currentTarget.value })}
            />
          </label>
          <ClothEntry
            cloth={cloth}
            planned={planned}
            name={`stock.${at}.length`}
            label="Length"
            entry={remnant.length}
            write={(length, step) => change(at, { ...remnant, length }, step)}
          />
          <ClothEntry
            cloth={cloth}
            planned={planned}
            name={`stock.${at}.width`}
            label="Usable width, if less"
            entry={remnant.width}
            write={(width, step) => change(at, { ...remnant, width }, step)}
          />
          <Button onClick={() => edit({ stock: cloth.stock.filter((_, n) => n !== at) })}>Take it away</Button>
        </fieldset>
      ))}
      <OnShelf cloth={cloth} edit={edit} />
      <Offers cloth={cloth} use={(remnant) => edit({ stock: [...cloth.stock, { ...remnant, id: newId() }] })} />
      <Button
        onClick={() =>
          edit({
            stock: [...cloth.stock, { id: newId(), name: '', length: { typed: '', unit: jobUnit }, width: null }],
          })
        }
      >
        Add a remnant
      </Button>
    </Folded>
  )
}

// What of this cloth lies on the shelves: what is used is reserved by this job, and keeps its batch.
function OnShelf({ cloth, edit }: Pick<ClothGroup, 'cloth' | 'edit'>) {
  const id = useScene((scene) => scene.id)
  const rows = useQuery({
    queryKey: ['stock', 'cloth', cloth.name],
    queryFn: ({ signal }) => answer(api.GET('/api/stock', { params: { query: { cloth: cloth.name } }, signal })),
    enabled: cloth.name.trim() !== '',
  }).data?.rows
  return rows
    ?.filter(
      (each) =>
        each.row.length !== null && each.amount !== '' && !cloth.stock.some((used) => used.id === `shelf-${each.id}`),
    )
    .map((each) => {
      const other = each.reserved.find(({ job }) => job !== id)
      return (
        <p key={each.id}>
          On the shelves: {each.amount}
          {each.row.batch && `, batch ${each.row.batch}`}
          {each.row.place && `, ${each.row.place}`}{' '}
          {other ? (
            <small>for {other.name}</small>
          ) : (
            <Button
              onClick={() =>
                edit({
                  stock: [
                    ...cloth.stock,
                    {
                      id: `shelf-${each.id}`,
                      name: [each.row.place, each.row.batch].filter(Boolean).join(', '),
                      length: each.row.length ?? { typed: '', unit: 'in' },
                      width: each.row.kind === 'remnant' ? each.row.width : null,
                    },
                  ],
                  ...(cloth.batch === '' && { batch: each.row.batch }),
                })
              }
            >
              Use it
            </Button>
          )}
        </p>
      )
    })
}

// What other jobs have left of cloth of this name, once it has been cut.
function Offers({ cloth, use }: { cloth: Cloth; use: (remnant: Remnant) => void }) {
  const jobDocument = useDocument()
  const id = useScene((scene) => scene.id)
  const [asked, setAsked] = useState(false)
  const found = useQuery({
    queryKey: ['remnants', identity(jobDocument), cloth.id],
    queryFn: ({ signal }) =>
      answer(
        api.POST('/api/remnants', {
          params: { query: { except: id } },
          body: { job: jobDocument, cloth: cloth.id },
          signal,
        }),
      ),
    enabled: asked,
    gcTime: 10_000,
  })
  if (!asked) return <Button onClick={() => setAsked(true)}>Look for some in other jobs</Button>
  return (
    <div role="status">
      {found.isFetching && <p>Looking …</p>}
      {found.error && <p className="problem">{found.error.message}</p>}
      {!found.isFetching && found.data?.length === 0 && <p>No other job has cut all of a cloth called {cloth.name}.</p>}
      {!found.isFetching &&
        found.data?.map((offer) => (
          <p key={offer.remnant.name}>
            {offer.job} has {offer.along.text} by {offer.across.text} left.{' '}
            <Button onClick={() => use(offer.remnant)}>Use it</Button>
          </p>
        ))}
    </div>
  )
}
