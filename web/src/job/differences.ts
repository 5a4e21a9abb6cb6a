import type { JobDocument } from '../api/client'

export interface Difference {
  /** Keys from the document's root, joined by slashes; items and cloths go by their id. */
  path: string
  label: string
  mine: string
  theirs: string
}

type Node = string | number | boolean | null | undefined | { [key: string]: Node } | Node[]

const isEntry = (node: Node): node is { typed: string; unit: string } => typeof node === 'object' && node !== null && 'typed' in node
const isBranch = (node: Node): node is { [key: string]: Node } | Node[] => typeof node === 'object' && node !== null && !isEntry(node)

const text = (node: Node, key: 'id' | 'name') => {
  const value = isBranch(node) && !Array.isArray(node) ? node[key] : undefined
  return typeof value === 'string' ? value : undefined
}

// Lists of things with an id are compared by id, so that an insertion is one difference.
function children(node: Node): Record<string, Node> {
  if (Array.isArray(node)) return Object.fromEntries(node.map((child, at) => [text(child, 'id') ?? String(at), child]))
  return isBranch(node) ? node : {}
}

function tell(node: Node): string {
  if (node === undefined) return 'not there'
  if (isEntry(node)) return node.typed === '' ? 'empty' : `${node.typed} (${node.unit})`
  if (isBranch(node)) return text(node, 'name') ?? 'there'
  return node === null || node === '' ? 'empty' : String(node)
}

/** Every field in which the two documents differ. */
export function differences(mine: JobDocument, theirs: JobDocument): Difference[] {
  const found: Difference[] = []
  const walk = (a: Node, b: Node, path: string[], label: string[]) => {
    if (!isBranch(a) || !isBranch(b)) {
      if (JSON.stringify(a) !== JSON.stringify(b)) found.push({ path: path.join('/'), label: label.join(', '), mine: tell(a), theirs: tell(b) })
      return
    }
    const [inMine, inTheirs] = [children(a), children(b)]
    for (const key of new Set([...Object.keys(inMine), ...Object.keys(inTheirs)])) {
      const [x, y] = [inMine[key], inTheirs[key]]
      walk(x, y, [...path, key], [...label, text(x, 'name') ?? text(y, 'name') ?? key])
    }
  }
  walk(mine, theirs, [], [])
  return found
}

/** My document with the fields of `taken` as they are in theirs. */
export function merged(mine: JobDocument, theirs: JobDocument, taken: Difference[]): JobDocument {
  const result = structuredClone(mine)
  for (const { path } of taken) {
    const keys = path.split('/')
    const last = keys.pop() ?? ''
    const into = keys.reduce<Node>((node, key) => children(node)[key], result)
    const from = keys.reduce<Node>((node, key) => children(node)[key], theirs)
    const value = children(from)[last]
    if (Array.isArray(into)) {
      const at = into.findIndex((child) => text(child, 'id') === last)
      if (value === undefined) into.splice(at, 1)
      else if (at < 0) into.push(value)
      else into[at] = value
    } else if (isBranch(into)) {
      if (value === undefined) Reflect.deleteProperty(into, last)
      else into[last] = value
    }
  }
  return result
}
