import type { Bench } from '../../api/client'
import { Folded } from '../../parts/Folded'
import s from './make.module.css'

/** How it is done, for whoever has not done it yet. */
export function HowTo({ how }: Pick<NonNullable<Bench['at']>, 'how'>) {
  return (
    <div>
      {how.map((each) => (
        <Folded key={each.technique} className={undefined} summary={`How: ${each.name}`}>
          <div className={s.howTo}>
            <svg viewBox="0 0 120 60" aria-hidden>
              <path d={each.solid} />
              <path className={s.dashed} d={each.dashed} />
              <path className={s.heavy} d={each.heavy} />
            </svg>
            <ol>
              {each.words.map((word) => (
                <li key={word}>{word}</li>
              ))}
            </ol>
          </div>
        </Folded>
      ))}
    </div>
  )
}
