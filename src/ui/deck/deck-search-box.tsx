'use client'

import { useRef, useState } from 'react'
import { useKeys } from '../keys/use-keys'
import { findPlaces, type DeckEntry } from './deck-strips'

/** Finds a colour of a deck by its code or name; Enter takes the first. */
export function DeckSearch({
  entries,
  onPick,
}: {
  readonly entries: readonly DeckEntry[]
  readonly onPick: (place: number) => void
}) {
  const input = useRef<HTMLInputElement>(null)
  const [typed, setTyped] = useState('')
  useKeys({ '/': () => input.current?.focus() }, [['/', 'find a colour by its code or name']])
  const found = findPlaces(entries, typed)
  function pick(place: number): void {
    onPick(place)
    setTyped('')
  }
  return (
    <div className="relative w-64">
      <label htmlFor="deck-search" className="sr-only">
        Code or name
      </label>
      <input
        ref={input}
        id="deck-search"
        type="search"
        placeholder="Code or name  /"
        className="field"
        autoComplete="off"
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && found[0] !== undefined) pick(found[0])
        }}
      />
      {typed.trim() !== '' && (
        <ul className="absolute inset-x-0 top-full z-20 border border-ink bg-paper">
          {found.map((place) => (
            <li key={place}>
              <button
                type="button"
                className="min-h-11 w-full px-3 text-left text-small hover:bg-mist"
                onClick={() => pick(place)}
              >
                {entries[place]!.code} {entries[place]!.name}
              </button>
            </li>
          ))}
          {found.length === 0 && <li className="p-3 text-small">No colour of this deck.</li>}
        </ul>
      )}
    </div>
  )
}
