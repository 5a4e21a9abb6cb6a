import { Button, Segmented } from 'antd'
import { newId, type Cloth, type Entry, type Flaw } from '../../api/client'
import { Behaves } from '../../job/Behaves'
import { ClothEntry, type ClothGroup } from '../../job/ClothEntry'
import { useUnit } from '../../job/scene'
import { Folded } from '../../parts/Folded'
import s from './lay.module.css'

const lengths = { gap: 'Left between pieces', repeatAlong: 'Repeat, along', repeatAcross: 'Repeat, across' } as const
const motif = { motifAcross: 'Motif, across', motifAlong: 'Motif, along', skew: 'Off square by' } as const
const shrinks = { shrinksAcross: 'Shrinks across', shrinksAlong: 'Shrinks along' } as const
const places = {
  fromEnd: 'from the squared end',
  fromSelvedge: 'from the selvedge',
  along: 'along',
  across: 'across',
} as const

/** What the cloth asks of the lay: how it is spread, a gap between pieces, a repeat to match, flaws to lay round. */
export function Demands({ cloth, planned, edit }: ClothGroup) {
  const jobUnit = useUnit()
  const typed = (text: string): Entry => ({ typed: text, unit: jobUnit })
  const change = (at: number, flaw: Flaw, step?: string) =>
    edit({ flaws: cloth.flaws.map((each, n) => (n === at ? flaw : each)) }, step)
  const printed = [cloth.repeatAlong, cloth.repeatAcross].some((entry) => (entry?.typed ?? '') !== '')
  const asked =
    cloth.flaws.length > 0 ||
    cloth.behaves.length > 0 ||
    cloth.gap !== null ||
    cloth.repeatAlong !== null ||
    cloth.repeatAcross !== null ||
    cloth.spread !== 'single' ||
    cloth.shrinksAcross !== '' ||
    cloth.shrinksAlong !== ''
  const wrong = planned?.problems.find((each) => each.field === `cloths.${cloth.id}.spread`)
  return (
    <Folded
      className={s.demands}
      summary="Repeat, gap, flaws, how it behaves, shrinkage, folding and tearing"
      asked={asked}
    >
      <div className="cloth-fields">
        <Behaves cloth={cloth} edit={edit} />
        {(['gap', 'repeatAlong', 'repeatAcross'] as const).map((key) => (
          <ClothEntry
            key={key}
            cloth={cloth}
            planned={planned}
            name={key}
            label={lengths[key]}
            entry={cloth[key]}
            write={(entry, step) => edit({ [key]: entry }, step)}
          />
        ))}
        {(['shrinksAcross', 'shrinksAlong'] as const).map((key) => (
          <ClothEntry
            key={key}
            cloth={cloth}
            planned={planned}
            name={key}
            label={shrinks[key]}
            unit="%"
            entry={typed(cloth[key])}
            write={(entry, step) => edit({ [key]: entry.typed }, step)}
          />
        ))}
        <Segmented
          tabIndex={-1}
          aria-label="Match"
          name={`match-${cloth.id}`}
          value={cloth.halfDrop ? 'half' : 'straight'}
          options={[
            { value: 'straight', label: 'straight match' },
            { value: 'half', label: 'half-drop' },
          ]}
          onChange={(match) => edit({ halfDrop: match === 'half' })}
        />
        {printed && (
          <Segmented
            tabIndex={-1}
            aria-label="What repeats"
            name={`print-${cloth.id}`}
            value={cloth.print}
            options={[
              { value: 'motif', label: 'a motif' },
              { value: 'check', label: 'a check' },
            ]}
            onChange={(print: Cloth['print']) => edit({ print })}
          />
        )}
        <Segmented
          tabIndex={-1}
          aria-label="Spread"
          name={`spread-${cloth.id}`}
          value={cloth.spread}
          options={[
            { value: 'single', label: 'one layer' },
            { value: 'folded', label: 'folded double' },
            { value: 'torn', label: 'torn across' },
          ]}
          onChange={(spread: Cloth['spread']) => edit({ spread })}
        />
      </div>
      {wrong && (
        <p className="problem" role="alert">
          {wrong.reason}.
        </p>
      )}
      {printed && (
        <div className="cloth-fields">
          <p className="note">
            Motif: its centre from the selvedge and from where its repeat begins, empty for the middle. Off square: how
            far the print runs out from selvedge to selvedge.
          </p>
          {(['motifAcross', 'motifAlong', 'skew'] as const).map((key) => (
            <ClothEntry
              key={key}
              cloth={cloth}
              planned={planned}
              name={key}
              label={motif[key]}
              entry={cloth[key]}
              write={(entry, step) => edit({ [key]: entry }, step)}
            />
          ))}
        </div>
      )}
      {cloth.flaws.map((flaw, at) => (
        <fieldset key={flaw.id || at} className="cloth-fields">
          <legend>Flaw {at + 1}</legend>
          {(['fromEnd', 'fromSelvedge', 'along', 'across'] as const).map((key) => (
            <ClothEntry
              key={key}
              cloth={cloth}
              planned={planned}
              name={`flaws.${at}.${key}`}
              label={places[key]}
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
    </Folded>
  )
}
