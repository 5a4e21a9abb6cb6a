import { Input, Select } from 'antd'
import { unitWord } from '../api/client'
import { Saves } from '../parts/Saves'
import { useScene, useUnit } from './scene'
import type { Paper } from './usePaper'

const papers = [
  { value: 'a4', label: 'on A4' },
  { value: 'letter', label: 'on Letter' },
  { value: 'a3', label: 'on A3' },
  { value: 'roll', label: 'on a roll' },
]

interface Props {
  label: string
  /** The drawing of the job, without its ending. */
  of: string
  paper: Paper
}

/** A drawing at true size, as a file for others, or to be printed on the paper that is there. */
export function DrawingSaves({ label, of, paper }: Props) {
  const id = useScene((scene) => scene.id)
  const unit = useUnit()
  return (
    <>
      <Saves label={label} base={`/api/jobs/${id}/${of}`} as={['pdf', 'svg', 'dxf']} query={paper.query} />
      <Select aria-label="Paper of the PDF" value={paper.is} options={papers} onChange={paper.choose} />
      {paper.is === 'roll' && (
        <Input
          aria-label="How wide the roll is"
          value={paper.roll}
          placeholder={paper.usual}
          maxLength={40}
          suffix={unitWord(unit)}
          style={{ width: 110 }}
          onChange={(event) => paper.setRoll(event.currentTarget.value)}
        />
      )}
    </>
  )
}
