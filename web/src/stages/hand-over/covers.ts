import type { JobDocument } from '../../api/client'

type Cover = JobDocument['handOver']['covers'][number]

/** What was said of an item, as far as anything was. */
export const coverOf = (document: JobDocument, item: string): Cover =>
  document.handOver.covers.find((each) => each.id === item) ?? {
    id: item,
    cleaning: '',
    fillings: 'unsaid',
    filling: '',
    interliner: 'unsaid',
    flammability: '',
    fixed: 'unsaid',
    opens: '',
    notes: '',
    given: null,
  }

/** Writes into what is said of an item, which is there from then on. */
export function say(document: JobDocument, item: string, change: (cover: Cover) => void) {
  const { covers } = document.handOver
  let cover = covers.find((each) => each.id === item)
  if (!cover) {
    covers.push(coverOf(document, item))
    cover = covers[covers.length - 1]
  }
  if (cover) change(cover)
}
