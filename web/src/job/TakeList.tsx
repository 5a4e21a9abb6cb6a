import { Button, Input } from 'antd'
import { useState } from 'react'
import { newId, type Item } from '../api/client'
import { Dialog } from '../parts/Dialog'
import { TakeTable, useTaking } from '../workroom/TakeTable'
import { useEdit, useScene } from './scene'
import s from './take-list.module.css'

/** Items from a list: pasted as it was written down, or a table of measurements. */
export function TakeList() {
  const [open, setOpen] = useState(false)
  return (
    <>
      <Button block onClick={() => setOpen(true)}>
        From a list
      </Button>
      {open && <Taking close={() => setOpen(false)} />}
    </>
  )
}

function Taking({ close }: { close: () => void }) {
  const edit = useEdit()
  const takeInHand = useScene((scene) => scene.takeInHand)
  const cloth = useScene((scene) => scene.job.document.cloths[0]?.id ?? null)
  const [text, setText] = useState('')
  const taken = (items: Item[]) => {
    const own = items.map((item) => ({ ...item, id: newId(), cloth }))
    edit(
      '',
      (document) => void document.items.push(...own),
      own.length === 1 ? 'One item was taken in.' : `${own.length} items were taken in.`,
    )
    if (own[0]) takeInHand(own[0].id)
    close()
  }
  const { look, seen } = useTaking({ kind: 'measurements', then: 'none', taken })
  return (
    <Dialog title="From a list" close={close}>
      <div className={s.list}>
        <label htmlFor="cut-list">
          A cut list, a piece a line: how many, what, and its cut size. A table of measurements can be pasted too.
        </label>
        <Input.TextArea
          id="cut-list"
          data-first=""
          autoSize={{ minRows: 7, maxRows: 14 }}
          placeholder={'2 panels 47 1/2 x 20 1/4\nboxing, 4 @ 5 x 74'}
          value={text}
          onChange={(event) => setText(event.currentTarget.value)}
        />
        <p className={s.row}>
          <Button
            type="primary"
            disabled={text.trim() === ''}
            onClick={() => look(new File([text], 'the list', { type: 'text/plain' }))}
          >
            Read it
          </Button>
          <TakeTable kind="measurements" then="none" taken={taken} />
        </p>
        {seen}
      </div>
    </Dialog>
  )
}
