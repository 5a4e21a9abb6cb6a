import { Button, Input } from 'antd'
import type { Remnant } from '../api/client'
import { useScene } from '../job/context'
import { ClothEntry, type ClothGroup } from './ClothEntry'

/** Remnants and part rolls that are there: laid on before anything is bought. */
export function Stock({ cloth, planned, edit }: ClothGroup) {
  const { job } = useScene()
  const change = (at: number, remnant: Remnant, step?: string) => edit({ stock: cloth.stock.map((each, n) => (n === at ? remnant : each)) }, step)
  return (
    <details className="demands" open={cloth.stock.length > 0 || undefined}>
      <summary>Remnants and part rolls that are there</summary>
      {cloth.stock.map((remnant, at) => (
        <fieldset key={at} className="cloth-fields">
          <legend>{remnant.name || `Remnant ${at + 1}`}</legend>
          <label>Called<Input value={remnant.name} maxLength={80} onChange={(event) => change(at, { ...remnant, name: event.currentTarget.value })} /></label>
          <ClothEntry cloth={cloth} planned={planned} name={`stock.${at}.length`} label="Length" entry={remnant.length} write={(length, step) => change(at, { ...remnant, length }, step)} />
          <ClothEntry cloth={cloth} planned={planned} name={`stock.${at}.width`} label="Width, if narrower" entry={remnant.width} write={(width, step) => change(at, { ...remnant, width }, step)} />
          <Button onClick={() => edit({ stock: cloth.stock.filter((_, n) => n !== at) })}>Take it away</Button>
        </fieldset>
      ))}
      <Button onClick={() => edit({ stock: [...cloth.stock, { name: '', length: { typed: '', unit: job.document.unit }, width: null }] })}>Add a remnant</Button>
    </details>
  )
}
