import { useDraft, useScene } from '../../job/scene'
import { CutList } from '../pieces/CutList'
import { useLaid } from '../pieces/useLaid'
import { useSource } from '../pieces/useSource'
import s from './make.module.css'

/** What is cut in this step, ticked piece by piece, and how it is put aside. */
export function CutHere({ stacks }: { stacks: string[] }) {
  const item = useScene((scene) => scene.item?.id)
  const pieces = useDraft()?.pattern?.pieces
  const laid = useLaid(item)
  const source = useSource()
  return (
    <section className={s.cutting} aria-label="Cut and stacked">
      {pieces && <CutList pieces={pieces} laid={laid} source={source} />}
      {stacks.map((stack) => (
        <p key={stack}>{stack}</p>
      ))}
    </section>
  )
}
