import { Button, Segmented } from 'antd'
import { unitWord, type Cloth, type ClothPlan, type Entry, type Flaw } from '../api/client'
import { EntryField } from '../job/EntryField'
import { useScene } from '../job/context'

interface Props {
  cloth: Cloth
  planned: ClothPlan | undefined
  edit: (change: Partial<Cloth>, step?: string) => void
}

const lengths = { gap: 'Left between pieces', repeatAlong: 'Repeat, along', repeatAcross: 'Repeat, across' } as const
const places = { fromEnd: 'from the squared end', fromSelvedge: 'from the selvedge', along: 'along', across: 'across' } as const

/** What the cloth asks of the lay: a gap between pieces, a repeat to match, flaws to lay round. */
export function Demands({ cloth, planned, edit }: Props) {
  const { job } = useScene()
  const unit = unitWord(job.document.unit)
  const state = (name: string, entry: Entry | null) => ({
    entry: entry ?? undefined,
    read: planned?.fields[`cloths.${cloth.id}.${name}`],
    problem: planned?.problems.find((each) => each.field === `cloths.${cloth.id}.${name}`),
  })
  const typed = (text: string): Entry => ({ typed: text, unit: job.document.unit })
  const change = (at: number, flaw: Flaw, step?: string) => edit({ flaws: cloth.flaws.map((each, n) => (n === at ? flaw : each)) }, step)
  const asked = cloth.flaws.length > 0 || cloth.gap !== null || cloth.repeatAlong !== null
  return (
    <details className="demands" open={asked || undefined}>
      <summary>Repeat, gap and flaws</summary>
      <div className="cloth-fields">
        {(['gap', 'repeatAlong', 'repeatAcross'] as const).map((key) => (
          <EntryField key={key} name={`cloths.${cloth.id}.${key}`} label={lengths[key]} unit={unit} state={state(key, cloth[key])} write={(text, step) => edit({ [key]: typed(text) }, step)} />
        ))}
        <Segmented
          tabIndex={-1}
          aria-label="Match"
          name={`match-${cloth.id}`}
          value={cloth.halfDrop ? 'half' : 'straight'}
          options={[{ value: 'straight', label: 'straight match' }, { value: 'half', label: 'half-drop' }]}
          onChange={(match) => edit({ halfDrop: match === 'half' })}
        />
      </div>
      {cloth.flaws.map((flaw, at) => (
        <fieldset key={at} className="cloth-fields">
          <legend>Flaw {at + 1}</legend>
          {(['fromEnd', 'fromSelvedge', 'along', 'across'] as const).map((key) => (
            <EntryField key={key} name={`cloths.${cloth.id}.flaws.${at}.${key}`} label={places[key]} unit={unit} state={state(`flaws.${at}.${key}`, flaw[key])} write={(text, step) => change(at, { ...flaw, [key]: typed(text) }, step)} />
          ))}
          <Button onClick={() => edit({ flaws: cloth.flaws.filter((_, n) => n !== at) })}>Take flaw {at + 1} away</Button>
        </fieldset>
      ))}
      <Button onClick={() => edit({ flaws: [...cloth.flaws, { fromEnd: typed(''), fromSelvedge: typed(''), along: typed('2'), across: typed('2') }] })}>Mark a flaw</Button>
    </details>
  )
}
