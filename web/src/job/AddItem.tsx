import { Button, Input, Radio } from 'antd'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { answer, api, newId, Refused, type Item, type Problem } from '../api/client'
import { Dialog } from '../parts/Dialog'
import { usePicture } from '../parts/picture'
import { SetFields } from './SetFields'
import { useDocument, useEdit, useScene } from './scene'
import s from './AddItem.module.css'

// Sets stand among the kinds; this tells them apart.
const setOf = (kind: string) => (kind.startsWith('set:') ? kind.slice(4) : undefined)

/** Asks what is covered and what it is called; everything else is asked on the drawing. Of a set what its items share is asked here. */
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
  const sets = useQuery({
    queryKey: ['sets'],
    queryFn: () => answer(api.GET('/api/sets')),
    staleTime: Infinity,
  })
  const [picked, setFamily] = useState<string>()
  const family = picked ?? families[0]?.family ?? ''
  const [name, setName] = useState('')
  const [problem, setProblem] = useState('')
  const set = sets.data?.find((each) => each.key === setOf(family))
  // Of each set by itself: sets have letters in common.
  const [typed, setTyped] = useState<Record<string, Record<string, string>>>({})
  const [wrong, setWrong] = useState<Problem[]>([])
  const add = async () => {
    const makeUp = makeUps.find((each) => each.family === family)
    const { unit } = jobDocument
    const begin = async (): Promise<Item[]> => {
      if (set) {
        const entries = Object.fromEntries(
          Object.entries(typed[set.key] ?? {}).map(([key, text]) => [key, { typed: text, unit }]),
        )
        const body = { set: set.key, id: newId(), name: name.trim() || (set.name.split(' ')[0] ?? ''), unit, entries }
        return answer(api.POST('/api/sets', { body }))
      }
      if (!makeUp) return []
      const body = { id: newId(), name: name.trim() || family, makeUp: makeUp.key, unit, from: null }
      return [await answer(api.POST('/api/items', { body }))]
    }
    try {
      const begun = await begin()
      if (!begun[0]) return
      const cloth =
        jobCloths.length > 0
          ? undefined
          : await answer(api.POST('/api/cloths', { body: { id: newId(), name: 'First cloth', unit } }))
      editJob('', ({ items, cloths }) => {
        items.push(...begun)
        if (cloth) cloths.push(cloth)
      })
      takeInHand(begun[0].id)
      go('measure')
      close()
    } catch (error) {
      const told = error instanceof Refused ? error.problems : []
      setWrong(told)
      setProblem(
        told.length > 0 ? '' : error instanceof Refused ? error.message : 'The server does not answer. Try again.',
      )
    }
  }
  return (
    <Dialog
      title="What is covered?"
      close={close}
      footer={
        <Button type="primary" htmlType="submit" form="add-item">
          {set ? 'Begin them all' : 'Measure it'}
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
          <Radio.Group
            name="family"
            value={family}
            onChange={(event) => {
              setFamily(event.target.value as string)
              setWrong([])
            }}
          >
            {families.map((each) => (
              <Radio key={each.family} value={each.family}>
                <Usual makeUp={each.key} />
                <span>{each.family}</span>
              </Radio>
            ))}
            {sets.data?.map((each) => (
              <Radio key={each.key} value={`set:${each.key}`} title={each.suits}>
                {each.name}
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
        {set && (
          <SetFields
            set={set}
            unit={jobDocument.unit}
            typed={typed[set.key] ?? {}}
            type={(key, text) => {
              setTyped((old) => ({ ...old, [set.key]: { ...old[set.key], [key]: text } }))
              setWrong((old) => old.filter((each) => each.field !== key))
            }}
            problems={wrong}
          />
        )}
        {problem && (
          <p className="problem" role="alert">
            {problem}
          </p>
        )}
      </form>
    </Dialog>
  )
}

// The first make-up of a kind at usual sizes.
function Usual({ makeUp }: { makeUp: string }) {
  const picture = usePicture(`/api/make-ups/${makeUp}/sewn.png`)
  return <span className={s.usual}>{picture && <img src={picture} alt="" />}</span>
}
