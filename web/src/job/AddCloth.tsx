import { Button } from 'antd'
import { memo, useState } from 'react'
import { answer, api, newId } from '../api/client'
import { told } from '../parts/told'
import { useSceneStore } from './scene'

/** Adds a cloth with usual values to the job, and tells which; why it could not stands beside the button. */
export const AddCloth = memo(function AddCloth({ added }: { added?: (id: string) => void }) {
  const store = useSceneStore()
  const [problem, setProblem] = useState('')
  const add = async () => {
    const { document, edit } = store.get().job
    const name = `Cloth ${document.cloths.length + 1}`
    try {
      const cloth = await answer(api.POST('/api/cloths', { body: { id: newId(), name, unit: document.unit } }))
      edit('', ({ cloths }) => void cloths.push(cloth))
      setProblem('')
      added?.(cloth.id)
    } catch (error) {
      setProblem(told(error))
    }
  }
  return (
    <>
      <Button onClick={() => void add()}>Add a cloth</Button>
      {problem && (
        // It may stand at the end of a row that is longer than the screen.
        <span
          className="problem"
          role="alert"
          ref={(words) => words?.scrollIntoView({ block: 'nearest', inline: 'nearest' })}
        >
          {problem}
        </span>
      )}
    </>
  )
})
