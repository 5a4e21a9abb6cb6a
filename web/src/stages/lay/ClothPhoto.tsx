import { Button } from 'antd'
import { useState } from 'react'
import type { ClothGroup } from '../../job/ClothEntry'
import { ClothEntry } from '../../job/ClothEntry'
import type { Cloth } from '../../api/client'
import { Dialog } from '../../parts/Dialog'
import { PhotoPoints, type PhotoSize } from '../../parts/PhotoPoints'
import s from './lay.module.css'

type Picture = NonNullable<Cloth['picture']>

const corners = ['top left', 'top right', 'bottom right', 'bottom left']
const ends = ['one end of the ruler', 'the other end of the ruler']
/** Straightens a photo of a cloth: four corners are put round a piece of it, and its size said, or that of a ruler in the picture. */
export function ClothPhoto({
  cloth,
  picture,
  planned,
  edit,
  close,
}: ClothGroup & { picture: Picture; close: () => void }) {
  const [size, setSize] = useState<PhotoSize>()
  const points = [...picture.corners, ...picture.ruler]
  const change = (changed: Partial<Picture>, step = '') => edit({ picture: { ...picture, ...changed } }, step)
  // Corners stand first, the ends of the ruler after them.
  const put = (at: number, x: number, y: number) => {
    const next = [...points]
    next[2 * at] = x
    next[2 * at + 1] = y
    change({ corners: next.slice(0, 8), ruler: next.slice(8) }, `corner-${cloth.id}-${at}`)
  }
  const entry = (name: 'across' | 'along' | 'rulerLength', label: string) => (
    <ClothEntry
      cloth={cloth}
      planned={planned}
      name={`picture.${name}`}
      label={label}
      entry={picture[name]}
      write={(typed, step) => change({ [name]: typed }, step)}
    />
  )
  return (
    <Dialog title={`A photo of ${cloth.name}`} close={close}>
      <p>
        Put the four corners round one repeat, up the roll on top. Say how far the cloth reaches between them; left
        empty it is one repeat.
      </p>
      <PhotoPoints
        src={`/api/photos/${picture.photo}`}
        names={[...corners, ...(picture.ruler.length > 0 ? ends : [])]}
        points={points}
        size={size}
        setSize={setSize}
        put={put}
      >
        <polygon points={picture.corners.join(' ')} />
        <polyline points={picture.ruler.join(' ')} />
      </PhotoPoints>
      <div className="cloth-fields">
        {entry('across', 'Between them, across')}
        {entry('along', 'Between them, along')}
        {picture.ruler.length > 0 && entry('rulerLength', 'The ruler is')}
        {size && picture.ruler.length === 0 && (
          <Button
            onClick={() =>
              change({
                ruler: [0.3, 0.5, 0.7, 0.5].map((share, at) => Math.round(share * (at % 2 ? size.height : size.width))),
              })
            }
          >
            There is a ruler or a coin in it
          </Button>
        )}
        {picture.ruler.length > 0 && <Button onClick={() => change({ ruler: [], rulerLength: null })}>No ruler</Button>}
      </div>
      {planned && planned.look.tile.includes('photo=') && (
        <p className={s.straight}>
          <img src={planned.look.tile} alt="The cloth, straightened" />
        </p>
      )}
    </Dialog>
  )
}
