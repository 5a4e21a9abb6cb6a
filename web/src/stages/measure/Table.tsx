import { clsx } from 'clsx'
import { Button, type InputRef } from 'antd'
import { memo, useCallback, useMemo, type ReactNode } from 'react'
import { unitWord, type Draft, type MakeUp } from '../../api/client'
import { EntryField } from '../../job/EntryField'
import { useUnit } from '../../job/scene'
import { useItemField } from '../../job/useItemField'
import { Strokes } from '../../parts/SketchDrawing'
import { useSize } from '../../parts/useSize'
import { layOut } from './layout'
import { Made } from './Made'
import s from './measure.module.css'

type Measure = MakeUp['measures'][number]
type Sketch = NonNullable<Draft['sketch']>

interface Props {
  item: string
  name: string | undefined
  sketch: Sketch
  measures: Measure[]
  /** Sizes that are there only now and then, and are not asked for yet. */
  offered: Measure[]
  offer: (measure: string) => void
  active: string
  register: (measure: string, input: InputRef | null) => void
  activate: (measure: string) => void
  next: (measure: string) => void
  again: (measure: string) => void
  /** What else stands along the foot of the table. */
  children: ReactNode
}

// What stands along the foot of the table.
const strip = 56

/** The item drawn as large as the table is, with its dimension lines and a field at each. */
export function Table({
  item,
  name,
  sketch,
  measures,
  offered,
  offer,
  active,
  register,
  activate,
  next,
  again,
  children,
}: Props) {
  const { ref, size } = useSize()
  const shown = useMemo(
    () => ({
      ...sketch,
      dimensions: sketch.dimensions.filter(({ measure }) => measures.some(({ key }) => key === measure)),
    }),
    [sketch, measures],
  )
  const laid = useMemo(() => size && layOut(shown, size.width, size.height - strip), [shown, size])
  return (
    <section className="table" aria-label="Measuring drawing">
      <div className={s.drawing} ref={ref}>
        {size && laid && (
          <>
            <svg
              viewBox={`0 0 ${size.width} ${size.height}`}
              role="img"
              aria-label={`${name}, to scale`}
              preserveAspectRatio="none"
            >
              <g transform={`translate(${laid.x} ${laid.y}) scale(${laid.scale})`}>
                <Strokes sketch={sketch} only="faces" />
                <Made item={item} sketch={sketch} />
                <Strokes sketch={sketch} only="lines" />
              </g>
              {shown.dimensions.map(({ measure, span }) => {
                const line = laid.lines[measure]
                const leader = laid.labels[measure]?.leader
                const [x, y] = [(at: number) => laid.x + laid.scale * at, (at: number) => laid.y + laid.scale * at]
                return (
                  line && (
                    <g key={measure} className={clsx(s.dimension, measure === active && s.active)}>
                      {leader && <line {...leader} className={s.reach} />}
                      <line x1={x(span.x1)} y1={y(span.y1)} x2={line.x1} y2={line.y1} className={s.reach} />
                      <line x1={x(span.x2)} y1={y(span.y2)} x2={line.x2} y2={line.y2} className={s.reach} />
                      <line {...line} />
                    </g>
                  )
                )
              })}
            </svg>
            {measures.map((measure) => {
              const at = laid.labels[measure.key]
              return (
                at && (
                  <div
                    key={measure.key}
                    className={clsx(s.label, measure.key === active && s.active)}
                    style={{ left: at.x, top: at.y }}
                    data-left={at.x > size.width / 2 ? '' : undefined}
                  >
                    <MeasureField
                      measure={measure.key}
                      name={measure.name}
                      register={register}
                      activate={activate}
                      next={next}
                      again={again}
                    />
                  </div>
                )
              )
            })}
          </>
        )}
      </div>
      <div className={s.strip}>
        <div className={s.offers}>
          {offered.map((measure) => (
            <Button key={measure.key} data-offer={measure.key} onClick={() => offer(measure.key)}>
              + {measure.name}
            </Button>
          ))}
        </div>
        {children}
      </div>
    </section>
  )
}

const MeasureField = memo(function MeasureField({
  measure,
  name,
  register,
  activate,
  next,
  again,
}: {
  measure: string
  name: string
  register: (measure: string, input: InputRef | null) => void
  activate: (measure: string) => void
  next: (measure: string) => void
  again: (measure: string) => void
}) {
  const jobUnit = useUnit()
  const { field, state, write } = useItemField('measures', measure)
  const ref = useCallback((input: InputRef | null) => register(measure, input), [register, measure])
  return (
    <EntryField
      bare
      name={field}
      label={
        <>
          <kbd>{measure}</kbd>
          <span className="unseen">{name}</span>
        </>
      }
      state={state}
      write={write}
      unit={unitWord(jobUnit)}
      ref={ref}
      onFocus={() => activate(measure)}
      onEnter={() => next(measure)}
      onDitto={() => again(measure)}
    />
  )
})
