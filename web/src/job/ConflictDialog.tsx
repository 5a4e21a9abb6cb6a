import { Button, Radio } from 'antd'
import { useState } from 'react'
import { Dialog } from '../parts/Dialog'
import type { Question } from './merging'
import s from './ConflictDialog.module.css'

interface Props {
  asked: Question[]
  decide: (settled: Question[], mine: Question[]) => void
  close: () => void
}

/** Shows both values of what two people changed at the same time. Theirs stands; nothing is chosen beforehand, and closing decides nothing. */
export function ConflictDialog({ asked, decide, close }: Props) {
  const [sides, setSides] = useState<Record<string, 'mine' | 'theirs'>>({})
  const key = (question: Question) => JSON.stringify(question.path)
  const settled = asked.filter((question) => sides[key(question)] !== undefined)
  return (
    <Dialog
      title="Somebody else changed this too"
      close={close}
      footer={
        <>
          <Button onClick={() => decide(asked, [])}>Leave all as theirs</Button>
          <Button
            type="primary"
            disabled={settled.length === 0}
            onClick={() =>
              decide(
                settled,
                settled.filter((question) => sides[key(question)] === 'mine'),
              )
            }
          >
            Save what is marked
          </Button>
        </>
      }
    >
      <p>All other changes, yours and theirs, are saved. Of these, theirs stands until you mark yours.</p>
      <table className={s.conflict}>
        <thead>
          <tr>
            <th>Field</th>
            <th>Yours</th>
            <th>Theirs, as it is now</th>
          </tr>
        </thead>
        <tbody>
          {asked.map((question) => (
            <tr key={key(question)}>
              <th scope="row">{question.label}</th>
              {(['mine', 'theirs'] as const).map((side) => (
                <td key={side}>
                  <Radio
                    checked={sides[key(question)] === side}
                    onChange={() => setSides({ ...sides, [key(question)]: side })}
                  >
                    {question[side]}
                  </Radio>
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </Dialog>
  )
}
