import type { Piece } from '../../api/client'
import { usePrinting } from '../../parts/usePrinting'
import { PieceDrawing } from './PieceDrawing'
import { SettingOut } from './SettingOut'
import s from './pieces.module.css'

interface Props {
  name: string
  pieces: Piece[]
  /** What a piece is cut from, in words. */
  source: (piece: Piece) => string
}

/** Every piece of the item with all that is needed to cut it, drawn only while it is being printed. */
export function PrintedPieces({ name, pieces, source }: Props) {
  const printing = usePrinting()
  if (!printing) return null
  return (
    <section className={s.printed} aria-label="Pieces, printed">
      <h1>{name}</h1>
      {pieces.map((piece) => (
        <article key={piece.key}>
          <h2>
            {piece.label} {piece.name}: cut {piece.quantity}
            {piece.turnedOver && ', every second one turned over'}, {source(piece)}
          </h2>
          <div className={s.printedPiece}>
            <PieceDrawing piece={piece} pointed={undefined} laid={undefined} />
            <ul>
              {piece.sizes.map((size) => (
                <li key={size.name}>
                  {size.name} <b className={size.kind}>{size.length.text}</b> {size.length.residue}
                </li>
              ))}
              {piece.note && <li>{piece.note}</li>}
            </ul>
          </div>
          <SettingOut piece={piece} />
        </article>
      ))}
    </section>
  )
}
