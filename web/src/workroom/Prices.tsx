import { Button, Segmented, Select } from 'antd'
import { newId, type PriceBook, type PricedBy } from '../api/client'
import { Saves } from '../parts/Saves'
import { Typed } from '../parts/Typed'
import { Bar } from './Bar'
import { TakeTable } from './TakeTable'
import { usePriceBook } from './usePriceBook'
import s from './pages.module.css'

const per: { value: PricedBy; label: string }[] = [
  { value: 'each', label: 'each' },
  { value: 'yd', label: 'a yard' },
  { value: 'm', label: 'a metre' },
  { value: 'litre', label: 'a litre' },
  { value: 'cu ft', label: 'a cubic foot' },
  { value: 'kg', label: 'a kilogram' },
  { value: 'lb', label: 'a pound' },
]

type TextKey = { [K in keyof PriceBook]: PriceBook[K] extends string ? K : never }[keyof PriceBook]

const percents: { key: TextKey; name: string }[] = [
  { key: 'waste', name: 'Spoilt, of what is bought beside cloth' },
  { key: 'sundries', name: 'Needles, chalk, pins: of all material' },
  { key: 'margin', name: 'Margin, of the price before tax' },
  { key: 'rush', name: 'A job that goes before others, more' },
  { key: 'deposit', name: 'Deposit, of an order' },
]

/** What the workroom reckons its prices by, and what stands on its papers. */
export default function Prices() {
  const { view, failed, problem, edit, again } = usePriceBook()
  if (!view)
    return (
      <div className={s.page}>
        <Bar at="prices" />
        <main>{failed ? <p className="problem">{failed}</p> : <p>…</p>}</main>
      </div>
    )
  const { book, currencies, problems } = view
  const wrong = (field: string) => problems.find((each) => each.field === field)
  const sign = currencies.find(({ code }) => code === book.currency)?.symbol.trim() ?? ''
  const text = (key: TextKey, label: string, more: { unit?: string; placeholder?: string; long?: boolean } = {}) => (
    <Typed
      label={label}
      value={book[key]}
      problem={wrong(key)}
      write={(typed) => edit((old) => ({ ...old, [key]: typed }))}
      {...more}
    />
  )
  const row = (id: string, changed: object) =>
    edit((old) => ({ ...old, rows: old.rows.map((each) => (each.id === id ? { ...each, ...changed } : each)) }))
  const tax = (id: string, changed: object) =>
    edit((old) => ({ ...old, taxes: old.taxes.map((each) => (each.id === id ? { ...each, ...changed } : each)) }))
  return (
    <div className={s.page}>
      <Bar at="prices" />
      <main>
        <h1>Prices</h1>
        {problem && (
          <p className="problem" role="alert">
            {problem} <Button onClick={() => void again()}>Try again</Button>
          </p>
        )}
        <div className={s.halves}>
          <section aria-label="How it is reckoned">
            <h2>How it is reckoned</h2>
            <div className={s.fields}>
              <div className="typed">
                <span>Currency of the books</span>
                <Select
                  aria-label="Currency of the books"
                  showSearch
                  value={book.currency}
                  options={currencies.map(({ code, symbol }) => ({
                    value: code,
                    label: symbol.trim() === code ? code : `${code} ${symbol.trim()}`,
                  }))}
                  onChange={(currency) => edit((old) => ({ ...old, currency }))}
                />
              </div>
              {text('labourRate', 'An hour of making', { unit: sign, placeholder: '32.00' })}
              {percents.map(({ key, name }) => (
                <div key={key}>{text(key, name, { unit: '%', placeholder: 'none' })}</div>
              ))}
            </div>
            <h2>Tax</h2>
            <p className="note">Which taxes apply, and to what, is for you and the law of your place to say.</p>
            {book.taxes.map((each) => (
              <fieldset key={each.id} className={s.line} aria-label={each.name || 'A tax'}>
                <Typed
                  label="Its name on papers"
                  value={each.name}
                  placeholder="VAT"
                  problem={wrong(`taxes.${each.id}.name`)}
                  write={(name) => tax(each.id, { name })}
                />
                <Typed
                  label="Rate"
                  unit="%"
                  value={each.percent}
                  placeholder="20"
                  problem={wrong(`taxes.${each.id}.percent`)}
                  write={(percent) => tax(each.id, { percent })}
                />
                <Button
                  onClick={() => edit((old) => ({ ...old, taxes: old.taxes.filter(({ id }) => id !== each.id) }))}
                >
                  Take away
                </Button>
              </fieldset>
            ))}
            <div className={s.row}>
              <Button
                onClick={() =>
                  edit((old) => ({ ...old, taxes: [...old.taxes, { id: newId(), name: '', percent: '' }] }))
                }
              >
                Add a tax
              </Button>
              {book.taxes.length > 0 && (
                <Segmented
                  aria-label="Prices on papers"
                  name="included"
                  value={book.taxIncluded ? 'in' : 'on'}
                  options={[
                    { value: 'on', label: 'tax comes on top' },
                    { value: 'in', label: 'prices include it' },
                  ]}
                  onChange={(value) => edit((old) => ({ ...old, taxIncluded: value === 'in' }))}
                />
              )}
            </div>
            <h2>On your papers</h2>
            <div className={s.fields}>
              {text('address', 'Address', { long: true })}
              {text('payTo', 'How to pay you', { long: true })}
              {text('taxNumber', 'Tax number')}
              {text('validDays', 'A quotation holds for', { unit: 'days' })}
              {text('payDays', 'An invoice is to be paid in', { unit: 'days' })}
            </div>
            {text('terms', 'Terms, as they stand on quotations and invoices', { long: true })}
          </section>
          <section aria-label="What is bought beside cloth">
            <h2>What is bought beside cloth</h2>
            <Saves label="these prices" base="/api/tables/prices" as={['csv', 'xlsx']} />
            <TakeTable kind="prices" then="price-book" />
            <p className="note">
              By its name on the shopping list. A job that asks for something without a price asks you for it there.
              Cloth has its price in the job, under Buy.
            </p>
            {book.rows.map((each) => (
              <fieldset key={each.id} className={s.line} aria-label={each.thing || 'A price'}>
                <Typed
                  label="What"
                  value={each.thing}
                  placeholder="zip chain"
                  problem={wrong(`rows.${each.id}.thing`)}
                  write={(thing) => row(each.id, { thing })}
                />
                <Typed
                  label="Price"
                  unit={sign}
                  value={each.price}
                  placeholder="2.40"
                  problem={wrong(`rows.${each.id}.price`)}
                  write={(price) => row(each.id, { price })}
                />
                <Select
                  aria-label={`What the price of ${each.thing || 'this'} is for`}
                  value={each.by}
                  options={per}
                  onChange={(by) => row(each.id, { by })}
                />
                <Button
                  aria-label={`Take away ${each.thing || 'this price'}`}
                  onClick={() => edit((old) => ({ ...old, rows: old.rows.filter(({ id }) => id !== each.id) }))}
                >
                  Take away
                </Button>
              </fieldset>
            ))}
            <Button
              onClick={() =>
                edit((old) => ({ ...old, rows: [...old.rows, { id: newId(), thing: '', price: '', by: 'each' }] }))
              }
            >
              Add a price
            </Button>
          </section>
        </div>
      </main>
    </div>
  )
}
