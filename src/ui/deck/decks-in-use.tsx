'use client'

import { deckWords } from './deck-words'
import type { DeckName } from '@/workers/fetch-deck'

/** Which decks are looked through; one at least. */
export function DecksInUse({
  decks,
  inUse,
  onChange,
}: {
  readonly decks: readonly DeckName[]
  readonly inUse: readonly string[]
  readonly onChange: (inUse: readonly string[]) => void
}) {
  if (decks.length < 2) return null
  return (
    <div role="group" aria-label="Decks in use" className="flex flex-wrap gap-x-4 text-small">
      {decks.map((deck) => {
        const { id } = deck
        const isIn = inUse.includes(id)
        return (
          <label key={id} className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              className="size-5 accent-ink"
              checked={isIn}
              disabled={isIn && inUse.length === 1}
              onChange={() => onChange(isIn ? inUse.filter((each) => each !== id) : [...inUse, id])}
            />
            {deckWords(deck)}
          </label>
        )
      })}
    </div>
  )
}
