import { useQuery } from '@tanstack/react-query'
import { Button } from 'antd'
import { useRef, useState } from 'react'
import { answer, api, type Cloth } from '../../api/client'
import { useDocument } from '../../job/scene'
import { identity } from '../../parts/identity'
import s from './lay.module.css'

/** Which one change would shorten the lay most, found by laying anew when it is asked. */
export function Shortenings({ cloth, proven }: { cloth: Cloth; proven: boolean }) {
  const jobDocument = useDocument()
  const [asked, setAsked] = useState<object>()
  const told = useRef<HTMLDivElement>(null)
  const wanted = asked === jobDocument
  const found = useQuery({
    queryKey: ['shortenings', identity(jobDocument), cloth.id],
    queryFn: ({ signal }) =>
      answer(api.POST('/api/shortenings', { body: { job: jobDocument, cloth: cloth.id }, signal })),
    enabled: wanted,
    retry: false,
    gcTime: 10_000,
  })
  // The button goes: what it leads to has the focus after it.
  const ask = () => {
    setAsked(jobDocument)
    told.current?.focus({ preventScroll: true })
  }
  return (
    <div className={s.shortenings} aria-live="polite" tabIndex={-1} ref={told}>
      {!wanted && <Button onClick={ask}>What one change would shorten it most?</Button>}
      {wanted && found.isFetching && <p>Changing one thing at a time and laying anew …</p>}
      {wanted && found.error && (
        <p className="problem" role="alert">
          {found.error.message} <Button onClick={() => void found.refetch()}>Try again</Button>
        </p>
      )}
      {wanted && !found.isFetching && found.data && (
        <>
          {found.data.changes.length > 0 ? (
            <>
              <p>
                Each by itself, found by laying anew
                {proven ? '' : '; a longer search may save some of it without a change'}:
              </p>
              <ol data-testid={`shortenings-${cloth.id}`}>
                {found.data.changes.map((change) => (
                  <li key={change.told}>
                    {change.told}: <b>{change.saves.text} less</b>, {change.length.text} in all
                  </li>
                ))}
              </ol>
              <p className="note">
                The grain is chosen on Make-up, sizes are on Measure, and the rest is under About the cloth.
              </p>
            </>
          ) : (
            found.data.looked === found.data.all && (
              <p>No one change of the cloth or of a piece, of {found.data.all} that were tried, shortens it.</p>
            )
          )}
          {found.data.looked < found.data.all && (
            <p>
              {found.data.looked} of {found.data.all} changes were tried so far.{' '}
              <Button onClick={() => void found.refetch()}>Look on</Button>
            </p>
          )}
        </>
      )}
    </div>
  )
}
