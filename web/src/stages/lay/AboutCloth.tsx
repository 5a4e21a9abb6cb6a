import { ClothFields } from '../../job/ClothFields'
import type { ClothGroup } from '../../job/ClothEntry'
import { Folded } from '../../parts/Folded'
import { LookFields } from './LookFields'
import { LyingFields } from './LyingFields'
import { RepeatFields } from './RepeatFields'
import { Stock } from './Stock'
import s from './lay.module.css'

const said = (...entries: ({ typed: string } | null)[]) => entries.some((entry) => (entry?.typed ?? '') !== '')

/** Beside the lay: what is known of its cloth, what it looks like, and how it lies. */
export function AboutCloth({ cloth, planned, edit }: ClothGroup) {
  return (
    <aside className={s.about} aria-label={`About ${cloth.name}`}>
      <ClothFields cloth={cloth} planned={planned} show={['width', 'selvedge']} />
      <Folded
        className={s.demands}
        summary="Repeat and match"
        asked={cloth.halfDrop || said(cloth.repeatAlong, cloth.repeatAcross)}
      >
        <RepeatFields cloth={cloth} planned={planned} edit={edit} />
      </Folded>
      <Folded className={s.demands} summary="What it looks like">
        <LookFields cloth={cloth} planned={planned} edit={edit} />
      </Folded>
      <Folded
        className={s.demands}
        summary="Folding, gap, shrinkage, how it behaves"
        asked={
          cloth.spread !== 'single' ||
          cloth.behaves.length > 0 ||
          said(cloth.gap) ||
          cloth.shrinksAcross !== '' ||
          cloth.shrinksAlong !== ''
        }
      >
        <LyingFields cloth={cloth} planned={planned} edit={edit} />
      </Folded>
      {!cloth.articleLength && !cloth.madeBy && <Stock cloth={cloth} planned={planned} edit={edit} />}
    </aside>
  )
}
