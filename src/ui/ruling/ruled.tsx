'use client'

import { useState } from 'react'
import type { StandingRuling } from './ruling-model'

/** The ruling that stands, and how it is reopened: with a reason. */
export function Ruled({
  ruling,
  onReopen,
}: {
  readonly ruling: StandingRuling
  readonly onReopen: (because: string) => void
}) {
  const [because, setBecause] = useState('')
  return (
    <section aria-label="The ruling" className="flex flex-col gap-2">
      <h2 className="text-title">
        {ruling.called}, {ruling.sheen}
      </h2>
      <p className="text-small">
        Ruled by {ruling.by}, {ruling.on}. It stays as it is until it is reopened.
      </p>
      {ruling.compromise && <p className="border-l-4 border-ink pl-3">{ruling.compromise}</p>}
      {ruling.gaps.length > 0 && (
        <p className="text-small">Not known then: {ruling.gaps.join('; ')}.</p>
      )}
      <form
        className="flex flex-col gap-2 border-t border-rule pt-2"
        onSubmit={(event) => {
          event.preventDefault()
          onReopen(because)
        }}
      >
        <label className="text-small">
          Reopen it, because
          <input
            className="field w-full"
            maxLength={2000}
            required
            value={because}
            onChange={(event) => setBecause(event.target.value)}
          />
        </label>
        <button type="submit" className="key self-start">
          Reopen
        </button>
      </form>
    </section>
  )
}
