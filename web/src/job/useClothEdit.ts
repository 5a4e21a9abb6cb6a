import type { Cloth } from '../api/client'
import { useEdit } from './scene'

/** Changes one cloth of the job; edits of one step are undone together. */
export function useClothEdit(cloth: Cloth) {
  const editJob = useEdit()
  return (change: Partial<Cloth>, step = '') =>
    editJob(step, ({ cloths }) => {
      Object.assign(cloths.find((each) => each.id === cloth.id) ?? {}, change)
    })
}
