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

const startsWith: Record<'measure' | 'make-up', string[]> = { measure: ['measures.', 'quantity'], 'make-up': ['choices.', 'allowances.', 'makeUp'] }

const ofBuying = (problem: Problem) => /\.(step|margin|price)$/.test(problem.field)

/** How far a stage has come: problems of its own fields leave it in doubt. */
export function stageState(key: StageKey, { job, plan }: JobScene): StageState {
  const { items } = job.document
  if (items.length === 0 || !plan) return { is: 'empty' }
  const drafts = plan.items.map((item) => item.draft)
  const verdict = (count: number, done: boolean): StageState => (count > 0 ? { is: 'doubt', count } : done ? { is: 'done' } : { is: 'empty' })
  switch (key) {
    case 'measure':
    case 'make-up':
      return verdict(drafts.filter((draft) => draft.problems.some((problem) => startsWith[key].some((start) => problem.field.startsWith(start)))).length, true)
    case 'pieces':
      return verdict(drafts.filter((draft) => draft.pattern && !draft.pattern.seamsHold).length, drafts.some((draft) => draft.pattern))
    case 'lay':
      return verdict(plan.cloths.filter((cloth) => cloth.problems.some((problem) => !ofBuying(problem))).length, plan.cloths.some((cloth) => cloth.lay))
    case 'buy':
      return verdict(plan.problems.length + plan.cloths.filter((cloth) => cloth.problems.some(ofBuying)).length, plan.cloths.some((cloth) => cloth.buying))
  }
}
