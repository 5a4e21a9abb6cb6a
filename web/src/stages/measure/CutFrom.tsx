import { Select } from 'antd'
import { memo } from 'react'
import type { Role } from '../../api/client'
import { draftInHand, useEditItem, useScene } from '../../job/scene'
import s from './measure.module.css'

/** Which cloth the item is cut from, and those pieces of it that may have another. What lies under the cover is answered for on Buy. */
export const CutFrom = memo(function CutFrom() {
  const editItem = useEditItem()
  const id = useScene((scene) => scene.item?.id)
  const cloths = useScene((scene) => scene.job.document.cloths)
  const cutFrom = useScene((scene) => draftInHand(scene)?.cutFrom)
  if (id === undefined) return null
  const choose = (role: Role, cloth: string) =>
    editItem('', id, (item) => {
      if (role === 'face') item.cloth = cloth
      else item.otherCloths[role] = cloth
    })
  const others = cutFrom?.filter(({ role, filling }) => role !== 'face' && !filling) ?? []
  const select = (role: Role, name: string) => (
    <label key={role}>
      {name}
      <Select
        aria-label={name}
        value={cutFrom?.find((each) => each.role === role)?.cloth ?? null}
        options={cloths.map((cloth) => ({ value: cloth.id, label: cloth.name }))}
        onChange={(cloth) => choose(role, cloth)}
      />
    </label>
  )
  return (
    <>
      {select('face', 'Cut from')}
      {others.length > 0 && cloths.length > 1 && (
        <div className={s.roles}>
          {others.map(({ role }) => select(role, `${role[0]?.toUpperCase()}${role.slice(1)} from`))}
        </div>
      )}
    </>
  )
})
