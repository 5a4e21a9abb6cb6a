import { answer, api, newId } from '../api/client'
import { useScene } from '../job/context'

/** Adds a cloth with usual values to the job. */
export function useAddCloth() {
  const { job } = useScene()
  return () =>
    void (async () => {
      const { cloths, unit } = job.document
      const cloth = await answer(
        api.POST('/api/cloths', { body: { id: newId(), name: `Cloth ${cloths.length + 1}`, unit } }),
      )
      job.edit('', (document) => ({ ...document, cloths: [...document.cloths, cloth] }))
    })()
}
