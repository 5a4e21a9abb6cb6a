import { clsx } from 'clsx'
import { Button } from 'antd'
import { memo, useDeferredValue, useEffect, useRef, useState } from 'react'
import { useLocation } from 'react-router'
import type { Cloth, ClothPlan, Plan } from '../../api/client'
import { useScene } from '../../job/scene'
import { AtTable } from './AtTable'
import { ClothDrawing } from './ClothDrawing'
import { ClothFields, OtherProblems } from '../../job/ClothFields'
import { CuttingList } from './CuttingList'
import { Demands } from './Demands'
import { LongerSearch } from './LongerSearch'
import { Matches } from './Matches'
import { Stock } from './Stock'
import { useClothEdit } from '../../job/useClothEdit'
import { useMoves } from './useMoves'
import { WidthsCompared } from './WidthsCompared'
import s from './lay.module.css'

const asked = [
  'width',
  'selvedge',
  'articleLength',
  'shrinksAcross',
  'shrinksAlong',
  'gap',
  'repeatAlong',
  'repeatAcross',
  'motifAcross',
  'motifAlong',
  'skew',
  'spread',
  'fromEnd',
  'fromSelvedge',
  'along',
  'across',
  'length',
  'measuredWidth',
  'measuredLength',
  'squaring',
]

interface Props {
  cloth: Cloth
  plan: Plan | undefined
  side: 'right' | 'wrong'
}

/** One cloth as it lies on the table, with what it asks and what its lay comes to. */
export function ClothOnTable({ cloth, plan, side }: Props) {
  const stale = useScene((scene) => scene.stale)
  const own = `cloth-${cloth.id}`
  const { hash } = useLocation()
  const section = useRef<HTMLElement>(null)
  useEffect(() => {
    if (hash === `#${own}`) section.current?.scrollIntoView({ block: 'start' })
  }, [hash, own])
  const planned = plan?.cloths.find((each) => each.id === cloth.id)
  // A large lay is drawn when there is time for it: typing goes first.
  const drawn = useDeferredValue(planned)
  const items = useDeferredValue(plan?.items)
  const laidCloth = useDeferredValue(cloth)
  return (
    <section className={clsx(s.cloth, stale && 'stale')} aria-label={cloth.name} id={own} ref={section}>
      <h2 className={s.named}>
        <span className={s.bolt} style={{ background: cloth.tone }} aria-hidden /> {cloth.name}
        <small className={s.sideUp}>{side} side up</small>
      </h2>
      <OtherProblems planned={planned} asked={asked} />
      {drawn?.lay && items && <LaidCloth cloth={laidCloth} items={items} planned={drawn} lay={drawn.lay} side={side} />}
      <ClothFields cloth={cloth} planned={planned} show={['width', 'selvedge']} />
      <Asked cloth={cloth} planned={planned} />
      {planned && !planned.lay && planned.problems.length === 0 && (
        <p className="note">{planned.pieces === 0 ? 'Nothing is cut from this cloth yet.' : 'Laying …'}</p>
      )}
    </section>
  )
}

// Beneath the drawing: what the cloth asks of its lay, what is there of it, and how it turned out.
function Asked({ cloth, planned }: { cloth: Cloth; planned: ClothPlan | undefined }) {
  const edit = useClothEdit(cloth)
  return (
    <div className={s.asked}>
      <Demands cloth={cloth} planned={planned} edit={edit} />
      {planned && planned.matches.length > 0 && <Matches cloth={planned} />}
      {!cloth.articleLength && !cloth.madeBy && <Stock cloth={cloth} planned={planned} edit={edit} />}
      <AtTable cloth={cloth} planned={planned} edit={edit} />
    </div>
  )
}

const LaidCloth = memo(function LaidCloth({
  cloth,
  items,
  planned,
  lay,
  side,
}: Omit<Props, 'plan'> & { items: Plan['items']; planned: ClothPlan; lay: NonNullable<ClothPlan['lay']> }) {
  const [pointed, setPointed] = useState<string>()
  const { refused, moves } = useMoves(cloth.id)
  const loose = cloth.pins.filter((pin) => cloth.cut.every((cut) => cut.piece !== pin.piece)).length
  return (
    <>
      <ClothDrawing
        lay={lay}
        tone={cloth.tone}
        name={cloth.name}
        oneWay={cloth.oneWay}
        pointed={pointed}
        point={setPointed}
        moves={side === 'right' ? moves : undefined}
      >
        <p className={s.pointedPiece} aria-live="polite">
          {lay.placed
            .filter((piece) => piece.id === pointed)
            .map((piece) => (
              <span key={piece.id}>
                <b>{piece.label}</b> {piece.on && `on ${piece.on} `}starts {piece.alongRoll.text} from the squared end
                and {piece.fromSelvedge.text} from the selvedge (cut line, {side} side up){piece.pinned && ', pinned'}
              </span>
            ))}
          {!pointed && side === 'right' && (
            <span className="note">
              Drag a piece to pin it where it shall lie, or move it by the arrow keys; P pins and unpins, T turns.
            </span>
          )}
        </p>
      </ClothDrawing>
      {refused && (
        <p className="problem" role="alert">
          {refused}.
        </p>
      )}
      {lay.refusedPins.map((reason) => (
        <p key={reason} className="problem" role="alert">
          {reason}
        </p>
      ))}
      {planned.skewed && (
        <p className="problem" role="status">
          The print runs out by {planned.skewed.text} from selvedge to selvedge: trust the print, not the weave, and
          tell the customer before anything is cut.
        </p>
      )}
      {lay.beyond && (
        <p className="problem" role="alert">
          The cloth on the table is {lay.beyond.missing.text} too short. Beyond its end: {lay.beyond.pieces.join(', ')}.
          On <i>Buy</i>, <i>Will it do?</i> tells what would make it fit.
        </p>
      )}
      {planned.cutOtherwise.map((told) => (
        <p key={told} className="problem" role="alert">
          Take care: {told}.
        </p>
      ))}
      {loose > 0 && (
        <Button onClick={moves.unpinAll}>{loose === 1 ? 'Unpin the piece' : `Unpin all ${loose} pieces`}</Button>
      )}
      <dl className={s.facts}>
        {lay.foldedTo && (
          <div>
            <dt>Folded double, as far as</dt>
            <dd>{lay.foldedTo.text}</dd>
          </div>
        )}
        <div>
          <dt>{planned.buying?.beforeWashing ? 'Washed cloth, as laid' : 'Cloth needed, as laid'}</dt>
          <dd>
            <span data-testid={`laid-${cloth.id}`}>{lay.length.text}</span>
            <small>{lay.onTape.text}</small>
          </dd>
        </div>
        <div>
          <dt>Counted in rows by hand</dt>
          <dd>{lay.byHand.text}</dd>
        </div>
        {lay.byWidths && (
          <div>
            <dt>Counted in whole widths</dt>
            <dd data-testid={`widths-${cloth.id}`}>
              {lay.byWidths.text}
              {lay.savedOnWidths && <small>the lay saves {lay.savedOnWidths.text}</small>}
            </dd>
          </div>
        )}
        <div>
          <dt>Shortest possible, not under</dt>
          <dd>
            {lay.shortestPossible.text}
            {lay.over !== null && lay.over > 0 && <small>{lay.over} % over it at most</small>}
          </dd>
        </div>
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
      {lay.cordStrips.length > 0 && (
        <p data-testid={`cord-${cloth.id}`}>
          <b>Cord, {cloth.name}:</b> {lay.cordStrips.join('; ')}. Cut last, from what the panels leave.
        </p>
      )}
      <LongerSearch cloth={cloth} planned={planned} />
      {!cloth.articleLength && !cloth.madeBy && <WidthsCompared cloth={cloth} />}
      <CuttingList lay={lay} items={items} cloth={cloth.id} name={cloth.name} wrongSideUp={side === 'wrong'} />
    </>
  )
})
