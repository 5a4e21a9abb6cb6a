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

/** The words of a text, and whether one of them begins so. */
const split = (text: string) =>
  text
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean)
const begins = (text: string, word: string) => split(text).some((each) => each.startsWith(word))

/**
 * Those that any typed word begins a word of: those with most of them first, and of these those whose own name begins so.
 */
export function foundKinds(kinds: Kind[], sought: string): Kind[] {
  const typed = split(sought)
  if (typed.length === 0) return kinds
  const hits = (text: string) => typed.filter((word) => begins(text, word)).length
  return kinds
    .map((kind) => ({ kind, all: hits(kind.words), own: hits(kind.name) }))
    .filter(({ all }) => all > 0)
    .sort((a, b) => b.all - a.all || b.own - a.own)
    .map(({ kind }) => kind)
}

/** What an item is called: as it was typed, where that says more than which kind it is. */
export const calledFor = (kind: Kind, sought: string) =>
  split(sought).every((word) => begins(kind.name, word)) ? kind.name : sought.trim()
