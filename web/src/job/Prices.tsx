import { Button } from 'antd'
import { newId, type Price } from '../api/client'
import { ClothEntry, type ClothGroup } from './ClothEntry'
import { useScene, useUnit } from './scene'

/** The least that the shop cuts, and prices that hold from a certain length on. */
export function Prices({ cloth, planned, edit }: ClothGroup) {
  const jobUnit = useUnit()
  const currency = useScene((scene) => scene.job.document.currency)
  const change = (at: number, price: Price, step?: string) =>
    edit({ prices: cloth.prices.map((each, n) => (n === at ? price : each)) }, step)
  return (
    <div className="cloth-fields">
      <ClothEntry
        cloth={cloth}
        planned={planned}
        name="leastCut"
        label="The least it cuts"
        unit=""
        entry={cloth.leastCut}
        write={(leastCut, step) => edit({ leastCut }, step)}
      />
      {cloth.prices.map((price, at) => (
        <fieldset key={price.id || at} className="cloth-fields" aria-label={`Other price ${at + 1}`}>
          <ClothEntry
            cloth={cloth}
            planned={planned}
            name={`prices.${at}.from`}
            label="From"
            unit=""
            entry={price.from}
            write={(from, step) => change(at, { ...price, from }, step)}
          />
          <ClothEntry
            cloth={cloth}
            planned={planned}
            name={`prices.${at}.price`}
            label="Its price"
            unit={currency}
            entry={{ typed: price.price, unit: jobUnit }}
            write={({ typed }, step) => change(at, { ...price, price: typed }, step)}
          />
          <Button onClick={() => edit({ prices: cloth.prices.filter((_, n) => n !== at) })}>Take away</Button>
        </fieldset>
      ))}
      <Button
        onClick={() =>
          edit({ prices: [...cloth.prices, { id: newId(), from: { typed: '', unit: jobUnit }, price: '' }] })
        }
      >
        Another price from a length on
      </Button>
    </div>
  )
}
