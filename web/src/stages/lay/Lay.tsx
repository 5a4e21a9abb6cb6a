import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { Button, Segmented } from 'antd'
import { useState } from 'react'
import { useLocation, useNavigate } from 'react-router'
import { answer, api } from '../../api/client'
import { useDocument, useScene } from '../../job/scene'
import { useAddCloth } from '../../job/useAddCloth'
import { identity } from '../../parts/identity'
import { Swatch } from '../../parts/Swatch'
import { usePrinting } from '../../parts/usePrinting'
import { ClothOnTable, type Mode } from './ClothOnTable'
import s from './lay.module.css'

/** The cloths of the job, one at a time, each as it lies: picked by its bolt, seen from the right or from the wrong side. */
export default function Lay() {
  const jobCloths = useScene((scene) => scene.job.document.cloths)
  const jobDocument = useDocument()
  const plan = useScene((scene) => scene.plan)
  const addCloth = useAddCloth()
  const { hash } = useLocation()
  const go = useNavigate()
  const [side, setSide] = useState<'right' | 'wrong'>('right')
  const [mode, setMode] = useState<Mode>('lay')
  const [about, setAbout] = useState(false)
  const printing = usePrinting()
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
  const shown = jobCloths.find((cloth) => hash === `#cloth-${cloth.id}`) ?? jobCloths[0]
  const show = (id: string) => void go(`#cloth-${id}`, { replace: true })
  const planOf = (id: string) => plan?.cloths.find((each) => each.id === id)
  return (
    <>
      <nav aria-label="Cloths" className={s.bolts}>
        {jobCloths.map((cloth) => (
          <Button
            key={cloth.id}
            className={s.bolt ?? ''}
            aria-pressed={cloth.id === shown?.id}
            onClick={() => show(cloth.id)}
          >
            <Swatch tone={cloth.tone} look={planOf(cloth.id)?.look} />
            <span>{cloth.name}</span> {planOf(cloth.id)?.lay?.length.text}
          </Button>
        ))}
        <Button onClick={() => addCloth(show)}>Add a cloth</Button>
      </nav>
      <div className={s.layTools}>
        <Segmented
          tabIndex={-1}
          aria-label="Shown"
          name="mode"
          value={mode}
          options={[
            { value: 'lay', label: 'The lay' },
            { value: 'list', label: 'Cutting list' },
            { value: 'table', label: 'At the table' },
          ]}
          onChange={setMode}
        />
        <Button aria-expanded={about} onClick={() => setAbout(!about)}>
          About the cloth
        </Button>
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
        <Button onClick={() => window.print()}>Print the cutting sheet</Button>
      </div>
      {(printing ? jobCloths : shown ? [shown] : []).map((cloth) => (
        <ClothOnTable
          key={cloth.id}
          cloth={cloth}
          plan={turned ? over.data : plan}
          side={turned ? 'wrong' : 'right'}
          mode={mode}
          about={about && !printing}
          printing={printing}
        />
      ))}
    </>
  )
}
