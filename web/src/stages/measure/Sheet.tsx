import { unitWord, type Draft, type MakeUp } from '../../api/client'
import { useUnit } from '../../job/scene'
import { Strokes } from '../../parts/SketchDrawing'
import { label, layOut } from './layout'
import s from './measure.module.css'

const width = 660,
  height = 330

interface Props {
  title: string
  sketch: NonNullable<Draft['sketch']>
  measures: MakeUp['measures']
  /** What was read of a size, or of it again. */
  read: (key: string) => string
  notes: string
  parts: string
}

/** One sheet to measure by: the drawing with its letters, what to hold the tape against, room for two readings and for what is found. */
export function Sheet({ title, sketch, measures, read, notes, parts }: Props) {
  const unit = unitWord(useUnit())
  const laid = layOut(sketch, width, height)
  return (
    <article>
      <h2>{title}</h2>
      <svg viewBox={`0 0 ${width} ${height}`} aria-hidden>
        <g transform={`translate(${laid.x} ${laid.y}) scale(${laid.scale})`}>
          <Strokes sketch={sketch} />
        </g>
        {Object.entries(laid.lines).map(([measure, line]) => {
          const at = laid.labels[measure]
          return (
            <g key={measure}>
              <line {...line} />
              {at?.leader && <line {...at.leader} className={s.reach} />}
              {at && (
                <text x={at.x + label.width / 2} y={at.y + label.height / 2}>
                  {measure}
                </text>
              )}
            </g>
          )
        })}
      </svg>
      <table>
        <thead>
          <tr>
            <th />
            <th>Hold the tape</th>
            <th>Read, {unit}</th>
            <th>Again</th>
          </tr>
        </thead>
        <tbody>
          {measures.map((measure) => (
            <tr key={measure.key}>
              <th scope="row">{measure.key}</th>
              <td>
                <b>{measure.name}</b>
                {measure.optional && ', if there is one'}. {measure.holdTape}
              </td>
              <td className={s.box}>{read(measure.key)}</td>
              <td className={s.box}>{read(`${measure.key} again`)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className={s.noted}>In the way, or kept: {notes}</p>
      <p className={s.noted}>Comes off, numbered: {parts}</p>
    </article>
  )
}
