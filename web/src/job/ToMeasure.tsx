import { Button } from 'antd'
import type { Problem } from '../api/client'
import { useScene } from './scene'

/** Which sizes are still to be measured, by name, and the way there; nothing where none is. */
export function ToMeasure({ problems }: { problems: Problem[] }) {
  const go = useScene((scene) => scene.go)
  const measures = useScene(({ makeUps, item }) => makeUps.find((each) => each.key === item?.makeUp)?.measures)
  const names = problems
    .filter((problem) => problem.missing)
    .map(({ field }) => measures?.find(({ key }) => field === `measures.${key}`)?.name ?? field)
  return names.length === 0 ? null : (
    <p>
      To be measured first: {names.join(', ')}. <Button onClick={() => go('measure')}>Measure</Button>
    </p>
  )
}
