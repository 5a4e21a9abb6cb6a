import { useCallback, useState } from 'react'
import { newId } from '../../api/client'
import { useEditItem, useSceneStore, useUnit } from '../../job/scene'
import { Pad } from './Pad'

/** The pad for one size of the item in hand. */
export function MeasurePad({ measure, next }: { measure: string; next: (measure: string) => void }) {
  const store = useSceneStore()
  const unit = useUnit()
  const editItem = useEditItem()
  const [step] = useState(newId)
  const change = useCallback(
    (how: (typed: string) => string) => {
      const { item } = store.get()
      if (item)
        editItem(step, item.id, ({ measures }, document) => {
          measures[measure] = { typed: how(measures[measure]?.typed ?? ''), unit: document.unit }
        })
    },
    [store, editItem, step, measure],
  )
  const onward = useCallback(() => next(measure), [next, measure])
  return <Pad unit={unit} change={change} next={onward} />
}
