import { Button } from 'antd'
import { newId, type Entry, type Flaw } from '../../api/client'
import { ClothEntry, type ClothGroup } from '../../job/ClothEntry'
import { useUnit } from '../../job/scene'
import { useWord } from '../../parts/useWord'

const places = {
  fromEnd: 'from the squared end',
  fromSelvedge: 'from the selvedge',
  along: 'along',
  across: 'across',
} as const

/** Places that nothing may be cut from. */
export function Flaws({ cloth, planned, edit }: ClothGroup) {
  const jobUnit = useUnit()
  const selvedge = useWord('selvedge')
  const typed = (text: string): Entry => ({ typed: text, unit: jobUnit })
  const change = (at: number, flaw: Flaw, step?: string) =>
    edit({ flaws: cloth.flaws.map((each, n) => (n === at ? flaw : each)) }, step)
  return (
    <>
      {cloth.flaws.map((flaw, at) => (
        <fieldset key={flaw.id || at} className="cloth-fields">
          <legend>Flaw {at + 1}</legend>
          {(['fromEnd', 'fromSelvedge', 'along', 'across'] as const).map((key) => (
            <ClothEntry
              key={key}
              cloth={cloth}
              planned={planned}
              name={`flaws.${at}.${key}`}
              label={places[key].replace('selvedge', selvedge)}
              entry={flaw[key]}
              write={(entry, step) => change(at, { ...flaw, [key]: entry }, step)}
            />
          ))}
          <Button onClick={() => edit({ flaws: cloth.flaws.filter((_, n) => n !== at) })}>
            Take flaw {at + 1} away
          </Button>
        </fieldset>
      ))}
      <Button
        onClick={() =>
          edit({
            flaws: [
              ...cloth.flaws,
              { id: newId(), fromEnd: typed(''), fromSelvedge: typed(''), along: typed('2'), across: typed('2') },
            ],
          })
        }
      >
        Mark a flaw
      </Button>
    </>
  )
}
