import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { Button, Segmented } from 'antd'
import { memo, useCallback, useState } from 'react'
import { useLocation, useNavigate } from 'react-router'
import { answer, api } from '../../api/client'
import { DrawingSaves } from '../../job/DrawingSaves'
import { PrintSheet } from '../../job/PrintSheet'
import { useDocument, useScene } from '../../job/scene'
import { AddCloth } from '../../job/AddCloth'
import { usePaper } from '../../job/usePaper'
import { identity } from '../../parts/identity'
import type { ClothLook } from '../../parts/ClothPattern'
import { Saves } from '../../parts/Saves'
import { Swatch } from '../../parts/Swatch'
import { ClothOnTable, type Mode } from './ClothOnTable'
import { ToPlotter } from './ToPlotter'
import s from './lay.module.css'

/** The cloths of the job, one at a time, each as it lies: picked by its bolt, seen from the right or from the wrong side. */
export default function Lay() {
  const jobCloths = useScene((scene) => scene.job.document.cloths)
  const jobDocument = useDocument()
  const id = useScene((scene) => scene.id)
  const paper = usePaper()
  const plan = useScene((scene) => scene.plan)
  const { hash } = useLocation()
  const go = useNavigate()
  const [side, setSide] = useState<'right' | 'wrong'>('right')
  const [mode, setMode] = useState<Mode>('lay')
  const [about, setAbout] = useState(false)
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
  const show = useCallback((id: string) => void go(`#cloth-${id}`, { replace: true }), [go])
  const planOf = (id: string) => plan?.cloths.find((each) => each.id === id)
  return (
    <>
      <nav aria-label="Cloths" className={s.bolts}>
        {jobCloths.map((cloth) => (
          <Bolt
            key={cloth.id}
            id={cloth.id}
            name={cloth.name}
            tone={cloth.tone}
            look={planOf(cloth.id)?.look}
            length={planOf(cloth.id)?.lay?.length.text}
            shown={cloth.id === shown?.id}
            show={show}
          />
        ))}
        <AddCloth added={show} />
      </nav>
      <Tools mode={mode} setMode={setMode} about={about} setAbout={setAbout} side={side} setSide={setSide} />
      {shown && (
        <ClothOnTable
          key={shown.id}
          cloth={shown}
          plan={turned ? over.data : plan}
          side={turned ? 'wrong' : 'right'}
          mode={mode}
          about={about}
        />
      )}
      {shown && (
        <p className={s.saves}>
          <PrintSheet sheet="lay-plan" query={{ cloth: shown.id }}>
            Print the lay plan
          </PrintSheet>
          <DrawingSaves label="the lay" of={`cloths/${shown.id}/lay`} paper={paper} />
          <Saves label="it for a plotter" base={`/api/jobs/${id}/cloths/${shown.id}/plot`} as={['plt', 'nc']} />
          <ToPlotter key={shown.id} cloth={shown.id} />
        </p>
      )}
    </>
  )
}

interface BoltProps {
  id: string
  name: string
  tone: string
  look: ClothLook | undefined
  length: string | undefined
  shown: boolean
  show: (id: string) => void
}

// Drawn again only when something of it is otherwise: keys go to the cloth.
const Bolt = memo(function Bolt({ id, name, tone, look, length, shown, show }: BoltProps) {
  return (
    <Button className={s.bolt ?? ''} aria-pressed={shown} onClick={() => show(id)}>
      <Swatch tone={tone} look={look} />
      <span>{name}</span> {length}
    </Button>
  )
})

interface ToolsProps {
  mode: Mode
  setMode: (mode: Mode) => void
  about: boolean
  setAbout: (about: boolean) => void
  side: 'right' | 'wrong'
  setSide: (side: 'right' | 'wrong') => void
}

const Tools = memo(function Tools({ mode, setMode, about, setAbout, side, setSide }: ToolsProps) {
  return (
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
      <PrintSheet sheet="cutting-sheet">Print the cutting sheet</PrintSheet>
    </div>
  )
})
