import { useQuery } from '@tanstack/react-query'
import { AutoComplete, Select } from 'antd'
import { useId, useRef } from 'react'
import { answer, api, newId } from '../../api/client'
import { useEdit, useEditItem, useScene } from '../../job/scene'
import s from './measure.module.css'

/** Which room the item belongs to, of the place that the covers go to; and which place, where the customer has several. */
export function Room() {
  const id = useScene((scene) => scene.item?.id)
  const room = useScene((scene) => scene.item?.room)
  const customer = useScene((scene) => scene.job.document.customerId)
  const placeId = useScene((scene) => scene.job.document.placeId)
  const edit = useEdit()
  const editItem = useEditItem()
  const step = useRef('')
  const field = useId()
  const places =
    useQuery({
      queryKey: ['customer', customer],
      queryFn: () => answer(api.GET('/api/customers/{id}', { params: { path: { id: customer } } })),
      enabled: customer !== '',
    }).data?.customer.customer.places ?? []
  const rooms = places.find((each) => each.id === placeId)?.rooms ?? []
  if (id === undefined) return null
  return (
    <>
      {places.length > 1 && (
        <div className={s.notes}>
          <span>The covers go to</span>
          <Select
            aria-label="The covers go to"
            value={placeId}
            options={places.map((each) => ({ value: each.id, label: each.name || 'a place without a name' }))}
            onChange={(place) => edit('', (job) => void (job.placeId = place))}
          />
        </div>
      )}
      <div className={s.notes}>
        <label htmlFor={field}>Room</label>
        <AutoComplete
          id={field}
          value={room ?? ''}
          placeholder="East bay"
          options={rooms.map((value) => ({ value }))}
          onFocus={() => {
            step.current = newId()
          }}
          onChange={(typed: string) => editItem(step.current, id, (item) => void (item.room = typed.slice(0, 120)))}
        />
      </div>
    </>
  )
}
