import type { Cloth, Plan } from '../../api/client'
import type { ClothLook } from '../../parts/ClothPattern'

type At = NonNullable<Plan['totals']>['shopping'][number]['at']

/** One line of the shopping list. */
export interface Line {
  at: At
  key: string
  name: string
  note: string
  amount: string
  use: string
  cost: string
  /** By what it is taken from the shelves; empty for cloth. */
  thing: string
  /** All of it, as it would be taken from a shelf. */
  whole: string
  /** What is bought beside what is taken from the shelves; null where nothing is. */
  stillToBuy: string | null
  cloth?: { tone: string; look: ClothLook | undefined }
}

/** Where things are bought, in the order of the list. */
export const counters: Record<At, string> = {
  cloth: 'Where cloth is cut',
  haberdashery: 'Haberdashery',
  fillings: 'Foam and fillings',
}

/** All that is bought, each cloth with its look and what it costs. */
export function listed(plan: Plan, cloths: Cloth[]): Line[] {
  return (plan.totals?.shopping ?? []).map((line) => {
    const cloth = cloths.find((each) => each.name === line.name)
    const planned = plan.cloths.find((each) => each.id === cloth?.id)
    return {
      at: line.at,
      key: `${line.name}/${line.note}/${line.amount}`,
      name: line.name,
      note: line.note,
      amount: line.amount,
      use: line.for.join(', '),
      cost: planned?.buying?.cost ?? '',
      thing: line.key,
      whole: line.whole,
      stillToBuy: line.stillToBuy ?? null,
      ...(cloth && { cloth: { tone: cloth.tone, look: planned?.look } }),
    }
  })
}

/** The lines by where they are bought; where nothing is bought is left out. */
export const byCounter = (lines: Line[]): [string, Line[]][] =>
  Object.entries(counters).flatMap(([at, name]) => {
    const there = lines.filter((line) => line.at === at)
    return there.length > 0 ? [[name, there] as [string, Line[]]] : []
  })

const asked = ({ amount, stillToBuy }: Line) =>
  stillToBuy === null ? amount : `${stillToBuy} (the rest is there; in all ${amount})`

/** The list as plain text, the job at its head, where things are bought, a line each; what is all there is left out. */
export const asText = (job: string, lines: Line[]) =>
  [
    job,
    ...byCounter(lines.filter(({ stillToBuy }) => stillToBuy !== 'nothing')).flatMap(([name, there]) => [
      '',
      `${name}:`,
      ...there.map((line) => `- ${asked(line)} ${line.name}${line.note === '' ? '' : ` (${line.note})`}`),
    ]),
  ].join('\n')
