import { useQueryClient } from '@tanstack/react-query'
import { Button, Segmented, Select, Upload } from 'antd'
import { useState } from 'react'
import { answer, api, type ImportView, type Unit } from '../api/client'
import { Dialog } from '../parts/Dialog'
import { problemText, told } from '../parts/told'
import s from './pages.module.css'

const none = ''

interface Props {
  /** What is in the table: "stock". */
  kind: 'customers' | 'stock' | 'prices'
  /** What is asked anew once it is taken in. */
  then: string
}

/** Takes a table in from a file: looked at first, columns and unit put right by hand, all of it or nothing. */
export function TakeTable({ kind, then }: Props) {
  const queries = useQueryClient()
  const [file, setFile] = useState<File>()
  const [view, setView] = useState<ImportView>()
  const [problem, setProblem] = useState('')
  const send = async (of: File, said: { map?: string; unit?: Unit; take?: boolean }) => {
    setProblem('')
    try {
      const seen = await answer(
        api.POST('/api/tables/{kind}/rows', {
          params: { path: { kind }, query: said },
          body: of as unknown as string,
          bodySerializer: (body) => body,
          headers: { 'Content-Type': 'application/octet-stream' },
        }),
      )
      setView(seen)
      if (seen.isTaken) await queries.invalidateQueries({ queryKey: [then] })
    } catch (error) {
      setView(undefined)
      setProblem(`${of.name}: ${told(error)}`)
    }
  }
  const look = (of: File) => {
    setFile(of)
    void send(of, {})
  }
  const mapOf = (columns: ImportView['columns']) =>
    columns.flatMap(({ field }, at) => (field === none ? [] : [`${field}:${at}`])).join(',')
  return (
    <>
      <Upload
        accept=".csv,.tsv,.txt,.xlsx,text/csv"
        showUploadList={false}
        customRequest={({ file: of }) => look(of as File)}
      >
        <Button>Take in a table</Button>
      </Upload>
      {problem && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
      {file && view && (
        <Dialog title={`In ${file.name}`} close={() => setView(undefined)}>
          {view.isTaken ? (
            <p role="status">
              Taken in: {view.new} new, {view.changed} changed.
            </p>
          ) : (
            <>
              <p>
                {view.all} rows: {view.new} new, {view.changed} changed, {view.all - view.new - view.changed} here
                already.
                {view.wrong > 0 && (
                  <span className="problem"> {view.wrong} cannot be read; nothing is taken in before they can.</span>
                )}
              </p>
              {kind === 'stock' && (
                <p>
                  Sizes are in{' '}
                  <Segmented
                    aria-label="Sizes are in"
                    name="import-unit"
                    value={view.unit === 'cm' ? 'cm' : 'in'}
                    options={[
                      { value: 'in', label: 'inches' },
                      { value: 'cm', label: 'cm' },
                    ]}
                    onChange={(unit) => void send(file, { map: mapOf(view.columns), unit: unit as Unit })}
                  />{' '}
                  {view.commas && 'Decimals have commas.'}
                </p>
              )}
              <table>
                <thead>
                  <tr>
                    <th>Column</th>
                    <th>Holds</th>
                    <th>Is taken as</th>
                  </tr>
                </thead>
                <tbody>
                  {view.columns.map(({ name, some, field }, at) => (
                    <tr key={`${at}/${name}`}>
                      <th scope="row">{name || `column ${at + 1}`}</th>
                      <td>{some.join(', ')}</td>
                      <td>
                        <Select
                          aria-label={`${name || `column ${at + 1}`} is taken as`}
                          value={field}
                          options={[
                            { value: none, label: 'nothing' },
                            ...view.fields.map((each) => ({ value: each.key, label: each.name })),
                          ]}
                          popupMatchSelectWidth={false}
                          onChange={(chosen) =>
                            void send(file, {
                              unit: view.unit,
                              map: mapOf(
                                view.columns.map((column, n) => ({
                                  ...column,
                                  field: n === at ? chosen : column.field === chosen ? none : column.field,
                                })),
                              ),
                            })
                          }
                        />
                      </td>
                    </tr>
                  ))}
                </tbody>
              </table>
              <ul aria-label="Rows" className={s.imported}>
                {view.rows.map((row) => (
                  <li key={row.row}>
                    {row.row}. <b>{row.name || 'no name'}</b> {row.becomes}
                    {row.problems.map((each) => (
                      <p key={each.field} className="problem">
                        {each.field}: {problemText(each)}
                      </p>
                    ))}
                  </li>
                ))}
              </ul>
              <Button
                type="primary"
                disabled={view.wrong > 0 || view.new + view.changed === 0}
                onClick={() => void send(file, { map: mapOf(view.columns), unit: view.unit, take: true })}
              >
                Take them in
              </Button>
            </>
          )}
        </Dialog>
      )}
    </>
  )
}
