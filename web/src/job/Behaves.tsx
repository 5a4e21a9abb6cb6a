import { useQuery } from '@tanstack/react-query'
import { Select } from 'antd'
import { answer, api, type Cloth } from '../api/client'

/** How a cloth behaves: what follows from it is told in the making order. */
export function Behaves({ cloth, edit }: { cloth: Cloth; edit: (changed: Partial<Cloth>, step?: string) => void }) {
  const traits = useQuery({
    queryKey: ['cloth-traits'],
    queryFn: () => answer(api.GET('/api/cloth-traits')),
    staleTime: Infinity,
  })
  return (
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
  )
}
