import { Select } from 'antd'
import type { Item, Role } from '../../api/client'
import { changeItem, useEdit, useScene } from '../../job/scene'

const bySize = '' // no cloth

/** Whether a filling is bought by its size or laid on a cloth of the job. */
export function FillingCloth({ item, role, name }: { item: Item; role: Role; name: string }) {
  const jobCloths = useScene((scene) => scene.job.document.cloths)
  const editJob = useEdit()
  const plan = useScene((scene) => scene.plan)
  const from = plan?.items.find((each) => each.id === item.id)?.draft.cutFrom.find((each) => each.role === role)
  const choose = (cloth: string) =>
    editJob('', (document) =>
      changeItem(document, item.id, (old) => ({
        ...old,
        otherCloths: Object.fromEntries(
          Object.entries({ ...old.otherCloths, [role]: cloth }).filter(([, id]) => id !== bySize),
        ),
      })),
    )
  const options = [
    { value: bySize, label: 'bought by size' },
    ...jobCloths.map((cloth) => ({ value: cloth.id, label: `laid on ${cloth.name}` })),
  ]
  return (
    <Select
      aria-label={`${item.name}, ${name}`}
      value={from?.cloth ?? bySize}
      options={options}
      onChange={choose}
      popupMatchSelectWidth={false}
    />
  )
}
