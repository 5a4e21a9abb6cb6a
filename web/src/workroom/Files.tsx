import { useQueryClient } from '@tanstack/react-query'
import { Button, Checkbox, Upload } from 'antd'
import { useState } from 'react'
import { answer, api, type WorkroomFile } from '../api/client'
import { Saves } from '../parts/Saves'
import { told } from '../parts/told'
import { Bar } from './Bar'
import s from './pages.module.css'

const words: Record<string, string> = {
  customers: 'customers',
  jobs: 'jobs',
  stock: 'things on the shelves',
  schedules: 'dates of jobs',
  'prices-of-jobs': 'prices of jobs',
  workroom: 'of the workroom itself, its price book and hours',
  templates: 'templates',
  orders: 'orders of cloth',
  letters: 'letters in the tray',
  papers: 'papers',
  photos: 'photos',
}

/** The whole workroom as one file: given out, and taken in after a look at what is in it. */
export default function Files() {
  const queries = useQueryClient()
  const [file, setFile] = useState<File>()
  const [view, setView] = useState<WorkroomFile>()
  const [theirs, setTheirs] = useState<string[]>([])
  const [problem, setProblem] = useState('')
  const [busy, setBusy] = useState(false)
  const send = async (of: File, take: boolean) => {
    setBusy(true)
    setProblem('')
    try {
      setView(
        await answer(
          api.POST('/api/workroom-files', {
            params: { query: { take, replace: take ? theirs.join(',') : '' } },
            body: of as unknown as string,
            bodySerializer: (body) => body,
            headers: { 'Content-Type': 'application/zip' },
          }),
        ),
      )
      if (take) await queries.invalidateQueries()
    } catch (error) {
      setView(undefined)
      setProblem(`${of.name}: ${told(error)}`)
    }
    setBusy(false)
  }
  const look = (of: File) => {
    setFile(of)
    setTheirs([])
    void send(of, false)
  }
  return (
    <div className={s.page}>
      <Bar at="" />
      <main>
        <h1>The whole workroom as a file</h1>
        <p>
          Jobs, templates, customers, shelves, prices, papers, orders, letters and photos as they are now, in one zip
          that other programs can read. <Saves label="it" base="/api/workroom" as={['zip']} />
        </p>
        <h2>Take one in</h2>
        <p>It is looked at first; nothing is changed until you say so.</p>
        <Upload accept=".zip,application/zip" showUploadList={false} customRequest={({ file: of }) => look(of as File)}>
          <Button loading={busy}>Look at a file</Button>
        </Upload>
        {problem && (
          <p className="problem" role="alert">
            {problem} Nothing was changed.
          </p>
        )}
        {view && file && (
          <section aria-label={`In ${file.name}`}>
            <h2>In {file.name}</h2>
            <ul>
              {view.kinds.map(({ kind, all, new: fresh }) => (
                <li key={kind}>
                  {all} {words[kind] ?? kind}
                  {!view.isTaken && (fresh === 0 ? ', none of them new' : `, ${fresh} of them new`)}
                </li>
              ))}
            </ul>
            {view.refused.length > 0 && (
              <>
                <p className="problem">Not taken in, since their numbers are given here already:</p>
                <ul>
                  {view.refused.map(({ id, name }) => (
                    <li key={id}>{name}</li>
                  ))}
                </ul>
              </>
            )}
            {view.other.length > 0 && (
              <fieldset>
                <legend>Otherwise here. Yours stay, but those that you tick:</legend>
                {view.other.map(({ kind, id, name }) => (
                  <p key={`${kind}:${id}`}>
                    <Checkbox
                      checked={theirs.includes(`${kind}:${id}`)}
                      onChange={({ target }) =>
                        setTheirs((old) =>
                          target.checked ? [...old, `${kind}:${id}`] : old.filter((each) => each !== `${kind}:${id}`),
                        )
                      }
                    >
                      {name} ({words[kind] ?? kind}): the one in the file
                    </Checkbox>
                  </p>
                ))}
              </fieldset>
            )}
            {view.isTaken ? (
              <p role="status">Taken in.</p>
            ) : view.other.length === 0 && view.kinds.every(({ new: fresh }) => fresh === 0) ? (
              <p role="status">All of it is here already.</p>
            ) : (
              <Button type="primary" disabled={busy} onClick={() => void send(file, true)}>
                Take it in
              </Button>
            )}
          </section>
        )}
      </main>
    </div>
  )
}
