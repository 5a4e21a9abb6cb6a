import type { MakeUp, SetOfItems } from '../api/client'

/** What can be covered: a kind with its schools, or a set of several items. */
export interface Kind {
  name: string
  /** The make-up that it is drawn as and, of a kind, begun with. */
  makeUp: MakeUp
  set?: SetOfItems
  /** All words that it is found by. */
  words: string
}

const kept = 'wrapper.kinds'
const most = 6

/** The kinds that were covered last here, the last first. */
export const lastKinds = (): string[] => {
  try {
    const read: unknown = JSON.parse(localStorage.getItem(kept) ?? '[]')
    return Array.isArray(read) ? read.filter((each) => typeof each === 'string') : []
  } catch {
    return []
  }
}

export const keepKind = (name: string) => {
  try {
    localStorage.setItem(kept, JSON.stringify([name, ...lastKinds().filter((each) => each !== name)].slice(0, most)))
  } catch {
    // Without storage the order stays as it is.
  }
}

/** Every kind and set: those covered last first, then those with many schools, which are asked for most. */
export function kindsOf(makeUps: MakeUp[], sets: SetOfItems[], last: string[]): Kind[] {
  const families = [...new Set(makeUps.map((makeUp) => makeUp.family))].map((name) => ({
    name,
    schools: makeUps.filter((makeUp) => makeUp.family === name),
  }))
  const kinds: Kind[] = families
    .sort((one, other) => other.schools.length - one.schools.length)
    .flatMap(({ name, schools: [first, ...more] }) =>
      first
        ? [
            {
              name,
              makeUp: first,
              words: [name, ...[first, ...more].map((each) => `${each.name} ${each.suits}`)].join(' '),
            },
          ]
        : [],
    )
  for (const set of sets) {
    const makeUp = makeUps.find((each) => each.key === set.firstMakeUp)
    if (makeUp) kinds.push({ name: set.name, makeUp, set, words: `${set.name} ${set.suits}` })
  }
  const rank = ({ name }: Kind) => (last.includes(name) ? last.indexOf(name) : last.length)
  return kinds
    .map((kind) => ({ kind, rank: rank(kind) }))
    .sort((a, b) => a.rank - b.rank)
    .map(({ kind }) => kind)
}

/** Those that all typed words begin a word of; those whose own name begins so come first. */
export function foundKinds(kinds: Kind[], sought: string): Kind[] {
  const words = sought.toLowerCase().split(/\s+/).filter(Boolean)
  const has = (text: string) => {
    const all = text.toLowerCase().split(/[^\p{L}\p{N}]+/u)
    return words.every((word) => all.some((each) => each.startsWith(word)))
  }
  return [...kinds.filter((kind) => has(kind.name)), ...kinds.filter((kind) => !has(kind.name) && has(kind.words))]
}
