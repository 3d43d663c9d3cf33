'use client'

import { useMemo } from 'react'
import { isGood } from '@/core/pairing/chance'
import { rankedRoomOf } from '@/core/ranking/asked-room'
import { nextTries } from '@/core/ranking/next-try'
import { chanceInRoom, reflectanceOfRow, type DeckRows } from '@/core/ranking/rank-for-room'
import { undertoneOf } from '@/core/undertone/undertone'
import { useLight } from '../light-bar/light-context'
import { RelitPatch } from '../swatch/relit-patch'
import type { RankedFor } from './room-ranking'
import type { DeckEntry } from './deck-strips'
import { seenRows } from './room-ranking'

const MOST = 3

/** Where the colour at hand does not work in the room: the nearest that do, and where they lie from it. */
export function NextTries({
  deck,
  by,
  entries,
  picked,
  onPick,
}: {
  readonly deck: DeckRows
  readonly by: RankedFor
  readonly entries: readonly DeckEntry[]
  readonly picked: number
  readonly onPick: (place: number, strengthPercent: number) => void
}) {
  const { prepared, roomDay } = useLight()
  const chance = useMemo(() => chanceInRoom(rankedRoomOf(by, roomDay)), [by, roomDay])
  const tries = useMemo(() => {
    const works = (row: number): boolean =>
      isGood(chance(reflectanceOfRow(deck.rows, row), deck.sources[row]!).chance)
    const own = deck.places.findIndex(
      (place, row) => place === picked && deck.strengthsPercent[row] === 100,
    )
    if (!prepared || own < 0 || works(own)) return []
    const from = {
      place: picked,
      undertone: undertoneOf(prepared, reflectanceOfRow(deck.rows, own)),
    }
    return nextTries(from, seenRows(prepared, deck), ({ row }) => works(row), MOST)
  }, [prepared, deck, chance, picked])
  if (tries.length === 0) return null
  return (
    <section aria-label="Fetch next" className="mt-3">
      <h3 className="text-small font-medium">
        {entries[picked]!.name} does not sit with all that stays. Fetch next:
      </h3>
      <ul>
        {tries.map(({ place, row, words }) => (
          <li key={place}>
            <button
              type="button"
              className="flex min-h-11 w-full items-center gap-3 text-left text-small hover:bg-mist"
              onClick={() => onPick(place, deck.strengthsPercent[row]!)}
            >
              <RelitPatch reflectance={reflectanceOfRow(deck.rows, row)} className="h-11 w-16" />
              <span>
                {entries[place]!.name} at {deck.strengthsPercent[row]} %
                <span className="block text-fine text-dim">
                  {entries[place]!.code}; {words}
                </span>
              </span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  )
}
