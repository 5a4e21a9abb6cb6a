import { useAsked, useScene } from '../../job/scene'
import { Allowances, Group } from './Answers'
import { Learnt } from './Learnt'
import { Cautions, MakingOrder } from './MakingOrder'
import { Schools } from './Schools'
import s from './make-up.module.css'

/** The schools side by side, the one in hand large with its pieces, and in a line each what can be chosen within it. */
export default function MakeUp() {
  const makeUp = useScene(({ makeUps, item }) => makeUps.find((each) => each.key === item?.makeUp))
  const id = useScene((scene) => scene.item?.id)
  const asked = useAsked()
  if (!makeUp) return null
  const shown = makeUp.choices.filter((choice) => !choice.onMeasure && asked('choices', choice.key))
  const groups = [...new Set(shown.map((choice) => choice.group))]
  return (
    <>
      <Schools />
      <section className={s.answers} aria-label="What can be chosen">
        <Learnt key={id} />
        {groups.map((group) => (
          <Group key={`${id}/${group}`} name={group} choices={shown.filter((choice) => choice.group === group)} />
        ))}
        <Allowances key={`${id}/allowances`} allowances={makeUp.allowances} />
        <Cautions />
        <MakingOrder />
      </section>
    </>
  )
}
