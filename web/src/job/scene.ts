import { createContext, use, useCallback, useSyncExternalStore } from 'react'
import type { Draft, Item, JobDocument, MakeUp } from '../api/client'
import type { OpenJob } from './useJob'
import type { JobPlan } from './usePlan'

/** The open job, its plan and the item in hand. */
export interface JobScene extends JobPlan {
  id: string
  job: OpenJob
  makeUps: MakeUp[]
  /** The item in hand. */
  item: Item | undefined
  takeInHand: (item: string) => void
  go: (stage: string) => void
  add: () => void
  /** Shows what is still to be decided. */
  ask: () => void
}

/** Holds the scene for those who look at a part of it: whoever looks at a part that stays the same is not drawn again. */
export class SceneStore {
  private readonly watchers = new Set<() => void>()

  constructor(private scene: JobScene) {}

  readonly get = () => this.scene

  readonly watch = (watcher: () => void) => {
    this.watchers.add(watcher)
    return () => void this.watchers.delete(watcher)
  }

  set(scene: JobScene) {
    if (scene === this.scene) return
    this.scene = scene
    for (const watcher of this.watchers) watcher()
  }
}

export const JobContext = createContext<SceneStore | undefined>(undefined)

export function useSceneStore(): SceneStore {
  const store = use(JobContext)
  if (!store) throw new Error('no job is open here')
  return store
}

/** A part of the scene; `part` must give the same object while nothing in it has changed. */
export function useScene<T>(part: (scene: JobScene) => T): T {
  const store = useSceneStore()
  return useSyncExternalStore(store.watch, () => part(store.get()))
}

/** The draft of the item in hand, as far as the plan has it. */
export const draftInHand = ({ plan, item }: JobScene): Draft | undefined =>
  plan?.items.find((planned) => planned.id === item?.id)?.draft

export const useDraft = () => useScene(draftInHand)
export const useDocument = () => useScene((scene) => scene.job.document)
export const useUnit = () => useScene((scene) => scene.job.document.unit)

/** Changes the document; edits of one non-empty step are undone together. */
export const useEdit = () => useScene((scene) => scene.job.edit)

/** Changes one item; nothing happens where it was taken off meanwhile. */
export function useEditItem() {
  const edit = useEdit()
  return useCallback(
    (step: string, id: string, change: (item: Item, document: JobDocument) => void) =>
      edit(step, (document) => {
        const item = document.items.find((each) => each.id === id)
        if (item) change(item, document)
      }),
    [edit],
  )
}

/** Whether a field of the item in hand is asked, as things stand. */
export function useAsked(): (map: EntryMap, key: string) => boolean {
  const asked = useScene((scene) => draftInHand(scene)?.asked)
  return (map, key) => asked?.includes(`${map}.${key}`) ?? false
}

export type EntryMap = 'measures' | 'choices' | 'allowances'
