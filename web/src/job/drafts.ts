import { replaceEqualDeep } from '@tanstack/react-query'
import { answer, api, type Item, type JobDocument, type Plan } from '../api/client'

/** A draft, and what it was drafted from. */
interface Drafted {
  item: Item
  number: number
  cloths: JobDocument['cloths']
  unit: JobDocument['unit']
  planned: Plan['items'][number]
}

/** Asks for the drafts of these items, or of all; the part that a test replaces. */
export type Ask = (document: JobDocument, of: string[] | undefined, signal: AbortSignal) => Promise<Plan>

const ask: Ask = (document, of, signal) =>
  answer(
    api.POST('/api/plan', {
      params: { query: of ? { lay: 'none', of: of.join(',') } : { lay: 'none' } },
      body: document,
      signal,
    }),
  )

// Asked for by name no further than an address reaches; beyond that all are asked for.
const MostNamed = 60

// So many drafts are compared within a frame; whoever types goes in between.
const Portion = 5
const pause = () => new Promise((go) => setTimeout(go, 8))

/** Drafts of a document: only what has changed is asked for again, the rest stays the very same object. */
export class Drafts {
  private known = new Map<string, Drafted>()
  private told: Plan['items'] = []

  constructor(private readonly asking: Ask = ask) {}

  async of(document: JobDocument, signal: AbortSignal): Promise<Plan> {
    const { items: wanted, cloths, unit } = document
    // What is known now: another call may know more by the time that this one is answered.
    const before = this.known
    const fits = (item: Item, at: number) => {
      const known = before.get(item.id)
      return known?.item === item && known.number === at + 1 && known.cloths === cloths && known.unit === unit
    }
    const changed = wanted.filter((item, at) => !fits(item, at)).map((item) => item.id)
    const plan = await this.asking(document, changed.length > MostNamed ? undefined : changed, signal)
    // Parts of a draft that come back the same are the same objects: nobody who looks at them is drawn again.
    const fresh = new Map<string, Drafted['planned']>()
    for (const [at, planned] of plan.items.entries()) {
      if (at % Portion === 0 && plan.items.length > Portion) await pause()
      fresh.set(planned.id, replaceEqualDeep(before.get(planned.id)?.planned, planned))
    }
    const drafted = wanted.flatMap((item, at) => {
      const planned = fresh.get(item.id) ?? before.get(item.id)?.planned
      return planned ? [{ item, number: at + 1, cloths, unit, planned }] : []
    })
    if (!signal.aborted) this.known = new Map(drafted.map((each) => [each.item.id, each]))
    // The list too stays the same object while all in it do.
    const items = drafted.map(({ planned }) => planned)
    if (items.length !== this.told.length || items.some((each, n) => each !== this.told[n])) this.told = items
    return { ...plan, items: this.told }
  }
}
