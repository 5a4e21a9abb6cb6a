import { Segmented } from 'antd'
import type { Cloth } from '../../api/client'
import { Behaves } from '../../job/Behaves'
import { ClothEntry, type ClothGroup } from '../../job/ClothEntry'
import { useUnit } from '../../job/scene'
import { Pictured, SpreadPicture } from '../../parts/ClothPictures'

const spreads = { single: 'one layer', folded: 'folded double', torn: 'torn across' } as const
const shrinks = { shrinksAcross: 'Shrinks across', shrinksAlong: 'Shrinks along' } as const

/** How the cloth is spread on the table, and what it does under shears and in the wash. */
export function LyingFields({ cloth, planned, edit }: ClothGroup) {
  const jobUnit = useUnit()
  const wrong = planned?.problems.find((each) => each.field === `cloths.${cloth.id}.spread`)
  return (
    <>
      <div className="cloth-fields">
        <Segmented
          tabIndex={-1}
          aria-label="Spread"
          name={`spread-${cloth.id}`}
          value={cloth.spread}
          options={(['single', 'folded', 'torn'] as const).map((spread) => ({
            value: spread,
            label: <Pictured picture={<SpreadPicture spread={spread} />} word={spreads[spread]} />,
          }))}
          onChange={(spread: Cloth['spread']) => edit({ spread })}
        />
        <ClothEntry
          cloth={cloth}
          planned={planned}
          name="gap"
          label="Left between pieces"
          entry={cloth.gap}
          write={(gap, step) => edit({ gap }, step)}
        />
        {(['shrinksAcross', 'shrinksAlong'] as const).map((key) => (
          <ClothEntry
            key={key}
            cloth={cloth}
            planned={planned}
            name={key}
            label={shrinks[key]}
            unit="%"
            entry={{ typed: cloth[key], unit: jobUnit }}
            write={(entry, step) => edit({ [key]: entry.typed }, step)}
          />
        ))}
        <Behaves cloth={cloth} edit={edit} />
      </div>
      {wrong && (
        <p className="problem" role="alert">
          {wrong.reason}.
        </p>
      )}
    </>
  )
}
