import { clsx } from 'clsx'
import { Checkbox, Select } from 'antd'
import type { ClothPlan, Match } from '../../api/client'
import { useEditItem, useScene } from '../../job/scene'
import { Folded } from '../../parts/Folded'
import s from './lay.module.css'

/** How each kind of piece is matched to the repeat, and which items lie in line. */
export function Matches({ matches }: { matches: ClothPlan['matches'] }) {
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
                <label key={match.piece}>
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
                        ...(match.follows ? [{ value: 'follows', label: `runs on from the ${match.follows}` }] : []),
                        { value: 'free', label: 'need not match' },
                      ] as { value: Match; label: string }[]
                    }
                    onChange={(chosen) => choose(id, match.piece, chosen)}
                  />
                </label>
              ))}
            </div>
          </fieldset>
        )
      })}
    </Folded>
  )
}
