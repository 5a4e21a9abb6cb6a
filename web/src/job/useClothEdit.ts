import type { Cloth } from '../api/client'
import { useEdit } from './scene'

/** Changes one cloth of the job; edits of one step are undone together. */
export function useClothEdit(cloth: Cloth) {
  const editJob = useEdit()
  return (change: Partial<Cloth>, step = '') =>
    editJob(step, (document) => ({
      ...document,
      cloths: document.cloths.map((each) => (each.id === cloth.id ? { ...each, ...change } : each)),
    }))
}
