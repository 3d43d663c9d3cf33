'use client'

import { useState } from 'react'
import type { Reflectance } from '@/core/colour/spectrum'
import { likeThisBut, WISHES, type NextTry, type Wish } from '@/core/ranking/next-try'
import { undertoneOf } from '@/core/undertone/undertone'
import { useLight } from '../light-bar/light-context'
import { RelitPatch } from '../swatch/relit-patch'
import type { DeckEntry } from './deck-strips'

const MOST = 3

/** "Like this but lighter": the nearest colours of the deck a step that way. */
export function LikeThisBut({
  entries,
  reflectances,
  picked,
  onPick,
}: {
  readonly entries: readonly DeckEntry[]
  readonly reflectances: readonly Reflectance[]
  readonly picked: number
  readonly onPick: (place: number) => void
}) {
  const { prepared } = useLight()
  const [wish, setWish] = useState<Wish | null>(null)
  const [found, setFound] = useState<readonly NextTry[]>([])
  if (!prepared) return null

  function look(wished: Wish): void {
    if (!prepared) return
    const colours = reflectances.map((reflectance, place) => ({
      place,
      undertone: undertoneOf(prepared, reflectance),
    }))
    setWish(wished)
    setFound(likeThisBut(wished, colours[picked]!, colours, MOST))
  }

  return (
    <section aria-label="Like this but">
      <h3 className="mb-1 text-small font-medium">Like this but</h3>
      <div className="grid grid-cols-3">
        {WISHES.map((each) => (
          <button
            key={each}
            type="button"
            className="key -mt-px -ml-px px-2"
            aria-pressed={wish === each}
            onClick={() => look(each)}
          >
            {each}
          </button>
        ))}
      </div>
      {wish && found.length === 0 && (
        <p className="mt-1 text-small">Nothing of this deck lies that way.</p>
      )}
      <ul>
        {found.map(({ place, words }) => (
          <li key={place}>
            <button
              type="button"
              className="flex min-h-11 w-full items-center gap-3 text-left text-small hover:bg-mist"
              onClick={() => onPick(place)}
            >
              <RelitPatch reflectance={reflectances[place]!} className="h-11 w-16 shrink-0" />
              <span>
                {entries[place]!.name}
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
