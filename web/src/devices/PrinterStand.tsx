import { useQueryClient } from '@tanstack/react-query'
import { Button } from 'antd'
import { useState } from 'react'
import { answer, api } from '../api/client'
import { usePrinter } from '../parts/ToPrinter'
import { told } from '../parts/told'
import s from './devices.module.css'

/** The printer of sheets and labels: its paper, and what lies in its out-tray. */
export function PrinterStand() {
  const queries = useQueryClient()
  const state = usePrinter(2000)
  const [problem, setProblem] = useState('')
  const attempt = async (call: () => Promise<unknown>) => {
    try {
      queries.setQueryData(['printer'], await call())
      setProblem('')
    } catch (error) {
      setProblem(told(error))
    }
  }
  if (!state) return null
  const fill = (isFull: boolean) => attempt(() => answer(api.PUT('/api/devices/printer/paper', { body: { isFull } })))
  const isEmpty = state.sheets === 0
  return (
    <section className={s.device} aria-label="Printer">
      <h2>Printer of sheets and labels</h2>
      <div className={s.send}>
        <Button
          aria-pressed={state.isOn}
          onClick={() => void attempt(() => answer(api.PUT('/api/devices/printer', { body: { isOn: !state.isOn } })))}
        >
          {state.isOn ? 'Switch the printer off' : 'Switch the printer on'}
        </Button>
        {state.isOn && (
          <Button type={isEmpty ? 'primary' : 'default'} onClick={() => void fill(isEmpty)}>
            {isEmpty ? 'Put paper in' : 'Take the paper out'}
          </Button>
        )}
        {state.files.some((file) => file.waitsFor === '') && (
          <Button onClick={() => void attempt(() => answer(api.DELETE('/api/devices/printer/tray')))}>
            Empty the tray
          </Button>
        )}
      </div>
      {problem && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
      <p role="status">
        {state.isOn
          ? `It is on, with ${state.sheets} sheets and ${state.labels} labels in it.`
          : 'It is off. Sheets open to be printed from the browser.'}
      </p>
      <ul aria-label="Out-tray">
        {state.files.map((file) => (
          <li key={file.id}>
            <a href={`/api/devices/printer/tray/${file.id}.pdf`} target="_blank" rel="noopener">
              {file.name}
            </a>{' '}
            {file.waitsFor === ''
              ? `${file.pages} ${file.onLabels ? 'labels' : file.pages === 1 ? 'page' : 'pages'}`
              : `${file.printed} of ${file.pages}, waits for ${file.waitsFor}`}
          </li>
        ))}
      </ul>
    </section>
  )
}
