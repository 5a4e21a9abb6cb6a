import { useCallback, useSyncExternalStore } from 'react'

// The piece that was picked last, on whatever stage.
let last: { item: string; piece: string } | undefined
const watchers = new Set<() => void>()

const watch = (watcher: () => void) => {
  watchers.add(watcher)
  return () => void watchers.delete(watcher)
}

function pick(item: string, piece: string) {
  if (last?.item === item && last.piece === piece) return
  last = { item, piece }
  for (const watcher of watchers) watcher()
}

/** The piece of an item that was picked last, flat, sewn or in the lay; empty while it is one of another item. */
export function usePicked(item: string): [string, (piece: string) => void] {
  const piece = useSyncExternalStore(watch, () => (last?.item === item ? last.piece : ''))
  return [piece, useCallback((next: string) => pick(item, next), [item])]
}

/** Whether a laid piece, `item/piece/instance`, is of the kind that was picked last; and how one is picked. */
export const isPicked = (laid: string) => last !== undefined && laid.startsWith(`${last.item}/${last.piece}/`)

export function pickLaid(laid: string) {
  const [item, piece] = laid.split('/')
  if (item && piece) pick(item, piece)
}
