'use client'

import { useEffect, useState } from 'react'
import { atStrength } from '@/core/paint/strength'
import type { Lean } from '@/core/undertone/lean'
import type { DeckName } from '@/workers/fetch-deck'
import { findInWorker } from '@/workers/rank-client'
import type { AtStrength, FoundColour } from '@/workers/rank-protocol'
import { deckWords } from '../deck/deck-words'
import type { RankedFor } from './ranked-for'
import { useLight } from '../light-bar/light-context'
import { RelitPatch } from '../swatch/relit-patch'
import type { ListedDecks } from '../deck/listed-decks'

const MOST = 3

/** Where the colour at hand does not work in the room: the nearest that do, and where they lie from it. */
export function FetchNext({
  decks,
  names,
  room,
  without,
  from,
  onPick,
}: {
  readonly decks: ListedDecks
  readonly names: readonly DeckName[]
  readonly room: RankedFor
  readonly without: readonly Lean[]
  readonly from: AtStrength
  readonly onPick: (colour: AtStrength) => void
}) {
  const { prepared, roomDay } = useLight()
  const [found, setFound] = useState<readonly FoundColour[]>([])
  useEffect(() => {
    if (!prepared || room.finishes.length === 0 || room.lights.length === 0) return
    let isAsked = true
    void findInWorker({
      task: 'next',
      decks: names,
      weakestPercent: room.weakestPercent,
      from,
      light: prepared,
      roomDay,
      room,
      without,
      most: MOST,
    }).then((answer) => {
      if (isAsked) setFound(answer ?? [])
    })
    return () => {
      isAsked = false
    }
  }, [names, room, without, from, prepared, roomDay])
  if (found.length === 0) return null
  return (
    <section aria-label="Fetch next" className="mt-3">
      <h3 className="text-small font-medium">
        {decks.colours[from.place]!.name} does not sit with all that stays. Fetch next:
      </h3>
      <ul className="flex flex-wrap gap-x-4">
        {found.map((each) => {
          const { name, code, deck, whiteBase } = decks.colours[each.place]!
          return (
            <li key={each.place}>
              <button
                type="button"
                className="flex min-h-12 items-center gap-3 text-left text-small hover:bg-mist"
                onClick={() => onPick(each)}
              >
                <RelitPatch
                  reflectance={atStrength(
                    decks.reflectanceOf(each.place),
                    whiteBase,
                    each.strengthPercent,
                  )}
                  className="h-12 w-16"
                />
                <span>
                  {name} at {each.strengthPercent} %
                  <span className="block text-fine text-dim">
                    {deckWords(deck)}, {code}; {each.words}
                  </span>
                </span>
              </button>
            </li>
          )
        })}
      </ul>
    </section>
  )
}
