const numbers = new WeakMap<object, number>()
let last = 0

/** A number for an object, the same as long as it is the same object: a short key for a long document. */
export function identity(value: object): number {
  const known = numbers.get(value)
  if (known !== undefined) return known
  numbers.set(value, ++last)
  return last
}
