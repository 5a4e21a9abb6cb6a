import { ClothEntry, type ClothGroup } from '../../job/ClothEntry'
import { Flaws } from './Flaws'
import s from './lay.module.css'

const measured = {
  measuredWidth: 'Width on the table',
  measuredLength: 'Length on the table',
  squaring: 'Squaring took',
} as const

/** The cloth as it turns out on the table: laid anew to its true width, round its flaws, and told where it is too short. */
export function AtTable({ cloth, planned, edit }: ClothGroup) {
  return (
    <section className={s.atTable} aria-label="At the table">
      <p className="note">Measured as it lies, washed if it is to be, selvedges included.</p>
      <div className="cloth-fields">
        {(['measuredWidth', 'measuredLength', 'squaring'] as const).map((key) => (
          <ClothEntry
            key={key}
            cloth={cloth}
            planned={planned}
            name={key}
            label={measured[key]}
            entry={cloth[key]}
            write={(entry, step) => edit({ [key]: entry }, step)}
          />
        ))}
      </div>
      <Flaws cloth={cloth} planned={planned} edit={edit} />
    </section>
  )
}
