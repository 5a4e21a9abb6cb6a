import { Button, Input, Radio } from 'antd'
import { useId, useState } from 'react'
import { answer, api, Refused, unitWord, type Given } from '../../api/client'
import { EntryField } from '../../job/EntryField'
import { PrintSheet } from '../../job/PrintSheet'
import { useDocument, useEdit, useScene, useSceneStore, useUnit } from '../../job/scene'
import { Photos } from '../../job/Photos'
import { ClothCare } from './ClothCare'
import { coverOf, say } from './covers'
import { Preview } from './Preview'
import { Postcode } from './Postcode'
import { Stated } from './Stated'
import { useCareMarks, useHandOver } from './useHandOver'
import s from './hand-over.module.css'

type Paper = 'label' | 'care-card' | 'hand-over-sheet'

/** What goes out with the covers and is kept of them: a record each, a label, a care card and a sheet to sign. */
export default function HandOver() {
  const document = useDocument()
  const item = useScene((scene) => scene.item?.id)
  const edit = useEdit()
  const store = useSceneStore()
  const unit = useUnit()
  const marks = useCareMarks()
  const over = useHandOver()
  const place = useId()
  const date = useId()
  const [paper, setPaper] = useState<Paper>('label')
  const [on, setOn] = useState<string>()
  const [problem, setProblem] = useState('')
  const data = over.data
  if (!data) return <p>{over.error ? `The workroom does not answer: ${over.error.message}` : '…'}</p>
  const { label } = data
  const today = data.covers.find(({ given }) => given)?.given?.date ?? ''
  // What went out stays as it was said then.
  const givenOf = (id: string): Given | undefined =>
    coverOf(document, id).given ?? data.covers.find((each) => each.item === id)?.given ?? undefined
  const cover = data.covers.find((each) => each.item === item)
  const gone = cover && coverOf(document, cover.item).given
  const all = data.covers.flatMap(({ item: id }) => givenOf(id) ?? [])
  const left = data.covers.filter((each) => each.given && !coverOf(document, each.item).given)
  // What goes out is what is said at this moment, not what was read of it a moment ago.
  const give = async (covers: typeof left) => {
    setProblem('')
    try {
      const body = store.get().job.document
      const now = await answer(api.POST('/api/hand-over', { body }))
      const going = now.covers.filter((each) => each.given && covers.some(({ item: id }) => id === each.item))
      edit(
        '',
        (draft) => {
          for (const each of going)
            if (each.given) {
              const record = { ...each.given, date: on ?? each.given.date }
              say(draft, each.item, (of) => (of.given = record))
            }
        },
        going.length === 1 ? `${going[0]?.name ?? ''} was handed over.` : `${going.length} items were handed over.`,
      )
    } catch (error) {
      setProblem(
        error instanceof Refused ? error.message : 'The server does not answer. Nothing was handed over: try again.',
      )
    }
  }
  return (
    <div className={s.over}>
      <section className={s.saying} aria-label="What is said of it">
        {cover && (
          <>
            <h2>
              {cover.number} {cover.name}
            </h2>
            {gone ? (
              <p className={s.gone}>
                Handed over on {gone.date}. What was said then is kept as it was.{' '}
                <Button
                  onClick={() =>
                    edit('', (draft) => say(draft, cover.item, (of) => (of.given = null)), 'The record is open again.')
                  }
                >
                  Correct it
                </Button>
              </p>
            ) : cover.given ? (
              cover.missing.length > 0 && <p className={s.missing}>Not said yet: {cover.missing.join('; ')}.</p>
            ) : (
              <p className="problem">It is in doubt: see Measure.</p>
            )}
            {!gone && <Stated cover={cover} />}
          </>
        )}
      </section>
      <section className={s.papers} aria-label="Papers">
        <Radio.Group
          aria-label="Paper"
          optionType="button"
          value={paper}
          onChange={(event) => setPaper(event.target.value as Paper)}
          options={[
            { value: 'label', label: 'Label' },
            { value: 'care-card', label: 'Care card' },
            { value: 'hand-over-sheet', label: 'Hand-over sheet' },
          ]}
        />
        <PrintSheet sheet={paper}>Print it for all</PrintSheet>
        {paper === 'label' && (
          <PrintSheet sheet={paper} query={{ paper: 'label' }}>
            Print on labels
          </PrintSheet>
        )}
        <div className={s.preview}>
          <Preview sheet={paper} item={paper === 'hand-over-sheet' ? undefined : item} />
        </div>
        {paper === 'label' && (
          <div className={s.size}>
            {(['labelWidth', 'labelHeight'] as const).map((field) => (
              <EntryField
                key={field}
                name={`handOver.${field}`}
                label={field === 'labelWidth' ? 'Label, width' : 'Label, height at least'}
                unit={unitWord(unit)}
                state={{
                  entry: document.handOver[field] ?? undefined,
                  read: field === 'labelWidth' ? label.width : label.height,
                  problem: label.problems.find((each) => each.field === `handOver.${field}`),
                }}
                write={(typed, step) => edit(step, (draft) => void (draft.handOver[field] = { typed, unit }))}
              />
            ))}
          </div>
        )}
      </section>
      <section className={s.going} aria-label="Handing over">
        <div className="entry">
          <label htmlFor={place}>Where they go: house, room, boat</label>
          <Input
            id={place}
            value={document.handOver.place}
            maxLength={200}
            onChange={(event) => {
              const { value } = event.currentTarget
              edit('handOver.place', (draft) => void (draft.handOver.place = value))
            }}
          />
        </div>
        <Postcode />
        <div className="entry">
          <label htmlFor={date}>On</label>
          <Input
            id={date}
            type="date"
            value={on ?? today}
            onChange={(event) => setOn(event.currentTarget.value || undefined)}
          />
        </div>
        {cover?.given && !gone && left.length > 1 && (
          <Button size="large" onClick={() => void give([cover])}>
            Hand over {cover.name}
          </Button>
        )}
        {left.length > 0 ? (
          <Button type="primary" size="large" onClick={() => void give(left)}>
            {left.length === 1 ? `Hand over ${left[0]?.name ?? ''}` : `Hand over all ${left.length}`}
          </Button>
        ) : (
          all.length > 0 && <b>All handed over.</b>
        )}
        {problem && (
          <p className="problem" role="alert">
            {problem}
          </p>
        )}
      </section>
      <div className={s.photos}>
        <h2>Before and after</h2>
        <Photos moment="after" />
      </div>
      <section className={s.cloths} aria-label="Tickets of the cloths">
        {document.cloths.map((cloth) => (
          <ClothCare key={cloth.id} cloth={cloth} marks={marks} />
        ))}
      </section>
    </div>
  )
}
