import type { ClothPlan } from '../api/client'

export type ClothLook = ClothPlan['look']

/** A cloth as an SVG fill, true to scale; `placed` says how its tile lies on what is drawn. */
export function ClothPattern({ id, look, placed }: { id: string; look: ClothLook; placed?: string | undefined }) {
  return (
    <pattern
      id={id}
      width={look.across}
      height={look.along}
      patternUnits="userSpaceOnUse"
      {...(placed && { patternTransform: placed })}
    >
      <image href={look.tile} width={look.across} height={look.along} preserveAspectRatio="none" />
    </pattern>
  )
}
