import { useEffect } from 'react'
import { createPortal } from 'react-dom'
import type { MakeUp } from '../../api/client'
import { Sheet } from './Sheet'
import s from './measure.module.css'

/** A blank measuring sheet of a kind, printed at once and gone; nothing else is on the paper. */
export default function KindSheet({ makeUp, done }: { makeUp: MakeUp; done: () => void }) {
  useEffect(() => {
    document.body.dataset['sheet'] = 'kind'
    window.print()
    done()
    return () => {
      delete document.body.dataset['sheet']
    }
  }, [done])
  const drawn = makeUp.sketch.dimensions.map((line) => line.measure)
  return createPortal(
    <section className={`${s.printed ?? ''} ${s.kindSheet ?? ''}`} aria-label={`Measuring sheet, ${makeUp.family}`}>
      <Sheet
        title={makeUp.family}
        sketch={makeUp.sketch}
        measures={makeUp.measures.filter(
          ({ key, kind, shownWhen }) => kind === 'length' && (drawn.includes(key) || shownWhen === null),
        )}
        read={() => ''}
        notes=""
        parts=""
      />
    </section>,
    document.body,
  )
}
