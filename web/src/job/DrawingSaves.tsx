import { Input, Select } from 'antd'
import { useState } from 'react'
import { Saves } from '../parts/Saves'
import { useScene, useUnit } from './scene'

const papers = [
  { value: 'a4', label: 'on A4' },
  { value: 'letter', label: 'on Letter' },
  { value: 'a3', label: 'on A3' },
  { value: 'roll', label: 'on a roll' },
]
const kept = 'paper'

interface Props {
  label: string
  /** The drawing of the job, without its ending. */
  of: string
  query?: Record<string, string>
}

/** A drawing at true size, as a file for others, or to be printed on the paper that is there; the paper is remembered. */
export function DrawingSaves({ label, of, query }: Props) {
  const id = useScene((scene) => scene.id)
  const unit = useUnit()
  const [paper, setPaper] = useState(() => localStorage.getItem(kept) ?? 'a4')
  const [roll, setRoll] = useState('')
  const width = roll.trim() === '' ? (unit === 'cm' ? '91' : '36') : roll
  return (
    <>
      <Saves
        label={label}
        base={`/api/jobs/${id}/${of}`}
        as={['pdf', 'svg', 'dxf']}
        query={{ ...query, paper, ...(paper === 'roll' && { roll: width }) }}
      />
      <Select
        aria-label="Paper of the PDF"
        value={paper}
        options={papers}
        onChange={(chosen) => {
          setPaper(chosen)
          localStorage.setItem(kept, chosen)
        }}
      />
      {paper === 'roll' && (
        <Input
          aria-label="How wide the roll is"
          value={roll}
          placeholder={width}
          maxLength={40}
          suffix={unit === 'cm' ? 'cm' : 'in'}
          style={{ width: 110 }}
          onChange={(event) => setRoll(event.currentTarget.value)}
        />
      )}
    </>
  )
}
