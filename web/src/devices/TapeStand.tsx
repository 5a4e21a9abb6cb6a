import { useQuery, useQueryClient } from '@tanstack/react-query'
import { Button, Checkbox, Input, Slider, Upload } from 'antd'
import { useState } from 'react'
import { answer, api, unitWord, type TapeState, type Unit } from '../api/client'
import { told } from '../parts/told'
import s from './devices.module.css'

// So long a hand takes from one reading of a file to the next.
const pause = 1500

/** The digital tape: readings typed, made up as a hand would read them, or taken one by one from a file. */
export function TapeStand({ unit }: { unit: Unit }) {
  const queries = useQueryClient()
  const [typed, setTyped] = useState('')
  const [within, setWithin] = useState('')
  const [problem, setProblem] = useState('')
  const [sent, setSent] = useState('')
  const state = useQuery({ queryKey: ['tape'], queryFn: () => answer(api.GET('/api/devices/tape')) }).data
  const attempt = async (call: () => Promise<unknown>) => {
    try {
      await call()
      setProblem('')
      return true
    } catch (error) {
      setProblem(told(error))
      return false
    }
  }
  const set = async (changed: Partial<TapeState>) => {
    if (!state) return
    // Shown at once, as a hand moves it; put right when it was not taken.
    queries.setQueryData(['tape'], { ...state, ...changed })
    await attempt(() => answer(api.PUT('/api/devices/tape', { body: { ...state, ...changed } })))
    await queries.invalidateQueries({ queryKey: ['tape'] })
  }
  const send = async (reading: string) => {
    const done = await attempt(() =>
      answer(api.POST('/api/devices/tape/readings', { body: { typed: reading, unit, within } })),
    )
    if (done) setSent(`Sent ${reading}.`)
    return done
  }
  const replay = async (file: File) => {
    const readings = (await file.text())
      .split(/[\r\n;]+/)
      .map((line) => line.trim().replace(/^"(.*)"$/, '$1'))
      .filter((line) => line !== '')
    for (const reading of readings) {
      if (!(await send(reading))) return
      await new Promise((next) => setTimeout(next, pause))
    }
  }
  if (!state) return null
  return (
    <section className={s.device} aria-label="Digital tape">
      <h2>Digital tape</h2>
      <p>
        <Button aria-pressed={state.isOn} onClick={() => void set({ isOn: !state.isOn })}>
          {state.isOn ? 'Switch the tape off' : 'Switch the tape on'}
        </Button>{' '}
        On Measure, press <b>Digital tape</b>: what it reads goes into the field that waits, and on to the next.
      </p>
      {state.isOn && (
        <>
          <form
            className={s.send}
            onSubmit={(event) => {
              event.preventDefault()
              void send(typed)
            }}
          >
            <label>
              Reading
              <Input
                value={typed}
                suffix={unitWord(unit)}
                maxLength={40}
                onChange={(event) => setTyped(event.currentTarget.value)}
              />
            </label>
            <label>
              Off by up to
              <Input
                value={within}
                placeholder="nothing"
                suffix={unitWord(unit)}
                maxLength={40}
                onChange={(event) => setWithin(event.currentTarget.value)}
              />
            </label>
            <Button htmlType="submit">Read it</Button>
            <Upload
              accept=".csv,.txt,text/csv,text/plain"
              showUploadList={false}
              customRequest={({ file }) => void replay(file as File)}
            >
              <Button>Replay readings of a file</Button>
            </Upload>
          </form>
          <p>
            <Checkbox checked={!state.isInReach} onChange={({ target }) => void set({ isInReach: !target.checked })}>
              Out of reach
            </Checkbox>
          </p>
          <label className={s.battery}>
            Battery, {state.battery} %
            <Slider
              min={0}
              max={100}
              value={state.battery}
              ariaLabelForHandle="Battery"
              onChange={(battery) => void set({ battery })}
            />
          </label>
          <PhoneHere />
          <p role="status">{sent}</p>
        </>
      )}
      {problem && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
    </section>
  )
}

// A phone that lies on the table anyway: what is typed there is read here.
function PhoneHere() {
  const addresses = useQuery({
    queryKey: ['tape', 'phone'],
    queryFn: () => answer(api.GET('/api/devices/tape/phone')),
  }).data
  if (!addresses) return null
  return addresses.length > 0 ? (
    <p>
      A phone in the same network is the tape too. Open there: <b>{addresses.join(' or ')}</b>
    </p>
  ) : (
    <p>
      Started with <code>--phone 5200</code>, a phone in the same network is the tape too.
    </p>
  )
}
