'use client'

import { useState, type ReactNode } from 'react'

/** The ways to read a colour, a key each. */
export function WaysToRead({ children }: { readonly children: ReactNode }) {
  return (
    <section
      aria-label="Ways to read it"
      className="flex flex-wrap items-center gap-2 border-t border-rule pt-3 text-small"
    >
      {children}
    </section>
  )
}

/** A key in the row of ways, and what it opens below the row. */
export function WayToRead({
  name,
  children,
}: {
  readonly name: string
  readonly children: ReactNode
}) {
  const [open, setOpen] = useState(false)
  return (
    <>
      <button type="button" className="key" aria-expanded={open} onClick={() => setOpen(!open)}>
        {name}
      </button>
      <WayPanel shown={open}>{children}</WayPanel>
    </>
  )
}

export function WayPanel({
  shown,
  children,
}: {
  readonly shown: boolean
  readonly children: ReactNode
}) {
  return <div className={shown ? 'order-last basis-full pt-1' : 'hidden'}>{children}</div>
}
