import { Button, type InputRef } from 'antd'
import { clsx } from 'clsx'
import { useEffect, useRef, useState } from 'react'
import { unitWord } from '../../api/client'
import { EntryField } from '../../job/EntryField'
import { draftInHand, useScene, useSceneStore, useUnit } from '../../job/scene'
import { useItemField } from '../../job/useItemField'
import { Strokes } from '../../parts/SketchDrawing'
import { MeasurePad } from './MeasurePad'
import { firstLeft, wayThrough, type Stop } from './walking'
import s from './measure.module.css'

/** Walks the room: every size of every item in order, one at a time, very large. */
export function Walk({ leave }: { leave: () => void }) {
  const store = useSceneStore()
  // The way is fixed when it is begun: what is entered does not move it under the hand.
  const [stops] = useState(() => wayThrough(store.get()))
  const [at, setAt] = useState(() => firstLeft(stops, store.get()))
  const stop = stops[at]
  const id = useScene((scene) => scene.item?.id)
  const takeInHand = useScene((scene) => scene.takeInHand)
  useEffect(() => {
    if (stop && stop.item !== id) takeInHand(stop.item)
  }, [stop, id, takeInHand])
  const onward = () => setAt((now) => now + 1)
  return (
    <section className={s.walk} aria-label="Walk the room">
      <div className={s.walkHead}>
        <p>
          {stop ? (
            <>
              Size <b>{at + 1}</b> of {stops.length}
            </>
          ) : (
            <b>Every size is taken.</b>
          )}
        </p>
        <Button disabled={at === 0} onClick={() => setAt(Math.min(at, stops.length) - 1)}>
          Back
        </Button>
        {stop && <Button onClick={onward}>Leave it for now</Button>}
        <Button type={stop ? 'default' : 'primary'} onClick={leave}>
          Back to the drawing
        </Button>
      </div>
      {stop?.item === id && stop && <At key={`${stop.item}/${stop.measure}`} stop={stop} onward={onward} />}
    </section>
  )
}

function At({ stop, onward }: { stop: Stop; onward: () => void }) {
  const unit = useUnit()
  const input = useRef<InputRef>(null)
  const number = useScene(({ job }) => job.document.items.findIndex((each) => each.id === stop.item) + 1)
  const count = useScene(({ job }) => job.document.items.length)
  const name = useScene((scene) => scene.item?.name)
  const measure = useScene(({ makeUps, item }) =>
    makeUps.find((each) => each.key === item?.makeUp)?.measures.find((each) => each.key === stop.measure),
  )
  const sketch = useScene((scene) => draftInHand(scene)?.sketch)
  const { field, state, write } = useItemField('measures', stop.measure)
  useEffect(() => input.current?.focus(), [])
  const line = sketch?.dimensions.find((each) => each.measure === stop.measure)?.span
  const rim = sketch ? sketch.box.width * 0.06 : 0
  return (
    <div className={s.stop}>
      <div className={clsx('table', s.walkDrawing)}>
        {sketch && (
          <svg
            viewBox={`${sketch.box.x - rim} ${sketch.box.y - rim} ${sketch.box.width + 2 * rim} ${sketch.box.height + 2 * rim}`}
            aria-hidden
          >
            <Strokes sketch={sketch} />
            {line && (
              <g className={clsx(s.dimension, s.active)}>
                <line {...line} />
              </g>
            )}
          </svg>
        )}
      </div>
      <div className={s.large}>
        <p>
          <b>{number}</b> {name}{' '}
          <small>
            item {number} of {count}
          </small>
        </p>
        <h2>
          <kbd>{stop.measure}</kbd> {measure?.name}
        </h2>
        <p>{measure?.holdTape}</p>
        <EntryField
          name={field}
          label={<span className="unseen">{measure?.name}</span>}
          state={state}
          write={write}
          unit={unitWord(unit)}
          ref={input}
          onEnter={onward}
        />
      </div>
      <MeasurePad measure={stop.measure} next={onward} />
    </div>
  )
}
