import { createContext, use } from 'react'
import type { Draft, Entry, Item, JobDocument, LengthView, MakeUp, Problem, Role } from '../api/client'
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

interface Asked {
  shownWhen?: { choice: string; answers: string[] } | null
}

/** Whether a measure or choice is asked: its condition looks at another choice, which must be asked itself. */
export function isShown({ shownWhen }: Asked, makeUp: MakeUp, item: Item): boolean {
  if (!shownWhen) return true
  const choice = makeUp.choices.find((each) => each.key === shownWhen.choice)
  return (
    choice !== undefined &&
    isShown(choice, makeUp, item) &&
    shownWhen.answers.includes(item.choices[shownWhen.choice]?.typed ?? choice.default)
  )
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

/** What lies under the cover: cut only from a cloth that is named for it, else bought by its size. */
export const isFilling = (role: Role) => role === 'wadding' || role === 'pad layer' || role === 'moisture barrier'

/** The id of the cloth that pieces of a role are cut from: the role's own, else the item's, else the first of the job; none for fillings without one. */
export function clothOf(item: Item, role: Role, document: JobDocument): string | undefined {
  const own = item.otherCloths[role]
  if (own || isFilling(role)) return own
  return role === 'lining' ? clothOf(item, 'second face', document) : (item.cloth ?? document.cloths[0]?.id)
}

export function changeItem<D extends { items: Item[] }>(document: D, id: string, change: (item: Item) => Item): D {
  return { ...document, items: document.items.map((item) => (item.id === id ? change(item) : item)) }
}
