import { Input } from 'antd'
import { useId } from 'react'
import type { CareMark, Cloth } from '../../api/client'
import { useClothEdit } from '../../job/useClothEdit'
import { CareSign } from './CareSigns'
import s from './hand-over.module.css'

const groups = { washing: 'Wash', bleaching: 'Bleach', drying: 'Dry', ironing: 'Iron', cleaning: 'Cleaner' } as const

/** What the ticket of a cloth says: its batch, and its care code, one mark of a group. */
export function ClothCare({ cloth, marks }: { cloth: Cloth; marks: CareMark[] }) {
  const id = useId()
  const edit = useClothEdit(cloth)
  const choose = (mark: CareMark) => {
    const others = cloth.care.filter((key) => marks.find((each) => each.key === key)?.group !== mark.group)
    edit({ care: cloth.care.includes(mark.key) ? others : [...others, mark.key] })
  }
  return (
    <fieldset className={s.cloth}>
      <legend>{cloth.name}</legend>
      <div className="entry">
        <label htmlFor={id}>Batch or dye lot, from its ticket</label>
        <Input
          id={id}
          value={cloth.batch}
          maxLength={200}
          onChange={(event) => edit({ batch: event.currentTarget.value }, `batch ${cloth.id}`)}
        />
      </div>
      {Object.entries(groups).map(([group, name]) => (
        <div key={group} className={s.marks} role="group" aria-label={`${name}, ${cloth.name}`}>
          <span>{name}</span>
          {marks
            .filter((mark) => mark.group === group)
            .map((mark) => (
              <button
                key={mark.key}
                type="button"
                title={mark.words}
                aria-pressed={cloth.care.includes(mark.key)}
                onClick={() => choose(mark)}
              >
                <CareSign mark={mark} />
              </button>
            ))}
        </div>
      ))}
      <p className="note">
        {marks
          .filter((mark) => cloth.care.includes(mark.key))
          .map((mark) => mark.words)
          .join('. ') || 'No care code yet: choose what its ticket shows.'}
      </p>
    </fieldset>
  )
}
