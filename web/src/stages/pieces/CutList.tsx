import { Checkbox } from 'antd'
import type { Piece } from '../../api/client'
import { useScene } from '../../job/scene'
import { useCut } from '../../job/useCut'
import type { Laid } from './useLaid'
import s from './pieces.module.css'

interface Props {
  pieces: Piece[]
  laid: Map<string, Laid>
  source: (piece: Piece) => string
}

/** What is cut of this item, read from where the cloth lies: every kind of piece, how many, how large, ticked off when they are cut. */
export function CutList({ pieces, laid, source }: Props) {
  const cloths = useScene(({ job }) => job.document.cloths)
  const cut = useCut()
  return (
    <ul className={s.cutList} aria-label="Cut list">
      {pieces.map((piece) => {
        const on = laid.get(piece.key)
        const ticked = cloths.find((each) => each.id === on?.cloth.id)?.cut ?? []
        const done = on?.placed.filter((each) => ticked.some((one) => one.piece === each.id)).length ?? 0
        const all = on !== undefined && done === on.placed.length
        const sizes = piece.sizes.filter((size) => size.kind === 'cut').slice(0, 2)
        return (
          <li key={piece.key} className={all ? s.allCut : undefined}>
            <Checkbox
              aria-label={`${piece.label} ${piece.name}, all cut`}
              checked={all}
              indeterminate={done > 0 && !all}
              disabled={!on}
              onChange={(event) => on && cut(on.cloth.id, on.placed, event.target.checked)}
            />
            <b>{piece.label}</b>
            <span>
              {piece.name}
              <small>
                {source(piece)}
                {piece.turnedOver && ', every second one turned over'}
                {piece.settingOut.expected && ', rough'}
              </small>
            </span>
            <b>{sizes.map((size) => size.length.text).join(' x ')}</b>
            <b>
              × {on?.placed.length ?? piece.quantity}
              {done > 0 && !all && <small>{done} cut</small>}
            </b>
          </li>
        )
      })}
    </ul>
  )
}
