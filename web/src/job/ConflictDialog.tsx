import { Button } from 'antd'
import { useState } from 'react'
import type { JobDocument, JobView } from '../api/client'
import { Dialog } from './Dialog'
import { differences, merged } from './differences'

/** Shows both values, field by field, when somebody else saved the job meanwhile; nothing is overwritten unseen. */
export function ConflictDialog({ mine, theirs, settle }: { mine: JobDocument; theirs: JobView; settle: (document: JobDocument | undefined) => void }) {
  const fields = differences(mine, theirs.document)
  const [kept, setKept] = useState<Record<string, 'mine' | 'theirs'>>({})
  const choice = (path: string) => kept[path] ?? 'mine'
  return (
    <Dialog
      title="Somebody else changed this job"
      footer={
        <>
          <Button onClick={() => settle(undefined)}>Take all of theirs</Button>
          <Button type="primary" onClick={() => settle(merged(mine, theirs.document, fields.filter((field) => choice(field.path) === 'theirs')))}>Save what is marked</Button>
        </>
      }
    >
      <p>Nothing was overwritten. Mark which value each field shall have.</p>
      <table className="conflict">
        <thead><tr><th>Field</th><th>Yours</th><th>Theirs</th></tr></thead>
        <tbody>
          {fields.map((field) => (
            <tr key={field.path}>
              <th scope="row">{field.label}</th>
              {(['mine', 'theirs'] as const).map((side) => (
                <td key={side}>
                  <label>
                    <input type="radio" name={field.path} checked={choice(field.path) === side} onChange={() => setKept({ ...kept, [field.path]: side })} /> {field[side]}
                  </label>
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </Dialog>
  )
}
