import { Radio } from 'antd'
import { useState } from 'react'
import { unitWord, type Piece } from '../../api/client'
import { DrawingSaves } from '../../job/DrawingSaves'
import { PrintSheet } from '../../job/PrintSheet'
import { EntryField } from '../../job/EntryField'
import { PieceDrawing } from './PieceDrawing'
import { SeamTable } from './SeamTable'
import { SettingOut } from './SettingOut'
import { SewnCover } from '../../sewn/SewnCover'
import { ToMeasure } from '../../job/ToMeasure'
import { MailIt } from '../../parts/MailIt'
import { Saves } from '../../parts/Saves'
import { useDraft, useScene, useUnit } from '../../job/scene'
import { usePicked } from '../../job/picked'
import { useItemField } from '../../job/useItemField'
import { usePaper } from '../../job/usePaper'
import { CutList } from './CutList'
import { PieceTable } from './PieceTable'
import { useLaid } from './useLaid'
import { useSource } from './useSource'
import s from './pieces.module.css'

/** Every piece to scale; pointing at a size shows its working. */
export default function Pieces() {
  const draft = useDraft()
  const id = useScene((scene) => scene.id)
  const paper = usePaper()
  const [pointed, setPointed] = useState<string>()
  const [shown, setShown] = useState<'flat' | 'sewn' | 'list'>('flat')
  const item = useScene((scene) => scene.item?.id)
  const name = useScene((scene) => scene.item?.name) ?? ''
  const [held, setHeld] = usePicked(item ?? '')
  const laid = useLaid(item)
  const source = useSource()
  const pattern = draft?.pattern
  if (!pattern)
    return (
      <section className={s.blank}>
        <p>No pieces yet.</p>
        <ToMeasure problems={draft?.problems ?? []} />
        <ul>
          {draft?.problems
            .filter((problem) => !problem.missing)
            .map((problem) => (
              <li key={problem.field} className="problem">
                {problem.field.replace(/^\w+\./, '')}: {problem.reason}. <span>For example {problem.example}.</span>
              </li>
            ))}
        </ul>
      </section>
    )
  const piece = pattern.pieces.find((each) => each.key === held) ?? pattern.pieces[0]
  if (!piece) return null
  const size = piece.sizes.find((each) => each.name === pointed) ?? piece.sizes[0]
  return (
    <>
      <div className={s.tools}>
        <Radio.Group
          optionType="button"
          aria-label="Shown"
          value={shown}
          onChange={(event) => setShown(event.target.value as typeof shown)}
          options={[
            { value: 'flat', label: 'Flat' },
            { value: 'list', label: 'Cut list' },
            { value: 'sewn', label: 'Sewn' },
          ]}
        />
        {item && (
          <PrintSheet sheet="pieces" query={{ item }}>
            Print the pieces
          </PrintSheet>
        )}
        {item && (
          <MailIt to="" subject={name} text="" enclose={[{ paper: null, job: id, sheet: 'pieces', item }]}>
            Mail them
          </MailIt>
        )}
        {shown === 'list' ? (
          <Saves label="the job’s cut list" base={`/api/jobs/${id}/tables/cut-list`} as={['csv', 'xlsx']} />
        ) : (
          item && <DrawingSaves label="all its pieces" of={`items/${item}/drawing`} paper={paper} />
        )}
      </div>
      {shown === 'list' ? (
        <CutList pieces={pattern.pieces} laid={laid} source={source} />
      ) : (
        <>
          <PieceTable
            pattern={pattern}
            held={piece.key}
            laid={laid}
            source={source}
            hold={(key) => {
              setHeld(key)
              setPointed(undefined)
            }}
          />
          <div className={s.middle}>
            {shown === 'sewn' && item ? (
              <SewnCover key={item} item={item} held={held} hold={setHeld} />
            ) : (
              <section className="table" aria-label={`Piece ${piece.label}`}>
                <PieceDrawing piece={piece} pointed={size?.name} laid={laid.get(piece.key)} />
                <p className={s.legend}>
                  <span /> cut line <span className={s.dashed} />{' '}
                  {piece.settingOut.expected ? 'line to expect' : 'stitch line'}
                </p>
              </section>
            )}
          </div>
          <section className={s.sizes} aria-label="Sizes">
            <ul>
              {piece.sizes.map((each) => (
                <li key={each.name}>
                  <button
                    type="button"
                    aria-pressed={each.name === size?.name}
                    onMouseEnter={() => setPointed(each.name)}
                    onFocus={() => setPointed(each.name)}
                    onClick={() => setPointed(each.name)}
                  >
                    <span>{each.name}</span>
                    <span className={each.kind}>
                      {each.length.text}
                      <small>{each.length.residue}</small>
                    </span>
                  </button>
                </li>
              ))}
            </ul>
            {size && (
              <div className={s.working} aria-live="polite">
                <h2>
                  {size.name} <small>{size.kind}</small>
                </h2>
                {size.working.map((line) => (
                  <p key={line}>
                    {line.split(' = ').map((part, at) => (
                      <span key={at}>
                        {at > 0 && '= '}
                        {part}{' '}
                      </span>
                    ))}
                  </p>
                ))}
              </div>
            )}
            {item && (
              <Saves
                label={piece.label}
                base={`/api/jobs/${id}/items/${item}/drawing`}
                as={['pdf', 'svg', 'dxf']}
                query={{ piece: piece.key, ...paper.query }}
              />
            )}
            {piece.note && <p className="note">{piece.note}</p>}
            {piece.edges.length > 0 && (
              <details>
                <summary>Allowance of each edge</summary>
                {piece.edges.map((edge) => (
                  <EdgeField key={edge.allowanceKey} edge={edge} />
                ))}
              </details>
            )}
          </section>
          <SettingOut piece={piece} />
          <section className="finished" aria-label="Finished and checked">
            <SeamTable pattern={pattern} item={item} />
          </section>
        </>
      )}
    </>
  )
}

function EdgeField({ edge }: { edge: Piece['edges'][number] }) {
  const jobUnit = useUnit()
  const { field, state, write } = useItemField('allowances', edge.allowanceKey)
  const shown = state.entry?.typed ? state : { ...state, read: edge.allowance }
  return <EntryField name={field} label={edge.name} state={shown} write={write} unit={unitWord(jobUnit)} />
}
