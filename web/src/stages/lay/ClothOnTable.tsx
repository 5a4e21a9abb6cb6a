import { clsx } from 'clsx'
import { Button } from 'antd'
import { memo, useDeferredValue, useState } from 'react'
import type { Cloth, ClothPlan, Plan } from '../../api/client'
import { OtherProblems } from '../../job/ClothFields'
import { useScene } from '../../job/scene'
import { useClothEdit } from '../../job/useClothEdit'
import { useWord } from '../../parts/useWord'
import { Swatch } from '../../parts/Swatch'
import { AboutCloth } from './AboutCloth'
import { AtTable } from './AtTable'
import { ClothDrawing } from './ClothDrawing'
import { CuttingList } from './CuttingList'
import { LayFigures } from './LayFigures'
import { LayWarnings } from './LayWarnings'
import { LongerSearch } from './LongerSearch'
import { Matches } from './Matches'
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
  'corners',
  'rulerLength',
]

/** What is done with the cloth: it is laid, cut from a list, or measured as it lies. */
export type Mode = 'lay' | 'list' | 'table'

interface Props {
  cloth: Cloth
  plan: Plan | undefined
  side: 'right' | 'wrong'
  mode: Mode
  /** Whether what is known of the cloth stands beside it. */
  about: boolean
}

/** One cloth as it lies on the table, with what its lay comes to, its cutting list, or what is measured of it there. */
export function ClothOnTable({ cloth, plan, side, mode, about }: Props) {
  const stale = useScene((scene) => scene.stale)
  const edit = useClothEdit(cloth)
  const planned = plan?.cloths.find((each) => each.id === cloth.id)
  // A large lay is drawn when there is time for it: typing goes first.
  const drawn = useDeferredValue(planned)
  const items = useDeferredValue(plan?.items)
  const laidCloth = useDeferredValue(cloth)
  const group = { cloth, planned, edit }
  // What is wrong with the cloth is mended there.
  const open = about || (planned?.problems.length ?? 0) > 0
  return (
    <section
      className={clsx(s.cloth, open && s.withAbout, stale && 'stale')}
      aria-label={cloth.name}
      id={`cloth-${cloth.id}`}
    >
      <div className={s.laidOut}>
        <h2 className={s.named}>
          <Swatch tone={cloth.tone} look={planned?.look} /> {cloth.name}
          <small>{side} side up</small>
        </h2>
        <OtherProblems planned={planned} asked={asked} />
        {drawn?.lay && items && (
          <LaidCloth
            cloth={laidCloth}
            items={items}
            planned={drawn}
            lay={drawn.lay}
            side={side}
            listed={mode === 'list'}
          />
        )}
        {planned && !planned.lay && planned.problems.length === 0 && (
          <p className="note">{planned.pieces === 0 ? 'Nothing is cut from this cloth yet.' : 'Laying …'}</p>
        )}
        {mode === 'table' && <AtTable {...group} />}
        {mode === 'lay' && drawn && <Further cloth={laidCloth} planned={drawn} />}
      </div>
      {open && <AboutCloth {...group} />}
    </section>
  )
}

// What can be asked of a lay.
const Further = memo(function Further({ cloth, planned }: { cloth: Cloth; planned: ClothPlan }) {
  return (
    <div className={s.further}>
      {planned.matches.length > 0 && <Matches cloth={planned} />}
      {planned.lay && <LongerSearch cloth={cloth} planned={planned} />}
      {!cloth.articleLength && !cloth.madeBy && <WidthsCompared cloth={cloth} />}
    </div>
  )
})

interface LaidProps {
  cloth: Cloth
  items: Plan['items']
  planned: ClothPlan
  lay: NonNullable<ClothPlan['lay']>
  side: 'right' | 'wrong'
  listed: boolean
}

const LaidCloth = memo(function LaidCloth({ cloth, items, planned, lay, side, listed }: LaidProps) {
  const [pointed, setPointed] = useState<string>()
  const { refused, moves } = useMoves(cloth.id)
  const selvedge = useWord('selvedge')
  const loose = cloth.pins.filter((pin) => cloth.cut.every((cut) => cut.piece !== pin.piece)).length
  return (
    <>
      <ClothDrawing
        lay={lay}
        look={planned.look}
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
                and {piece.fromSelvedge.text} from the {selvedge} (cut line, {side} side up){piece.pinned && ', pinned'}
              </span>
            ))}
          {!pointed && side === 'right' && (
            <span className="note">
              Drag a piece to pin it where it shall lie, or move it by the arrow keys; P pins and unpins, T turns.
            </span>
          )}
        </p>
      </ClothDrawing>
      <LayWarnings planned={planned} lay={lay} refused={refused} />
      {loose > 0 && (
        <Button onClick={moves.unpinAll}>{loose === 1 ? 'Unpin the piece' : `Unpin all ${loose} pieces`}</Button>
      )}
      <LayFigures cloth={cloth} planned={planned} lay={lay} />
      {listed && (
        <CuttingList lay={lay} items={items} cloth={cloth.id} name={cloth.name} wrongSideUp={side === 'wrong'} />
      )}
    </>
  )
})
