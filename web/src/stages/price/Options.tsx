import { Button, Select } from 'antd'
import { newId, type Offer, type PriceSheet } from '../../api/client'
import { problemText } from '../../parts/told'
import s from './price.module.css'

interface Props {
  offer: Offer
  sheet: PriceSheet
  edit: (change: (sheet: PriceSheet) => PriceSheet) => void
}

const most = 6

/** What is offered beside: one choice of one item answered otherwise, drafted, laid and priced anew. */
export function Options({ offer, sheet, edit }: Props) {
  const key = (item: string, choice: string, answer: string) => JSON.stringify([item, choice, answer])
  const offered = new Set(sheet.options.map((each) => key(each.item, each.choice, each.answer)))
  const groups = offer.could
    .map((each) => ({
      label: `${each.itemName}: ${each.name}`,
      title: each.itemName,
      options: each.answers
        .map((answer) => ({ value: key(each.item, each.choice, answer.key), label: answer.text }))
        .filter(({ value }) => !offered.has(value)),
    }))
    .filter(({ options }) => options.length > 0)
  return (
    <section className={s.options} aria-label="Offered beside">
      {sheet.options.length > 0 && (
        <ul>
          {sheet.options.map((each) => {
            const priced = offer.options.find(({ id }) => id === each.id)
            const problem = offer.problems.find(({ field }) => field === `options.${each.id}`)
            return (
              <li key={each.id}>
                <span>{priced?.text ?? 'Being reckoned …'}</span>
                {priced && (
                  <span>
                    <b>{priced.sum.total.text}</b>, {priced.difference}
                  </span>
                )}
                <Button
                  onClick={() => edit((old) => ({ ...old, options: old.options.filter(({ id }) => id !== each.id) }))}
                >
                  Take away
                </Button>
                {problem && <p className="problem">{problemText(problem)}</p>}
              </li>
            )
          })}
        </ul>
      )}
      {groups.length > 0 && sheet.options.length < most && (
        <Select
          aria-label="Offer it otherwise too"
          placeholder="Offer it otherwise too, side by side"
          value={null}
          showSearch={{ optionFilterProp: 'label' }}
          popupMatchSelectWidth={false}
          options={groups}
          onChange={(value: string | null) => {
            if (value === null) return
            const [item = '', choice = '', answer = ''] = JSON.parse(value) as string[]
            edit((old) => ({ ...old, options: [...old.options, { id: newId(), item, choice, answer }] }))
          }}
        />
      )}
    </section>
  )
}
