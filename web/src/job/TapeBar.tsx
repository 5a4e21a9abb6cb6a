import { Link } from 'react-router'
import { stages, type ViewKey } from './stages'
import { memo } from 'react'
import { useScene } from './scene'
import s from './TapeBar.module.css'

/** The stages as marks on a tape; the tape is drawn out as far as the job has come. */
export const TapeBar = memo(function TapeBar({ stage }: { stage: ViewKey }) {
  const id = useScene((scene) => scene.id)
  const progress = useScene((scene) => scene.plan?.stages)
  const states = stages.map((each) => progress?.find(({ stage }) => stage === each.key))
  const far = states.findLastIndex((each) => each?.state === 'done') + 1
  return (
    <nav className={s.tape} aria-label="Stages">
      <ol style={{ ['--drawn' as string]: `${(far / stages.length) * 100}%` }}>
        {stages.map((each, at) => {
          const { state = 'empty', inDoubt = 0, left = 0 } = states[at] ?? {}
          return (
            <li key={each.key} className={s[state]}>
              <Link to={`/jobs/${id}/${each.key}`} aria-current={each.key === stage ? 'step' : undefined}>
                <span className={s.mark}>{at + 1}</span>
                <span className={s.name}>{each.name}</span>
                <span className={s.state}>
                  {state === 'doubt'
                    ? `${inDoubt} to check`
                    : state === 'todo'
                      ? left > 0
                        ? `${left} to do`
                        : 'so far'
                      : state}
                </span>
              </Link>
            </li>
          )
        })}
      </ol>
    </nav>
  )
})
