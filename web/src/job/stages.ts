export const stages = [
  { key: 'measure', name: 'Measure' },
  { key: 'make-up', name: 'Make-up' },
  { key: 'pieces', name: 'Pieces' },
  { key: 'lay', name: 'Lay' },
  { key: 'buy', name: 'Buy' },
  { key: 'make', name: 'Make' },
  { key: 'hand-over', name: 'Hand over' },
] as const

export type StageKey = (typeof stages)[number]['key']

/** What a job has beside its stages. */
export const beside = { key: 'price', name: 'Price and papers' } as const

/** Everything that a job can be open at. */
export type ViewKey = StageKey | typeof beside.key
