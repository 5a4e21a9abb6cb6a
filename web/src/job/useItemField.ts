import type { Entry, LengthView, Problem } from '../api/client'
import { draftInHand, useEditItem, useScene, useSceneStore, type EntryMap } from './scene'

/** How a field was read and what is wrong with it. */
export interface FieldState {
  entry: Entry | undefined
  read: LengthView | undefined
  problem: Problem | undefined
}

/** One field of the item in hand, with the change that writes it; drawn again only when that field changes. */
export function useItemField(map: EntryMap, key: string) {
  const store = useSceneStore()
  const edit = useEditItem()
  const field = `${map}.${key}`
  const state: FieldState = {
    entry: useScene((scene) => scene.item?.[map][key]),
    read: useScene((scene) => draftInHand(scene)?.fields[field]),
    problem: useScene((scene) => draftInHand(scene)?.problems.find((problem) => problem.field === field)),
  }
  const write = (typed: string, step: string) => {
    const id = store.get().item?.id
    if (id !== undefined)
      edit(step, id, (item, { unit }) => {
        item[map][key] = { typed, unit }
      })
  }
  return { field, state, write }
}
