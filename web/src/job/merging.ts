import type { JobDocument } from '../api/client'

type Node = string | number | boolean | null | undefined | { [key: string]: Node } | Node[]
type Branch = { [key: string]: Node }

/** A field that two people changed differently. Theirs stands until somebody decides for mine. */
export interface Question {
  /** Keys from the document's root; rows of a list go by what they are, never by their place. */
  path: string[]
  label: string
  mine: string
  theirs: string
  /** What my value was; not there where I took it off. */
  value?: unknown
}

const isBranch = (node: Node): node is Branch => typeof node === 'object' && node !== null && !Array.isArray(node)
const isEntry = (node: Node): node is { typed: string; unit: string } => isBranch(node) && 'typed' in node

/** Whether two documents, or parts of them, say the same, in whatever order. */
export function same(a: unknown, b: unknown): boolean {
  const [x, y] = [a as Node, b as Node]
  if (x === y) return true
  if (Array.isArray(x) && Array.isArray(y)) return x.length === y.length && x.every((each, at) => same(each, y[at]))
  if (isEntry(x) && isEntry(y)) return x.typed === y.typed && x.unit === y.unit
  if (!isBranch(x) || !isBranch(y)) return false
  return [...new Set([...Object.keys(x), ...Object.keys(y)])].every((key) => same(x[key], y[key]))
}

/** What a row of a list is known by: its id, the piece that it speaks of, or what it says. */
function identity(row: Node): string {
  if (!isBranch(row)) return JSON.stringify(row)
  const known = row['id'] || row['piece']
  return typeof known === 'string' ? known : JSON.stringify(row)
}

const rowsOf = (list: Node) => new Map(Array.isArray(list) ? list.map((row) => [identity(row), row]) : [])

function tell(node: Node): string {
  if (node === undefined) return 'not there'
  if (isEntry(node)) return node.typed === '' ? 'empty' : `${node.typed} (${node.unit})`
  if (Array.isArray(node)) return `${node.length} of them`
  if (isBranch(node)) return typeof node['name'] === 'string' && node['name'] ? node['name'] : 'there'
  return node === null || node === '' ? 'empty' : String(node)
}

/**
 * Both changes of one document: whatever only one side changed since `base` is as that side has it. What both changed, and differently, is as
 * theirs and stands in `asked`.
 */
export function merge(
  base: JobDocument,
  mine: JobDocument,
  theirs: JobDocument,
): { document: JobDocument; asked: Question[] } {
  const asked: Question[] = []
  const walk = (was: Node, my: Node, their: Node, path: string[], label: string[]): Node => {
    if (same(my, their) || same(was, my)) return their
    if (same(was, their)) return my
    if (Array.isArray(my) && Array.isArray(their)) {
      const [before, own, other] = [rowsOf(was), rowsOf(my), rowsOf(their)]
      return [...new Set([...other.keys(), ...own.keys()])]
        .map((key) =>
          walk(
            before.get(key),
            own.get(key),
            other.get(key),
            [...path, key],
            [...label, named(own.get(key) ?? other.get(key)) ?? key],
          ),
        )
        .filter((row) => row !== undefined)
    }
    if (isBranch(my) && isBranch(their) && !isEntry(my) && !isEntry(their)) {
      const before: Branch = isBranch(was) ? was : {}
      return Object.fromEntries(
        [...new Set([...Object.keys(their), ...Object.keys(my)])]
          .map((key) => [key, walk(before[key], my[key], their[key], [...path, key], [...label, key])] as const)
          .filter(([, value]) => value !== undefined),
      )
    }
    asked.push({
      path,
      label: label.filter((word) => !unspoken.has(word)).join(', ') || path.join(', '),
      mine: tell(my),
      theirs: tell(their),
      ...(my === undefined ? {} : { value: my }),
    })
    return their
  }
  const document = walk(base, mine, theirs, [], []) as unknown as JobDocument
  return { document, asked }
}

// Words of the document that tell a maker nothing.
const unspoken = new Set([
  'items',
  'cloths',
  'removed',
  'measures',
  'choices',
  'allowances',
  'making',
  'handOver',
  'covers',
  'fromShelves',
])

const named = (row: Node) =>
  isBranch(row) && typeof row['name'] === 'string' && row['name'] !== '' ? row['name'] : undefined

/** The document with my value for each of these questions; one whose place is gone meanwhile is passed over. */
export function decided(document: JobDocument, questions: Question[]): JobDocument {
  const result = structuredClone(document)
  for (const { path, value } of questions) {
    let into = result as unknown as Node
    for (const key of path.slice(0, -1))
      into = Array.isArray(into) ? rowsOf(into).get(key) : isBranch(into) ? into[key] : undefined
    const last = path.at(-1) ?? ''
    if (Array.isArray(into)) {
      const at = into.findIndex((row) => identity(row) === last)
      if (value === undefined) into.splice(at, at < 0 ? 0 : 1)
      else if (at < 0) into.push(value as Node)
      else into[at] = value as Node
    } else if (isBranch(into)) {
      if (value === undefined) Reflect.deleteProperty(into, last)
      else into[last] = value as Node
    }
  }
  return result
}
