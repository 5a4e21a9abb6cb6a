import { Button } from 'antd'
import { Link } from 'react-router'
import type { ReactNode } from 'react'
import { useLight } from '../parts/Look'
import s from './Bar.module.css'

const places = [
  { key: 'jobs', name: 'Jobs', to: '/' },
  { key: 'week', name: 'Week', to: '/week' },
  { key: 'customers', name: 'Customers', to: '/customers' },
  { key: 'stock', name: 'Stock', to: '/stock' },
  { key: 'papers', name: 'Papers', to: '/papers' },
  { key: 'prices', name: 'Prices', to: '/prices' },
  { key: 'figures', name: 'Figures', to: '/figures' },
] as const

/** Along the top of every page of the workroom: where one can go. */
export function Bar({ at, children }: { at: (typeof places)[number]['key'] | ''; children?: ReactNode }) {
  const { light, switchLight } = useLight()
  return (
    <header className={s.bar}>
      <Link to="/" className={s.word}>
        Wrapper
      </Link>
      <nav aria-label="Workroom">
        {places.map((each) => (
          <Link key={each.key} to={each.to} aria-current={each.key === at ? 'page' : undefined}>
            {each.name}
          </Link>
        ))}
      </nav>
      {children}
      <Button onClick={switchLight} aria-pressed={light === 'dim'}>
        {light === 'dim' ? 'Bright' : 'Dim'}
      </Button>
    </header>
  )
}
