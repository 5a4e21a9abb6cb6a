import { unitWord, type Cloth, type ClothPlan, type Entry } from '../api/client'
import { EntryField } from './EntryField'
import { useUnit } from './scene'

/** What every group of a cloth's fields is given: the cloth, its plan, and how it is changed in one undo step. */
export interface ClothGroup {
  cloth: Cloth
  planned: ClothPlan | undefined
  edit: (change: Partial<Cloth>, step?: string) => void
}

interface Props {
  cloth: Cloth
  planned: ClothPlan | undefined
  /** The field's key within the cloth. */
  name: string
  label: string
  entry: Entry | null | undefined
  /** Left out for lengths, which are in the job's unit. */
  unit?: string
  write: (entry: Entry, step: string) => void
}

/** One field of a cloth. */
export function ClothEntry({ cloth, planned, name, label, entry, unit, write }: Props) {
  const jobUnit = useUnit()
  const field = `cloths.${cloth.id}.${name}`
  return (
    <EntryField
      name={field}
      label={label}
      unit={unit ?? unitWord(jobUnit)}
      state={{
        entry: entry ?? undefined,
        read: unit === undefined ? planned?.fields[field] : undefined,
        problem: planned?.problems.find((each) => each.field === field),
      }}
      write={(typed, step) => write({ typed, unit: jobUnit }, step)}
    />
  )
}
