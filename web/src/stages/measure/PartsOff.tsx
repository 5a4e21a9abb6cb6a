import { Button, Checkbox, Input } from 'antd'
import { useRef } from 'react'
import { newId } from '../../api/client'
import { useEditItem, useScene } from '../../job/scene'
import s from './measure.module.css'

const none: never[] = []

/** What comes off before the item is covered: numbered as it comes off, ticked when it is back on. */
export function PartsOff() {
  const editItem = useEditItem()
  const id = useScene((scene) => scene.item?.id)
  const parts = useScene((scene) => scene.item?.partsOff ?? none)
  const step = useRef('')
  if (id === undefined) return null
  return (
    <section aria-label="Parts that come off" className={s.parts}>
      <p>
        Parts that come off, each with its number on a piece of tape
        {parts.length > 0 && (
          <small>
            {parts.filter((part) => part.isBack).length} of {parts.length} back on
          </small>
        )}
      </p>
      <ol>
        {parts.map((part, at) => (
          <li
            key={part.id}
            onFocus={() => {
              step.current = newId()
            }}
          >
            <b>{at + 1}</b>
            <Input
              aria-label={`Part ${at + 1}`}
              value={part.name}
              maxLength={120}
              placeholder="leg pad, front left"
              onChange={(event) =>
                editItem(step.current, id, ({ partsOff }) => {
                  const own = partsOff.find((each) => each.id === part.id)
                  if (own) own.name = event.currentTarget.value
                })
              }
            />
            <Checkbox
              checked={part.isBack}
              onChange={(event) =>
                editItem('', id, ({ partsOff }) => {
                  const own = partsOff.find((each) => each.id === part.id)
                  if (own) own.isBack = event.target.checked
                })
              }
            >
              back on
            </Checkbox>
            <Button
              aria-label={`Strike part ${at + 1}`}
              onClick={() =>
                editItem('', id, (item) => void (item.partsOff = item.partsOff.filter((each) => each.id !== part.id)))
              }
            >
              ×
            </Button>
          </li>
        ))}
      </ol>
      <Button
        onClick={() => editItem('', id, ({ partsOff }) => void partsOff.push({ id: newId(), name: '', isBack: false }))}
      >
        Number another part
      </Button>
    </section>
  )
}
