import { useCallback } from 'react'
import type { Cloth } from '../api/client'
import { useEdit } from './scene'

/** Changes one cloth of the job; edits of one step are undone together. */
export function useClothEdit({ id }: Cloth) {
  const editJob = useEdit()
  return useCallback(
    (change: Partial<Cloth>, step = '') =>
      editJob(step, ({ cloths }) => {
        Object.assign(cloths.find((each) => each.id === id) ?? {}, change)
      }),
    [editJob, id],
  )
}
