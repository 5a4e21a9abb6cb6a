import { useQueryClient } from '@tanstack/react-query'
import { Button, Segmented, Select, Upload } from 'antd'
import { useState } from 'react'
import { answer, api, type ImportView, type Item, type Unit } from '../api/client'
import { Dialog } from '../parts/Dialog'
import { problemText, told } from '../parts/told'
import s from './pages.module.css'

const none = ''

interface Props {
  /** What is in the table: "stock". */
  kind: 'customers' | 'stock' | 'prices' | 'measurements'
  /** What is asked anew once it is taken in. */
  then: string
  /** Takes what measurements became. */
  taken?: (items: Item[]) => void
}

/** Takes a table in from a file. */
export function TakeTable(props: Props) {
  const { look, seen } = useTaking(props)
  return (
    <>
      <Upload
        accept=".csv,.tsv,.txt,.xlsx,.vcf,text/csv"
        showUploadList={false}
        customRequest={({ file }) => look(file as File)}
      >
        <Button>Take in a table</Button>
      </Upload>
      {seen}
    </>
  )
}

/** Looks at a table before it is taken in: columns and unit are put right by hand, and all of it is taken or nothing. */
export function useTaking({ kind, then, taken }: Props) {
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
      if (!seen.isTaken) return
      taken?.(seen.items)
      await queries.invalidateQueries({ queryKey: [then] })
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
  const seen = (
    <>
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
              {(kind === 'stock' || kind === 'measurements') && (
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
              {view.parted !== 'lines' && (
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
              )}
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
  return { look, seen }
}
