import { Button, Checkbox } from 'antd'
import { newId, type PriceSheet, type Problem } from '../../api/client'
import { Typed } from '../../parts/Typed'
import s from './price.module.css'

interface Props {
  sheet: PriceSheet
  edit: (change: (sheet: PriceSheet) => PriceSheet) => void
  problems: Problem[]
  rush: string
  deposit: string
}

/** What is charged beside the covers or taken off, whether it goes before others, and the deposit. */
export function Extras({ sheet, edit, problems, rush, deposit }: Props) {
  const change = (id: string, changed: object) =>
    edit((old) => ({ ...old, extras: old.extras.map((each) => (each.id === id ? { ...each, ...changed } : each)) }))
  const problem = (field: string) => problems.find((each) => each.field === field)
  return (
    <div className={s.extras}>
      {sheet.extras.map((extra, at) => (
        <fieldset key={extra.id} className={s.extra} aria-label={`Line of your own ${at + 1}`}>
          <Typed
            label="Also charged, or taken off"
            value={extra.text}
            placeholder="Delivery and fitting"
            problem={extra.text === '' && extra.amount === '' ? undefined : problem(`extras.${extra.id}.text`)}
            write={(text) => change(extra.id, { text })}
          />
          <Typed
            label="Amount"
            value={extra.amount}
            placeholder="45.00 or -20.00"
            problem={extra.text === '' && extra.amount === '' ? undefined : problem(`extras.${extra.id}.amount`)}
            write={(amount) => change(extra.id, { amount })}
          />
          <Button onClick={() => edit((old) => ({ ...old, extras: old.extras.filter(({ id }) => id !== extra.id) }))}>
            Take away
          </Button>
        </fieldset>
      ))}
      <div className={s.row}>
        <Button
          onClick={() => edit((old) => ({ ...old, extras: [...old.extras, { id: newId(), text: '', amount: '' }] }))}
        >
          Add a line of your own
        </Button>
        <Checkbox
          checked={sheet.isRush}
          disabled={rush.trim() === '' && !sheet.isRush}
          onChange={(event) => edit((old) => ({ ...old, isRush: event.target.checked }))}
        >
          Goes before others
          {rush.trim() === '' ? ' (Prices tell no rush yet)' : `, ${rush.replace('%', '').trim()} % more`}
        </Checkbox>
        <Typed
          label="Deposit, per cent"
          value={sheet.deposit}
          placeholder={`${deposit || '0'}, as usual`}
          problem={problem('deposit')}
          write={(typed) => edit((old) => ({ ...old, deposit: typed }))}
        />
      </div>
    </div>
  )
}
