import { Select } from 'antd'
import type { Item, Role } from '../../api/client'
import { useEditItem, useScene } from '../../job/scene'

const bySize = '' // no cloth

/** Whether a filling is bought by its size or laid on a cloth of the job. */
export function FillingCloth({ item, role, name }: { item: Item; role: Role; name: string }) {
  const jobCloths = useScene((scene) => scene.job.document.cloths)
  const editItem = useEditItem()
  const plan = useScene((scene) => scene.plan)
  const from = plan?.items.find((each) => each.id === item.id)?.draft.cutFrom.find((each) => each.role === role)
  const choose = (cloth: string) =>
    editItem('', item.id, ({ otherCloths }) => {
      if (cloth === bySize) Reflect.deleteProperty(otherCloths, role)
      else otherCloths[role] = cloth
    })
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
