import { clsx } from 'clsx'
import { Checkbox, Select } from 'antd'
import { unitWord, type ClothPlan, type Match } from '../../api/client'
import { EntryField } from '../../job/EntryField'
import { useEditItem, useScene, useUnit } from '../../job/scene'
import { Folded } from '../../parts/Folded'
import s from './lay.module.css'

/** How each kind of piece is matched to the repeat, and which items lie in line. */
export function Matches({ cloth }: { cloth: ClothPlan }) {
  const { matches } = cloth
  const jobItems = useScene((scene) => scene.job.document.items)
  const editItem = useEditItem()
  const choose = (item: string, piece: string, match: Match) =>
    editItem('', item, (old) => void (old.matches[piece] = match))
  const line = (item: string, inLine: boolean) => editItem('', item, (old) => void (old.inLine = inLine))
  const items = [...new Set(matches.map((match) => match.item))]
  return (
    <Folded className={clsx(s.demands, s.matches)} summary="How pieces match">
      {items.map((id) => {
        const own = matches.filter((match) => match.item === id)
        return (
          <fieldset key={id}>
            <legend>{own[0]?.itemName}</legend>
            <Checkbox
              checked={jobItems.find((item) => item.id === id)?.inLine ?? false}
              onChange={(event) => line(id, event.target.checked)}
            >
              In line: the print runs on over its covers and over the items beside it that are in line too
            </Checkbox>
            <div className="cloth-fields">
              {own.map((match) => (
                <div key={match.piece} className={s.match}>
                  <label>
                    <span>
                      <b>{match.label}</b> {match.name}
                    </span>
                    <Select
                      aria-label={`${match.label} ${match.name} matches`}
                      value={match.match}
                      options={
                        [
                          { value: 'same', label: 'from the same place' },
                          { value: 'centred', label: 'motif in the middle' },
                          { value: 'placed', label: 'motif at a place of its own' },
                          ...(match.follows ? [{ value: 'follows', label: `runs on from the ${match.follows}` }] : []),
                          { value: 'free', label: 'need not match' },
                        ] as { value: Match; label: string }[]
                      }
                      onChange={(chosen) => choose(id, match.piece, chosen)}
                    />
                  </label>
                  {match.match === 'placed' && <Place match={match} cloth={cloth} />}
                </div>
              ))}
            </div>
          </fieldset>
        )
      })}
    </Folded>
  )
}

// Where the motif lies on the piece as drawn; what is left empty is its middle.
function Place({ match, cloth }: { match: ClothPlan['matches'][number]; cloth: ClothPlan }) {
  const unit = useUnit()
  const editItem = useEditItem()
  const place = useScene(({ job }) => job.document.items.find((each) => each.id === match.item)?.motifs[match.piece])
  return (['across', 'along'] as const).map((way) => {
    const field = `motifs.${match.item}.${match.piece}.${way}`
    return (
      <EntryField
        key={way}
        name={field}
        label={way === 'across' ? 'from its left' : 'from its lower edge'}
        unit={unitWord(unit)}
        state={{
          entry: place?.[way],
          read: cloth.fields[field],
          problem: cloth.problems.find((each) => each.field === field),
        }}
        write={(typed, step) =>
          editItem(step, match.item, (old) => {
            const empty = { typed: '', unit }
            old.motifs[match.piece] = { across: empty, along: empty, ...place, [way]: { typed, unit } }
          })
        }
      />
    )
  })
}
