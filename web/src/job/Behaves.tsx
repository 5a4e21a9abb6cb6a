import { useQuery } from '@tanstack/react-query'
import { Select } from 'antd'
import { answer, api, type Cloth } from '../api/client'

const finishes = [
  { value: 'zigzag', label: 'Zigzagged' },
  { value: 'serging', label: 'Serged, three threads' },
] as const

/** How a cloth behaves: what follows from it is told in the making order. */
export function Behaves({ cloth, edit }: { cloth: Cloth; edit: (changed: Partial<Cloth>, step?: string) => void }) {
  const traits = useQuery({
    queryKey: ['cloth-traits'],
    queryFn: () => answer(api.GET('/api/cloth-traits')),
    staleTime: Infinity,
  })
  const ravels = cloth.behaves.some((trait) => trait === 'frays' || trait === 'sheds')
  return (
    <>
      <label>
        Behaves
        <Select
          mode="multiple"
          aria-label={`How ${cloth.name} behaves`}
          placeholder="washable, frays, …"
          value={cloth.behaves}
          options={(traits.data ?? []).map((each) => ({ value: each.trait, label: each.name, title: each.means }))}
          onChange={(behaves) => edit({ behaves }, '')}
        />
      </label>
      {ravels && (
        <label>
          Raw edges
          <Select
            aria-label={`How the raw edges of ${cloth.name} are finished`}
            value={cloth.edgeFinish}
            options={[...finishes]}
            onChange={(edgeFinish) => edit({ edgeFinish }, '')}
          />
        </label>
      )}
    </>
  )
}
