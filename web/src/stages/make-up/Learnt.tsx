import { useQueryClient } from '@tanstack/react-query'
import { Button } from 'antd'
import { useState } from 'react'
import { api, Refused } from '../../api/client'
import { useEditItem, useScene } from '../../job/scene'
import { useLearnt } from '../../job/useLearnt'
import s from './make-up.module.css'

type Proposal = NonNullable<ReturnType<typeof useLearnt>>['proposals'][number]

/** What the workroom's own fittings propose for the item in hand, and why; it can be refused. */
export function Learnt() {
  const item = useScene((scene) => scene.item)
  const editItem = useEditItem()
  const queries = useQueryClient()
  const proposals = useLearnt(item?.id)?.proposals ?? []
  const [told, setTold] = useState('')
  if (!item || (proposals.length === 0 && told === '')) return null
  const take = ({ field, proposed }: Proposal) =>
    editItem('', item.id, (draft, document) => {
      const [map, key = ''] = field.split('.')
      if (map === 'choices') draft.choices[key] = proposed
      else if (map === 'measures') draft.measures[key] = proposed
      else {
        const cloth = document.cloths.find((each) => each.id === item.cloth) ?? document.cloths[0]
        if (cloth && (key === 'shrinksAlong' || key === 'shrinksAcross')) cloth[key] = proposed.typed
      }
    })
  const tell = async (proposal: Proposal, to: 'Begin' | 'Refuse', done: string) => {
    try {
      const { response, error } = await api.PUT('/api/learnt/{makeUp}', {
        params: { path: { makeUp: item.makeUp } },
        body: {
          field: proposal.field,
          cloth: proposal.cloth,
          from: proposal.from,
          answer: to,
          entry: to === 'Begin' ? proposal.proposed : null,
        },
      })
      if (!response.ok) throw new Refused(response.status, (error as { detail?: string }).detail ?? '', [], undefined)
      setTold(done)
      await queries.invalidateQueries({ queryKey: ['learnt'] })
    } catch (failure) {
      setTold(failure instanceof Refused ? failure.message : 'The server does not answer. Nothing was changed.')
    }
  }
  return (
    <section className={s.learnt} aria-label="From your own fits">
      {proposals.map((proposal) => (
        <div key={proposal.field}>
          <p>
            <b>{proposal.name}</b>: your last {proposal.from} fits
            {proposal.cloth && ` of ${proposal.cloth}`} come to <b>{proposal.proposed.typed}</b>; here it is{' '}
            {proposal.now}.
          </p>
          <p>
            <Button onClick={() => take(proposal)}>Use {proposal.proposed.typed} here</Button>
            {!proposal.field.startsWith('cloth.') && (
              <Button
                onClick={() => {
                  take(proposal)
                  void tell(proposal, 'Begin', 'New items of this kind begin with it.')
                }}
              >
                Here and from now on
              </Button>
            )}
            <Button onClick={() => void tell(proposal, 'Refuse', 'Asked again when more fits speak for it.')}>
              No
            </Button>
          </p>
        </div>
      ))}
      {told && <p role="status">{told}</p>}
    </section>
  )
}
