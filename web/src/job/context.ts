import { createContext, use } from 'react'
import type { Draft, Entry, Item, LengthView, MakeUp, Problem } from '../api/client'
import type { OpenJob } from './useJob'
import type { JobPlan } from './usePlan'

export interface JobScene extends JobPlan {
  id: string
  job: OpenJob
  makeUps: MakeUp[]
  /** The item in hand. */
  item: Item | undefined
  take: (item: string) => void
  go: (stage: string) => void
  add: () => void
  /** Shows what is still to be decided. */
  ask: () => void
}

export const JobContext = createContext<JobScene | undefined>(undefined)

/** The open job, its plan and the item in hand. */
export function useScene(): JobScene {
  const scene = use(JobContext)
  if (!scene) throw new Error('no job is open here')
  return scene
}

/** The draft of the item in hand, as far as the plan has it. */
export function useDraft(): Draft | undefined {
  const { plan, item } = useScene()
  return plan?.items.find((planned) => planned.id === item?.id)?.draft
}

/** Whether a field of the item in hand is asked, as things stand. */
export function useAsked(): (map: EntryMap, key: string) => boolean {
  const draft = useDraft()
  return (map, key) => draft?.asked.includes(`${map}.${key}`) ?? false
}

/** How a field was read and what is wrong with it. */
export interface FieldState {
  entry: Entry | undefined
  read: LengthView | undefined
  problem: Problem | undefined
}

type EntryMap = 'measures' | 'choices' | 'allowances'

/** One field of the item in hand, with the change that writes it. */
export function useItemField(map: EntryMap, key: string) {
  const { job, item } = useScene()
  const draft = useDraft()
  const field = `${map}.${key}`
  const state: FieldState = {
    entry: item?.[map][key],
    read: draft?.fields[field],
    problem: draft?.problems.find((problem) => problem.field === field),
  }
  const write = (typed: string, step: string) => {
    if (item)
      job.edit(step, (document) =>
        changeItem(document, item.id, (old) => ({
          ...old,
          [map]: { ...old[map], [key]: { typed, unit: document.unit } },
        })),
      )
  }
  return { field, state, write }
}

export function changeItem<D extends { items: Item[] }>(document: D, id: string, change: (item: Item) => Item): D {
  return { ...document, items: document.items.map((item) => (item.id === id ? change(item) : item)) }
}
