import type { ClothLook } from './ClothPattern'
import s from './swatch.module.css'

// What a swatch shows of its cloth, in hundredths of a millimetre: a hand's breadth, or a whole repeat.
const shown = 10_000

interface Props {
  tone: string
  look?: ClothLook | undefined
  /** In pixels. */
  size?: number
}

/** A swatch of a cloth: so much of it as a hand covers. */
export function Swatch({ tone, look, size = 26 }: Props) {
  const scale = size / Math.max(shown, Math.min(look?.across ?? 0, look?.along ?? 0))
  return (
    <span
      className={s.swatch}
      aria-hidden
      style={{
        width: size,
        height: size,
        backgroundColor: tone,
        ...(look && {
          backgroundImage: `url("${look.tile}")`,
          backgroundSize: `${Math.max(8, look.across * scale)}px ${Math.max(8, look.along * scale)}px`,
        }),
      }}
    />
  )
}
