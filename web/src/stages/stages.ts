import type { Problem } from '../api/client'
import type { JobScene } from '../job/context'

export const stages = [
  { key: 'measure', name: 'Measure' },
  { key: 'make-up', name: 'Make-up' },
  { key: 'pieces', name: 'Pieces' },
  { key: 'lay', name: 'Lay' },
  { key: 'buy', name: 'Buy' },
] as const

export type StageKey = (typeof stages)[number]['key']

export type StageState = { is: 'empty' } | { is: 'done' } | { is: 'doubt'; count: number }

/** How far a stage has come: problems that are mended at it leave it in doubt; the server says which those are. */
export function stageState(key: StageKey, { job, plan }: JobScene): StageState {
  const { items } = job.document
  if (items.length === 0 || !plan) return { is: 'empty' }
  const drafts = plan.items.map((item) => item.draft)
  const verdict = (count: number, done: boolean): StageState =>
    count > 0 ? { is: 'doubt', count } : done ? { is: 'done' } : { is: 'empty' }
  const here = (problems: Problem[]) => problems.some((problem) => problem.stage === key)
  const count =
    drafts.filter((draft) => here(draft.problems)).length +
    plan.cloths.filter((cloth) => here(cloth.problems)).length +
    plan.problems.filter((problem) => problem.stage === key).length
  switch (key) {
    case 'measure':
    case 'make-up':
      return verdict(count, true)
    case 'pieces':
      return verdict(
        drafts.filter((draft) => draft.pattern && !draft.pattern.seamsHold).length,
        drafts.some((draft) => draft.pattern),
      )
    case 'lay':
      return verdict(
        count,
        plan.cloths.some((cloth) => cloth.lay),
      )
    case 'buy':
      return verdict(
        count,
        plan.cloths.some((cloth) => cloth.buying),
      )
  }
}
