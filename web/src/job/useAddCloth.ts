import { answer, api, newId } from '../api/client'
import { useDocument, useEdit } from './scene'

/** Adds a cloth with usual values to the job. */
export function useAddCloth() {
  const jobDocument = useDocument()
  const editJob = useEdit()
  return (added: (id: string) => void = () => undefined) =>
    void (async () => {
      const { cloths, unit } = jobDocument
      const cloth = await answer(
        api.POST('/api/cloths', { body: { id: newId(), name: `Cloth ${cloths.length + 1}`, unit } }),
      )
      editJob('', ({ cloths }) => void cloths.push(cloth))
      added(cloth.id)
    })()
}
