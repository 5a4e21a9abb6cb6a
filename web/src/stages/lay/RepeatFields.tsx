import { Segmented } from 'antd'
import { ClothEntry, type ClothGroup } from '../../job/ClothEntry'
import { useWord } from '../../parts/useWord'
import { Pictured, RepeatPicture } from '../../parts/ClothPictures'

const repeat = { repeatAlong: 'Repeat, along', repeatAcross: 'Repeat, across' } as const
const motif = { motifAcross: 'Motif, across', motifAlong: 'Motif, along', skew: 'Off square by' } as const

/** How far the print repeats, how it matches from width to width, and where its motif stands. */
export function RepeatFields({ cloth, planned, edit }: ClothGroup) {
  const selvedge = useWord('selvedge')
  const printed = [cloth.repeatAlong, cloth.repeatAcross].some((entry) => (entry?.typed ?? '') !== '')
  const entry = (key: keyof typeof repeat | keyof typeof motif, label: string) => (
    <ClothEntry
      key={key}
      cloth={cloth}
      planned={planned}
      name={key}
      label={label}
      entry={cloth[key]}
      write={(typed, step) => edit({ [key]: typed }, step)}
    />
  )
  return (
    <>
      <div className="cloth-fields">
        {(['repeatAlong', 'repeatAcross'] as const).map((key) => entry(key, repeat[key]))}
        <Segmented
          tabIndex={-1}
          aria-label="Match"
          name={`match-${cloth.id}`}
          value={cloth.halfDrop ? 'half' : 'straight'}
          options={[
            { value: 'straight', label: <Pictured picture={<RepeatPicture half={false} />} word="straight match" /> },
            { value: 'half', label: <Pictured picture={<RepeatPicture half />} word="half-drop" /> },
          ]}
          onChange={(match) => edit({ halfDrop: match === 'half' })}
        />
      </div>
      {printed && (
        <div className="cloth-fields">
          <p className="note">
            Motif: its centre from the {selvedge} and from where its repeat begins, empty for the middle. Off square:
            how far the print runs out from {selvedge} to {selvedge}.
          </p>
          {(['motifAcross', 'motifAlong', 'skew'] as const).map((key) => entry(key, motif[key]))}
        </div>
      )}
    </>
  )
}
