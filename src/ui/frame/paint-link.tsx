'use client'

import { useParams } from 'next/navigation'
import type { ReactNode } from 'react'
import { Link } from './page-link'
import { paintAddress } from './paint-address'

/** A paint's name, or a swatch of it, that leads to its own page. */
export function PaintLink({
  deckColourId,
  strengthPercent,
  className = '',
  children,
}: {
  readonly deckColourId: string
  readonly strengthPercent: number
  readonly className?: string
  readonly children: ReactNode
}) {
  const at = useParams<{ visitId?: string; roomId?: string }>()
  return (
    <Link
      href={paintAddress(at, deckColourId, strengthPercent)}
      className={`underline decoration-ash underline-offset-4 hover:decoration-ink ${className}`}
    >
      {children}
    </Link>
  )
}
