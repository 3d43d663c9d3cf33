'use client'

import { useState, type ReactNode } from 'react'

/** Devices that fill colours in, one open at a time; typing needs none of them. */
export function WaysToRead({
  children,
}: {
  readonly children: Readonly<Record<string, ReactNode>>
}) {
  const [open, setOpen] = useState<string | null>(null)
  return (
    <section aria-label="Ways to read it" className="border-t border-rule pt-3">
      <div className="flex flex-wrap items-center gap-2 text-small">
        Read its colours from
        {Object.keys(children).map((name) => (
          <button
            key={name}
            type="button"
            className="key"
            aria-pressed={open === name}
            onClick={() => setOpen(open === name ? null : name)}
          >
            {name}
          </button>
        ))}
      </div>
      {Object.entries(children).map(([name, way]) => (
        <div key={name} className={open === name ? 'pt-3' : 'hidden'}>
          {way}
        </div>
      ))}
    </section>
  )
}
