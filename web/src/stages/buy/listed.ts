import type { Cloth, Plan } from '../../api/client'

/** One line of the shopping list. */
export interface Line {
  key: string
  name: string
  note: string
  amount: string
  use: string
  cost: string
  tone?: string
}

/** All that is bought, each cloth with its tone and what it costs. */
export function listed(plan: Plan, cloths: Cloth[]): Line[] {
  return (plan.totals?.shopping ?? []).map((line) => {
    const cloth = cloths.find((each) => each.name === line.name)
    const buying = plan.cloths.find((each) => each.id === cloth?.id)?.buying
    return {
      key: `${line.name}/${line.note}/${line.amount}`,
      name: line.name,
      note: line.note,
      amount: line.amount,
      use: line.for.join(', '),
      cost: buying?.cost ?? '',
      ...(cloth && { tone: cloth.tone }),
    }
  })
}

/** The list as plain text, a line each, the job at its head. */
export const asText = (job: string, lines: Line[]) =>
  [job, ...lines.map(({ name, note, amount }) => `- ${amount} ${name}${note === '' ? '' : ` (${note})`}`)].join('\n')
