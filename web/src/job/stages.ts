export const stages = [
  { key: 'measure', name: 'Measure' },
  { key: 'make-up', name: 'Make-up' },
  { key: 'pieces', name: 'Pieces' },
  { key: 'lay', name: 'Lay' },
  { key: 'buy', name: 'Buy' },
] as const

export type StageKey = (typeof stages)[number]['key']
