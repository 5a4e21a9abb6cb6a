import { useQuery, useQueryClient } from '@tanstack/react-query'
import { Button, Input } from 'antd'
import { useState } from 'react'
import { answer, api, unitWord, type PlotterState, type Unit } from '../api/client'
import { told } from '../parts/told'
import s from './devices.module.css'

const words: Record<PlotterState['is'], string> = {
  off: 'off',
  ready: 'ready: send it a lay, from Lay',
  cutting: 'cutting',
  waiting: 'waiting: move the cloth on until its crosses lie under the tool again',
  jammed: 'jammed: free the cloth',
  done: 'done',
}
const counts = 40
const minutes = (seconds: number) => `${Math.floor(seconds / 60)}:${`${seconds % 60}`.padStart(2, '0')}`
const metres = (mm: number) => `${(mm / 1000).toFixed(1)} m`

/** The cutting plotter: its bed with what was cut so far, how far the tool went, and what it waits for. */
export function PlotterStand({ unit }: { unit: Unit }) {
  const queries = useQueryClient()
  const metric = unit === 'cm'
  const [across, setAcross] = useState(metric ? '180' : '72')
  const [along, setAlong] = useState(metric ? '250' : '100')
  const [problem, setProblem] = useState('')
  const state = useQuery({
    queryKey: ['plotter'],
    queryFn: () => answer(api.GET('/api/devices/plotter')),
    refetchInterval: ({ state: { data } }) => (data?.is === 'cutting' ? 400 : 2000),
  }).data
  const attempt = async (call: () => Promise<unknown>) => {
    try {
      await call()
      setProblem('')
    } catch (error) {
      setProblem(told(error))
    }
    await queries.invalidateQueries({ queryKey: ['plotter'] })
  }
  const set = (isOn: boolean) =>
    attempt(() => answer(api.PUT('/api/devices/plotter', { body: { isOn, across, along, unit, faster: 20 } })))
  if (!state) return null
  const on = state.is !== 'off'
  const [wide, long] = [state.across * counts, state.along * counts]
  return (
    <section className={s.device} aria-label="Cutting plotter">
      <h2>Cutting plotter</h2>
      <form
        className={s.send}
        onSubmit={(event) => {
          event.preventDefault()
          void set(!on)
        }}
      >
        <label>
          Bed, across the cloth
          <Input
            disabled={on}
            value={across}
            suffix={unitWord(unit)}
            maxLength={40}
            onChange={(event) => setAcross(event.currentTarget.value)}
          />
        </label>
        <label>
          Along it
          <Input
            disabled={on}
            value={along}
            suffix={unitWord(unit)}
            maxLength={40}
            onChange={(event) => setAlong(event.currentTarget.value)}
          />
        </label>
        <Button htmlType="submit" aria-pressed={on}>
          {on ? 'Switch the plotter off' : 'Switch the plotter on'}
        </Button>
        {state.is === 'cutting' && (
          <Button onClick={() => void attempt(() => answer(api.POST('/api/devices/plotter/jam')))}>Jam it</Button>
        )}
        {(state.is === 'jammed' || state.is === 'waiting') && (
          <Button type="primary" onClick={() => void attempt(() => answer(api.POST('/api/devices/plotter/go-on')))}>
            {state.is === 'jammed' ? 'The cloth is free' : 'The cloth was moved on'}
          </Button>
        )}
      </form>
      {problem && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
      <p role="status">
        It is {words[state.is]}.{' '}
        {state.windows > 0 &&
          `${state.name}, window ${state.window} of ${state.windows}; ${minutes(state.seconds)} of ${minutes(state.secondsInAll)}; cut ${metres(state.down)}, moved ${metres(state.lifted)} lifted.`}
      </p>
      {on && (
        <svg
          className={s.bed}
          viewBox={`0 0 ${long} ${wide}`}
          role="img"
          aria-label={`The bed, ${metres(state.across)} by ${metres(state.along)}, with what was cut`}
        >
          <path d={state.cut} transform="matrix(0 1 1 0 0 0)" />
        </svg>
      )}
    </section>
  )
}
