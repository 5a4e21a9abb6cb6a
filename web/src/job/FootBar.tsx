import { clsx } from 'clsx'
import { Button } from 'antd'
import { useQuery } from '@tanstack/react-query'
import { memo } from 'react'
import { Link } from 'react-router'
import { answer, api } from '../api/client'
import { dayText } from '../week/days'
import { useScene } from './scene'
import s from './FootBar.module.css'

// So many cloths are named along the foot; Buy has them all.
const named = 3

// The edge is drawn full at this many counts of cloth: ten metres.
const fullEdge = 10_000 * 3840

/** Along the foot, always there: a cloth edge as long as the cloth to buy, with cost and time once they exist. */
export const FootBar = memo(function FootBar() {
  const totals = useScene((scene) => scene.plan?.totals)
  const stale = useScene((scene) => scene.stale)
  const waiting = useScene((scene) => scene.waiting)
  const did = useScene(({ job }) => job.did)
  if (!totals)
    return (
      <footer className={s.foot} aria-label="Totals">
        <p className={s.nothing}>{waiting > 0 ? `Waiting to be laid: ${waiting} in line` : 'Nothing to buy yet'}</p>
        {did && <Did did={did} />}
      </footer>
    )
  const [only] = totals.cloths
  return (
    <footer className={clsx(s.foot, stale && 'stale')} aria-label="Totals" aria-live="polite">
      <div className={s.edges}>
        {totals.cloths.map((cloth, at) => (
          <div
            key={at}
            className={s.edge}
            style={{
              width: `${Math.max((cloth.bought.ticks / Math.max(fullEdge, totals.ticks)) * 100, 2)}%`,
              ['--edge' as string]: cloth.tone,
            }}
          />
        ))}
      </div>
      <div className={s.sums}>
        <dl>
          <div>
            <dt>Cloth to buy</dt>
            <dd>
              <b data-testid="to-buy" className={totals.cloths.length > 2 ? s.several : undefined}>
                {totals.cloths.length === 1
                  ? only?.bought.text
                  : totals.cloths.slice(0, named).map((cloth, at) => (
                      <span key={at} title={cloth.name}>
                        {at > 0 && ', '}
                        {cloth.bought.text} <span className={s.name}>{cloth.name}</span>
                      </span>
                    ))}
                {totals.cloths.length > named &&
                  ` and ${totals.cloths.length - named} more ${totals.cloths.length === named + 1 ? 'cloth' : 'cloths'}`}
                {totals.articles > 0 && `${totals.cloths.length > 0 ? ' and ' : ''}${totals.articles} ready-made`}
              </b>
              {totals.change !== null && (
                <span className={s.change} data-testid="change">
                  {totals.change}
                </span>
              )}
            </dd>
          </div>
          {totals.cost !== null && (
            <div>
              <dt>Cloth cost</dt>
              <dd>
                <b>{totals.cost}</b>
              </dd>
            </div>
          )}
          {totals.minutes !== null && (
            <div>
              <dt>Making time</dt>
              <dd>
                <b>{totals.minutes}</b>
              </dd>
            </div>
          )}
          {waiting > 0 && (
            <div>
              <dt>Waiting to be laid</dt>
              <dd>
                <b>{waiting} in line</b>
              </dd>
            </div>
          )}
          {totals.doubt && (
            <div className={s.doubt}>
              <dt>Left out</dt>
              <dd>{totals.doubt}</dd>
            </div>
          )}
        </dl>
        <Due />
      </div>
      {(did || totals.change !== null) && <Did did={did} />}
    </footer>
  )
})

// The day that was promised; the week has the rest.
function Due() {
  const id = useScene((scene) => scene.id)
  const promised = useQuery({
    queryKey: ['schedule', id],
    queryFn: () => answer(api.GET('/api/jobs/{id}/schedule', { params: { path: { id } } })),
    staleTime: 60_000,
  }).data?.schedule.promised
  return (
    promised !== undefined && (
      <Link to={`/week?job=${id}`} className={s.due}>
        {promised === '' ? 'No day promised' : `Promised ${dayText(promised)}`}
      </Link>
    )
  )
}

// What the latest change did, and the way back from it.
function Did({ did }: { did: string }) {
  const undo = useScene(({ job }) => job.undo)
  const may = useScene(({ job }) => job.canUndo)
  return (
    <p className={s.did} role="status">
      {did} {may && <Button onClick={undo}>Take it back</Button>}
    </p>
  )
}
