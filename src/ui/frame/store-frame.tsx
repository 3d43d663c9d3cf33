'use client'

import { Link } from './page-link'
import { usePathname } from 'next/navigation'
import type { ReactNode } from 'react'
import { HeaderKeys } from './header-keys'
import type { Destination } from './steps'
import { WorkArea } from './work-area'

const PAGES = [
  ['/', 'Visits'],
  ['/decks', 'Decks'],
  ['/practice', 'Practice'],
  ['/eye', 'Eye'],
  ['/settings', 'Settings'],
] as const

/** Around the pages that are of no visit: where one can go, the keys, and one that takes back. */
export function StoreFrame({
  visits,
  children,
}: {
  readonly visits: readonly Destination[]
  readonly children: ReactNode
}) {
  const path = usePathname()
  const pages = [...PAGES, ['/visits/new', 'New visit'] as const].map(([href, name]) => ({
    kind: 'step' as const,
    href,
    name,
    says: '',
  }))
  return (
    <div className="flex h-dvh flex-col">
      <header className="flex h-11 shrink-0 items-stretch border-b border-ink">
        <nav aria-label="Pages" className="flex flex-1">
          {PAGES.map(([href, name]) => (
            <Link
              key={href}
              href={href}
              aria-current={
                path === href || (href !== '/' && path.startsWith(`${href}/`)) ? 'page' : undefined
              }
              className="flex items-center border-r border-rule px-4 text-small font-medium hover:bg-mist aria-[current]:bg-ink aria-[current]:text-paper max-sm:px-1.5"
            >
              {name}
            </Link>
          ))}
        </nav>
        <HeaderKeys visitId={null} destinations={[...pages, ...visits]} />
      </header>
      <WorkArea>{children}</WorkArea>
    </div>
  )
}
