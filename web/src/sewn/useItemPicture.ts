import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import { api, type Cloth, type Item, type JobDocument } from '../api/client'
import { useScene, useSceneStore } from '../job/scene'
import { inTurn } from '../parts/picture'
import { useSettled } from '../parts/useSettled'

// Nobody looks at a picture while typing; in milliseconds.
const rest = 600

// All of a cloth that shows on a picture.
const look = ({ id, tone, repeatAlong, repeatAcross, halfDrop, print, motifAcross, motifAlong }: Cloth) => [
  id,
  tone,
  repeatAlong,
  repeatAcross,
  halfDrop,
  print,
  motifAcross,
  motifAlong,
]

/** All that shows on the picture of an item, as one text. */
export const shownOf = ({ measures, choices, allowances, cloth, otherCloths, makeUp }: Item, cloths: Cloth[]) =>
  JSON.stringify([makeUp, measures, choices, allowances, cloth, otherCloths, cloths.map(look)])

/** The job with as little beside one item as its picture needs: cloths may be made of other items. */
export const only = (item: Item, document: JobDocument): JobDocument => ({
  ...document,
  removed: [],
  items: document.cloths.some((cloth) => cloth.madeBy) ? document.items : [item],
})

/**
 * A small picture of an item of the job as it will be sewn, or as it would be in another make-up: the address of an image, none
 * while it cannot be drawn. For measuring it is drawn as the sketch is, and no larger than the cover.
 */
export function useItemPicture(id: string, makeUp?: string, measuring = false): string | undefined {
  const store = useSceneStore()
  const item = useSettled(
    useScene(({ job }) => job.document.items.find((each) => each.id === id)),
    rest,
  )
  const cloths = useScene(({ job }) => job.document.cloths)
  const shown = useMemo(() => item && shownOf(item, cloths), [item, cloths])
  return (
    useQuery({
      queryKey: ['picture', id, makeUp ?? '', measuring, shown],
      queryFn: ({ signal }) =>
        item
          ? inTurn(
              async () =>
                (
                  await api.POST('/api/pictures', {
                    body: { job: only(item, store.get().job.document), item: id, makeUp: makeUp ?? null, measuring },
                    parseAs: 'stream',
                    signal,
                  })
                ).response,
              signal,
            )
          : null,
      enabled: item !== undefined,
      placeholderData: keepPreviousData,
      staleTime: Infinity,
      gcTime: 60_000,
      retry: false,
    }).data ?? undefined
  )
}
