import type { Draft } from '../../api/client'
import { useSewn } from '../../sewn/useSewn'
import s from './pieces.module.css'

type Pattern = NonNullable<Draft['pattern']>

/** Finished sizes, and the seam check: both sides of every seam as measured on the drawn stitch lines. */
export function SeamTable({ pattern, item }: { pattern: Pattern; item: string | undefined }) {
  return (
    <>
      <div>
        <h2>Finished</h2>
        <table>
          <tbody>
            {pattern.finished.map((size) => (
              <tr key={size.name}>
                <th scope="row">{size.name}</th>
                <td className="finished">
                  {size.length.text} <small>{size.length.residue}</small>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <div>
        <h2>
          Seam check{' '}
          <small>
            {pattern.seams.length === 0
              ? 'this cover has no seams'
              : pattern.seamsHold
                ? 'all seams match'
                : 'something does not match'}
          </small>
        </h2>
        {pattern.seams.length > 0 && (
          <table>
            <thead>
              <tr>
                <th>Seam</th>
                <th>Kind</th>
                <th>One side</th>
                <th>Other side</th>
                <th>Check</th>
              </tr>
            </thead>
            <tbody>
              {pattern.seams.map((seam) => (
                <tr key={seam.name} className={seam.fault ? s.fault : undefined}>
                  <th scope="row">{seam.name}</th>
                  <td>{seam.kind}</td>
                  <td className="finished">{seam.oneSide.text}</td>
                  <td className="finished">{seam.otherSide.text}</td>
                  <td>{seam.fault ?? 'matches'}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
        {item && pattern.seams.length > 0 && <Strain item={item} />}
        {pattern.uncovered.map((fault) => (
          <p key={fault} className="problem">
            {fault}
          </p>
        ))}
      </div>
    </>
  )
}

// What the seams come to once it is sewn: how much the cloth has to give, and which sides do not meet where.
function Strain({ item }: { item: string }) {
  const sewn = useSewn(item).data
  if (!sewn) return null
  return (
    <div className={sewn.vouched ? undefined : 'problem'} aria-label="Strain" role="group">
      <p>{sewn.check}</p>
      {sewn.strains.map((strain) => (
        <p key={strain} className="problem">
          {strain}
        </p>
      ))}
    </div>
  )
}
