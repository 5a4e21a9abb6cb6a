import type { MakeUp } from '../../api/client'
import type { JobScene } from '../../job/scene'

/** One size on the way through the room. */
export interface Stop {
  item: string
  measure: string
}

/** Every size that the items of the job need, item by item, in walking order; of those that are not always there, the ones that were entered. */
export function wayThrough({ job, plan, makeUps }: JobScene): Stop[] {
  const kinds = new Map(makeUps.map((each) => [each.key, each]))
  return job.document.items.flatMap((item) => {
    const asked = plan?.items.find((each) => each.id === item.id)?.draft.asked
    return (kinds.get(item.makeUp)?.measures ?? ([] as MakeUp['measures']))
      .filter(
        ({ key, kind, optional }) =>
          kind === 'length' &&
          asked?.includes(`measures.${key}`) &&
          (!optional || (item.measures[key]?.typed ?? '').trim() !== ''),
      )
      .map(({ key }) => ({ item: item.id, measure: key }))
  })
}

/** Where the walk begins: at the first size that nothing is entered for, else at the first. */
export const firstLeft = (stops: Stop[], { job }: JobScene): number =>
  Math.max(
    0,
    stops.findIndex(
      ({ item, measure }) => !job.document.items.find((each) => each.id === item)?.measures[measure]?.typed.trim(),
    ),
  )
