import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { Button, Segmented } from 'antd'
import { useState } from 'react'
import { answer, api } from '../../api/client'
import { ClothOnTable } from './ClothOnTable'
import { useAddCloth } from '../../job/useAddCloth'
import { identity } from '../../parts/identity'
import { useDocument, useScene } from '../../job/scene'
import s from './lay.module.css'

/** Every cloth of the job with its lay, seen from the right or from the wrong side. */
export default function Lay() {
  const jobCloths = useScene((scene) => scene.job.document.cloths)
  const jobDocument = useDocument()
  const plan = useScene((scene) => scene.plan)
  const addCloth = useAddCloth()
  const [side, setSide] = useState<'right' | 'wrong'>('right')
  // The same lays as they look when the cloth lies wrong side up.
  const over = useQuery({
    queryKey: ['lays', identity(jobDocument), 'wrong'],
    queryFn: ({ signal }) =>
      answer(
        api.POST('/api/plan', { params: { query: { lay: 'instant', side: 'wrong' } }, body: jobDocument, signal }),
      ),
    enabled: side === 'wrong',
    placeholderData: keepPreviousData,
    gcTime: 10_000,
  })
  const turned = side === 'wrong' && over.data !== undefined
  return (
    <>
      <div className={s.layTools}>
        <Segmented
          tabIndex={-1}
          aria-label="Which side is up"
          name="side"
          value={side}
          options={[
            { value: 'right', label: 'right side up' },
            { value: 'wrong', label: 'wrong side up' },
          ]}
          onChange={setSide}
        />
        <Button onClick={() => window.print()}>Print lays and marks</Button>
        {jobCloths.length > 1 && (
          <nav aria-label="Cloths" className={s.bolts}>
            {jobCloths.map((cloth) => (
              <Button
                key={cloth.id}
                onClick={() => document.getElementById(`cloth-${cloth.id}`)?.scrollIntoView({ block: 'start' })}
              >
                <span className={s.bolt} style={{ background: cloth.tone }} aria-hidden /> {cloth.name}{' '}
                {plan?.cloths.find((each) => each.id === cloth.id)?.lay?.length.text}
              </Button>
            ))}
          </nav>
        )}
      </div>
      {jobCloths.map((cloth) => (
        <ClothOnTable key={cloth.id} cloth={cloth} plan={turned ? over.data : plan} side={turned ? 'wrong' : 'right'} />
      ))}
      <Button onClick={addCloth}>Add a cloth</Button>
    </>
  )
}
