'use client'

import { useEffect, useState } from 'react'
import type { Lean } from '@/core/undertone/lean'
import type { DeckName } from '@/workers/fetch-deck'
import { findInWorker } from '@/workers/rank-client'
import type { AtStrength, FoundColour } from '@/workers/rank-protocol'
import { PaintLine } from './paint-line'
import type { RankedFor } from './ranked-for'
import { useLight } from '../light-bar/light-context'
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
        {decks.colours[from.place]!.name} does not work with all that stays. Fetch next:
      </h3>
      <ul className="grid gap-x-4 sm:grid-cols-2">
        {found.map((each) => (
          <PaintLine key={each.place} at={each} {...{ decks, onPick }}>
            {each.words}
          </PaintLine>
        ))}
      </ul>
    </section>
  )
}
