/** The name of one more like it: with the next number that none has, within what a name may be long. */
export function nextName(name: string, taken: string[]): string {
  const [, stem = name, number = '1'] = /^(.*?)(?:\s+(\d{1,4}))?$/.exec(name) ?? []
  for (let next = Number(number) + 1; ; next++) {
    const end = ` ${next}`
    const found = `${stem.slice(0, 80 - end.length).trimEnd()}${end}`
    if (!taken.includes(found)) return found
  }
}
