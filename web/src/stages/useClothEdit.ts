import type { Cloth } from '../api/client'
import { useScene } from '../job/context'

/** Changes one cloth of the job; edits of one step are undone together. */
export function useClothEdit(cloth: Cloth) {
  const { job } = useScene()
  return (change: Partial<Cloth>, step = '') =>
    job.edit(step, (document) => ({
      ...document,
      cloths: document.cloths.map((each) => (each.id === cloth.id ? { ...each, ...change } : each)),
    }))
}
