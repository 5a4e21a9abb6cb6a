import type { ClothPlan } from '../../api/client'
import { useWord } from '../../parts/useWord'

interface Props {
  planned: ClothPlan
  lay: NonNullable<ClothPlan['lay']>
  refused: string | undefined
}

/** What must be known before this lay is cut. */
export function LayWarnings({ planned, lay, refused }: Props) {
  const selvedge = useWord('selvedge')
  return (
    <>
      {[
        ...(refused ? [`${refused}.`] : []),
        ...lay.refusedPins,
        ...planned.cutOtherwise.map((told) => `Take care: ${told}.`),
      ].map((told) => (
        <p key={told} className="problem" role="alert">
          {told}
        </p>
      ))}
      {planned.skewed && (
        <p className="problem" role="status">
          The print runs out by {planned.skewed.text} from {selvedge} to {selvedge}: trust the print, not the weave, and
          tell the customer before anything is cut.
        </p>
      )}
      {lay.beyond && (
        <p className="problem" role="alert">
          The cloth on the table is {lay.beyond.missing.text} too short. Beyond its end: {lay.beyond.pieces.join(', ')}.
          On <i>Buy</i>, <i>Will it do?</i> tells what would make it fit.
        </p>
      )}
    </>
  )
}
