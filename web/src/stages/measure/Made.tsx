import { useEffect, useState } from 'react'
import type { Draft } from '../../api/client'
import { useItemPicture } from '../../sewn/useItemPicture'
import s from './measure.module.css'

type Sketch = NonNullable<Draft['sketch']>

// Sketch and cover differ by what the cover is made snugger or looser; more than this and they do not show the same.
const alike = 0.08

/** Whether a picture so wide and high shows what the sketch does. */
export const fits = (box: Sketch['box'], wide: number, high: number) =>
  box.height > 0 && Math.abs((wide * box.height) / (high * box.width) - 1) <= alike

/** The cover as it will be sewn, beneath the lines of its measuring sketch: from the same side, as large. */
export function Made({ item, sketch }: { item: string; sketch: Sketch }) {
  const picture = useItemPicture(item, undefined, true)
  const [size, setSize] = useState<{ of: string; wide: number; high: number }>()
  useEffect(() => {
    if (!picture) return
    const image = new Image()
    image.onload = () => setSize({ of: picture, wide: image.naturalWidth, high: image.naturalHeight })
    image.src = picture
  }, [picture])
  const { box } = sketch
  if (!picture || size?.of !== picture || !fits(box, size.wide, size.high)) return null
  return (
    <image
      className={s.made}
      href={picture}
      x={box.x}
      y={box.y}
      width={box.width}
      height={box.height}
      preserveAspectRatio="none"
    />
  )
}
