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
