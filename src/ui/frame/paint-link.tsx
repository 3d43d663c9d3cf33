'use client'

import { useParams } from 'next/navigation'
import type { ReactNode } from 'react'
import { Link } from './page-link'

/** Where a paint has its page: in the room one is in, in the visit, or before there is either. */
export function paintAddress(
  {
    visitId,
    roomId,
  }: { readonly visitId?: string | undefined; readonly roomId?: string | undefined },
  deckColourId: string,
  strengthPercent = 100,
): string {
  const at = visitId
    ? `/visits/${visitId}${roomId ? `/rooms/${roomId}/trial` : '/paint'}`
    : '/paint'
  const strength = strengthPercent === 100 ? '' : `&strength=${strengthPercent}`
  return `${at}?paint=${deckColourId}${strength}`
}

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
      className={`underline underline-offset-4 ${className}`}
    >
      {children}
    </Link>
  )
}
