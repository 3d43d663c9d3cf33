'use client'

import { useEffect, useEffectEvent, useRef, useState } from 'react'
import { deckWords } from './deck-words'
import { useKeys } from '../keys/use-keys'
import type { ListedDecks } from './listed-decks'

/** Finds a colour of the decks in use by its code or name; Enter takes the first. */
export function Search({
  decks,
  onPick,
}: {
  readonly decks: ListedDecks | null
  readonly onPick: (place: number) => void
}) {
  const input = useRef<HTMLInputElement>(null)
  const [typed, setTyped] = useState('')
  useKeys({ '/': () => input.current?.focus() }, [['/', 'find a colour by its code or name']])
  const found = decks ? decks.find(typed) : []
  // Who types faster than the decks come is answered when they are there.
  const [waiting, setWaiting] = useState(false)
  function pick(place: number): void {
    onPick(place)
    setTyped('')
    // What was asked for is answered beside it: keys go there.
    input.current?.blur()
  }
  const answer = useEffectEvent((place: number | undefined) => {
    setWaiting(false)
    if (place !== undefined) pick(place)
  })
  useEffect(() => {
    // eslint-disable-next-line react-hooks/set-state-in-effect -- the decks came: what was asked is answered
    if (decks && waiting) answer(decks.find(typed)[0])
  }, [decks, waiting, typed])
  return (
    <div className="relative mb-1 w-48">
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
        onChange={(event) => {
          setTyped(event.target.value)
          setWaiting(false)
        }}
        onKeyDown={(event) => {
          if (event.key !== 'Enter') return
          if (found[0] !== undefined) pick(found[0])
          else if (!decks) setWaiting(true)
        }}
      />
      {decks && typed.trim() !== '' && (
        <ul className="absolute top-full right-0 z-20 w-80 border border-ink bg-paper">
          {found.map((place) => {
            const { code, name, deck } = decks.colours[place]!
            return (
              <li key={place}>
                <button
                  type="button"
                  className="min-h-11 w-full px-3 text-left text-small hover:bg-mist"
                  onClick={() => pick(place)}
                >
                  {code} {name}
                  <span className="block text-fine text-dim">{deckWords(deck)}</span>
                </button>
              </li>
            )
          })}
          {found.length === 0 && <li className="p-3 text-small">No colour in these decks.</li>}
        </ul>
      )}
    </div>
  )
}
