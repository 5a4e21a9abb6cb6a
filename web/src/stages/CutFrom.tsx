import { Select } from 'antd'
import type { Role } from '../api/client'
import { changeItem, useDraft, useScene } from '../job/context'

/** Which cloth the item is cut from, and those pieces of it that may have another. What lies under the cover is answered for on Buy. */
export function CutFrom() {
  const { job, item } = useScene()
  const draft = useDraft()
  if (!item) return null
  const { cloths } = job.document
  const choose = (role: Role, cloth: string) =>
    job.edit('', (document) =>
      changeItem(document, item.id, (old) =>
        role === 'face' ? { ...old, cloth } : { ...old, otherCloths: { ...old.otherCloths, [role]: cloth } },
      ),
    )
  const others = draft?.cutFrom.filter(({ role, filling }) => role !== 'face' && !filling) ?? []
  const select = (role: Role, name: string) => (
    <label key={role}>
      {name}
      <Select
        aria-label={name}
        value={draft?.cutFrom.find((each) => each.role === role)?.cloth ?? null}
        options={cloths.map((cloth) => ({ value: cloth.id, label: cloth.name }))}
        onChange={(cloth) => choose(role, cloth)}
      />
    </label>
  )
  return (
    <>
      {select('face', 'Cut from')}
      {others.length > 0 && cloths.length > 1 && (
        <div className="roles">
          {others.map(({ role }) => select(role, `${role[0]?.toUpperCase()}${role.slice(1)} from`))}
        </div>
      )}
    </>
  )
}
