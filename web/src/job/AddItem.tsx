import { Button, Input, Radio } from 'antd'
import { useState } from 'react'
import { answer, api, newId, Refused } from '../api/client'
import { Dialog } from '../parts/Dialog'
import { useDocument, useEdit, useScene } from './scene'
import s from './AddItem.module.css'

/** Asks what is covered and what it is called; everything else is asked on the drawing. */
export function AddItem({ close }: { close: () => void }) {
  const jobCloths = useScene((scene) => scene.job.document.cloths)
  const jobDocument = useDocument()
  const editJob = useEdit()
  const makeUps = useScene((scene) => scene.makeUps)
  const takeInHand = useScene((scene) => scene.takeInHand)
  const go = useScene((scene) => scene.go)
  // Families with many schools first: they are asked for most.
  const schools = (name: string) => makeUps.filter((makeUp) => makeUp.family === name).length
  const families = [...new Map(makeUps.map((makeUp) => [makeUp.family, makeUp])).values()].sort(
    (a, b) => schools(b.family) - schools(a.family),
  )
  const [picked, setFamily] = useState<string>()
  const family = picked ?? families[0]?.family ?? ''
  const [name, setName] = useState('')
  const [problem, setProblem] = useState('')
  const add = async () => {
    const makeUp = makeUps.find((each) => each.family === family)
    if (!makeUp) return
    const { unit } = jobDocument
    try {
      const item = await answer(
        api.POST('/api/items', {
          body: { id: newId(), name: name.trim() || family, makeUp: makeUp.key, unit, from: null },
        }),
      )
      const cloth =
        jobCloths.length > 0
          ? undefined
          : await answer(api.POST('/api/cloths', { body: { id: newId(), name: 'First cloth', unit } }))
      editJob('', ({ items, cloths }) => {
        items.push(item)
        if (cloth) cloths.push(cloth)
      })
      takeInHand(item.id)
      go('measure')
      close()
    } catch (error) {
      setProblem(error instanceof Refused ? error.message : 'The server does not answer. Try again.')
    }
  }
  return (
    <Dialog
      title="What is covered?"
      close={close}
      footer={
        <Button type="primary" htmlType="submit" form="add-item">
          Measure it
        </Button>
      }
    >
      <form
        id="add-item"
        className={s.ask}
        onSubmit={(event) => {
          event.preventDefault()
          void add()
        }}
      >
        <fieldset>
          <legend className="unseen">Kind</legend>
          <Radio.Group name="family" value={family} onChange={(event) => setFamily(event.target.value as string)}>
            {families.map((each) => (
              <Radio key={each.family} value={each.family}>
                {each.family}
              </Radio>
            ))}
          </Radio.Group>
        </fieldset>
        <label htmlFor="item-name">What it is called here</label>
        <Input
          id="item-name"
          data-first
          value={name}
          placeholder="Window bench, left"
          maxLength={80}
          onChange={(event) => setName(event.currentTarget.value)}
        />
        {problem && (
          <p className="problem" role="alert">
            {problem}
          </p>
        )}
      </form>
    </Dialog>
  )
}
