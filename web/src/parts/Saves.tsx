import s from './saves.module.css'

interface Props {
  /** What is saved: "the cut list". */
  label: string
  /** The address without its ending. */
  base: string
  /** Endings of files, as they are called. */
  as: readonly string[]
  query?: Record<string, string>
}

/** Files of what is on screen, each a link. */
export function Saves({ label, base, as, query = {} }: Props) {
  const asked = new URLSearchParams(query).toString()
  return (
    <span role="group" aria-label={`Save ${label}`} className={s.saves}>
      <span>Save {label}</span>
      {as.map((format) => (
        <a key={format} download href={`${base}.${format}${asked === '' ? '' : `?${asked}`}`}>
          {format.toUpperCase()}
        </a>
      ))}
    </span>
  )
}
