import type { Bench } from '../../api/client'
import { useDraft, useScene } from '../../job/scene'
import { CutList } from '../pieces/CutList'
import { useLaid } from '../pieces/useLaid'
import { useSource } from '../pieces/useSource'
import { Left } from './Left'
import s from './make.module.css'

/** What is cut in this step, ticked piece by piece, and how it is put aside. */
export function CutHere({ stacks, problems }: Pick<NonNullable<Bench['at']>, 'stacks' | 'problems'>) {
  const cloths = useScene(({ job }) => job.document.cloths)
  const item = useScene((scene) => scene.item?.id)
  const pieces = useDraft()?.pattern?.pieces
  const laid = useLaid(item)
  const source = useSource()
  // What is cut whole has its remnants measured.
  const whole = cloths.filter((cloth) => {
    const on = [...laid.values()].find((each) => each.cloth.id === cloth.id)
    return on !== undefined && cloth.cut.length >= (on.cloth.lay?.placed.length ?? 0)
  })
  return (
    <section className={s.cutting} aria-label="Cut and stacked">
      {pieces && <CutList pieces={pieces} laid={laid} source={source} />}
      {stacks.map((stack) => (
        <p key={stack}>{stack}</p>
      ))}
      {whole.map((cloth) => (
        <Left key={cloth.id} cloth={cloth} problems={problems} />
      ))}
    </section>
  )
}
