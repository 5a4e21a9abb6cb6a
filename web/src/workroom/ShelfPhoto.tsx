import { useQueryClient } from '@tanstack/react-query'
import { Button, Upload } from 'antd'
import { useState } from 'react'
import { answer, api, type StockView } from '../api/client'
import { told } from '../parts/told'
import s from './stock.module.css'

/** How something on a shelf looks: one photo, taken or chosen, put in the place of the one before. */
export function ShelfPhoto({ view: { id, row, hasPhoto } }: { view: StockView }) {
  const queries = useQueryClient()
  const [shown, setShown] = useState(0)
  const [problem, setProblem] = useState('')
  const send = async (call: () => Promise<unknown>) => {
    try {
      await call()
      setProblem('')
      setShown((before) => before + 1)
    } catch (error) {
      setProblem(told(error))
    }
    await queries.invalidateQueries({ queryKey: ['stock'] })
  }
  const params = { path: { id } }
  const keep = (file: File) =>
    send(() =>
      answer(
        api.PUT('/api/stock/{id}/photo', {
          params,
          body: file as unknown as string,
          bodySerializer: (body) => body,
          headers: { 'Content-Type': file.type },
        }),
      ),
    )
  return (
    <div className={s.photo}>
      {hasPhoto && <img src={`/api/stock/${id}/photo?of=${shown}`} alt={`How ${row.name} looks`} />}
      <Upload
        accept="image/jpeg,image/png,image/webp"
        showUploadList={false}
        customRequest={({ file }) => void keep(file as File)}
      >
        <Button>{hasPhoto ? 'Another photo' : 'Add a photo'}</Button>
      </Upload>
      {hasPhoto && (
        <Button onClick={() => void send(() => answer(api.DELETE('/api/stock/{id}/photo', { params })))}>
          Take the photo away
        </Button>
      )}
      {problem && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
    </div>
  )
}
