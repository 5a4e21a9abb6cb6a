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

/** All that is bought: the cloths as the shop sells them, then what is bought beside them. */
export function listed(plan: Plan, cloths: Cloth[]): Line[] {
  const bought = cloths.flatMap(({ id, name, tone }) => {
    const buying = plan.cloths.find((each) => each.id === id)?.buying
    if (!buying) return []
    const amount = buying.articles === null ? buying.bought.text : `${buying.articles} ready-made`
    return [
      {
        key: id,
        name,
        note: buying.articles === null ? buying.boughtOtherwise : '',
        amount,
        use: `${buying.needed.text} needed`,
        cost: buying.cost ?? '',
        tone,
      },
    ]
  })
  const beside = (plan.totals?.shopping ?? []).map((line) => ({
    key: `${line.name}/${line.note}/${line.amount}`,
    name: line.name,
    note: line.note,
    amount: line.amount,
    use: line.for.join(', '),
    cost: '',
  }))
  return [...bought, ...beside]
}

/** The list as plain text, a line each, the job at its head. */
export const asText = (job: string, lines: Line[]) =>
  [job, ...lines.map(({ name, note, amount }) => `- ${amount} ${name}${note === '' ? '' : ` (${note})`}`)].join('\n')
