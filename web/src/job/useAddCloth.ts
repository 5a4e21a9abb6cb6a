import { useCallback } from 'react'
import { answer, api, newId } from '../api/client'
import { useSceneStore } from './scene'

/** Adds a cloth with usual values to the job, and tells which. */
export function useAddCloth() {
  const store = useSceneStore()
  return useCallback(
    (added: (id: string) => void = () => undefined) =>
      void (async () => {
        const { document, edit } = store.get().job
        const name = `Cloth ${document.cloths.length + 1}`
        const cloth = await answer(api.POST('/api/cloths', { body: { id: newId(), name, unit: document.unit } }))
        edit('', ({ cloths }) => void cloths.push(cloth))
        added(cloth.id)
      })(),
    [store],
  )
}
