import type { Cloth, ClothPlan } from '../../api/client'
import { Folded } from '../../parts/Folded'
import { useWord } from '../../parts/useWord'
import { Shortenings } from './Shortenings'
import s from './lay.module.css'

interface Props {
  cloth: Cloth
  planned: ClothPlan
  lay: NonNullable<ClothPlan['lay']>
}

/** What the lay comes to, on the edge of the cloth: needed, to buy, and what it stands beside. */
export function LayFigures({ cloth, planned, lay }: Props) {
  const cord = useWord('cord')
  return (
    <>
      <dl className={s.facts}>
        <div>
          <dt>{planned.buying?.beforeWashing ? 'Needed, washed' : 'Needed'}</dt>
          <dd>
            <span data-testid={`laid-${cloth.id}`}>{lay.length.text}</span>
            <small>{lay.onTape.text}</small>
          </dd>
        </div>
        {planned.buying && !cloth.madeBy && (
          <div>
            <dt>To buy</dt>
            <dd>{planned.buying.bought.text}</dd>
          </div>
        )}
        <div>
          <dt>Shortest possible</dt>
          <dd>
            {lay.shortestPossible.text}
            {lay.over !== null && lay.over > 0 && <small>the lay is at most {lay.over} % over it</small>}
          </dd>
        </div>
        <div>
          <dt>In rows by hand</dt>
          <dd>{lay.byHand.text}</dd>
        </div>
        {lay.byWidths && (
          <div>
            <dt>In whole widths</dt>
            <dd data-testid={`widths-${cloth.id}`}>
              {lay.byWidths.text}
              {lay.savedOnWidths && <small>the lay saves {lay.savedOnWidths.text}</small>}
            </dd>
          </div>
        )}
        {lay.foldedTo && (
          <div>
            <dt>Folded double, as far as</dt>
            <dd>{lay.foldedTo.text}</dd>
          </div>
        )}
        {planned.usable && (
          <div>
            <dt>Usable width</dt>
            <dd>{planned.usable.text}</dd>
          </div>
        )}
      </dl>
      {lay.remnants.length > 0 && (
        <p className="note">
          Left over:{' '}
          {lay.remnants
            .slice(0, 4)
            .map((left) => `${left.along.text} along by ${left.across.text} across`)
            .join('; ')}
          .
        </p>
      )}
      <Folded summary="Why this length" className={s.demands}>
        <ul>
          {lay.why.map((reason) => (
            <li key={reason}>{reason}</li>
          ))}
        </ul>
        <Shortenings cloth={cloth} proven={lay.proven} />
      </Folded>
      {lay.cordStrips.length > 0 && (
        <p data-testid={`cord-${cloth.id}`}>
          <b className={s.first}>
            {cord}, {cloth.name}:
          </b>{' '}
          {lay.cordStrips.join('; ')}. Cut last, from what the panels leave.
        </p>
      )}
    </>
  )
}
