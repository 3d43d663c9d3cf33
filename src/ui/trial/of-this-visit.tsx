'use client'

import type { ListedDecks } from '../deck/listed-decks'
import { PaintLine } from '../shortlist/paint-line'

/** The colours of the visit, to be tried with one press. */
export function OfThisVisit({
  decks,
  own,
  onPick,
}: {
  readonly decks: ListedDecks
  readonly own: readonly string[]
  readonly onPick: (place: number) => void
}) {
  const places = [...new Set(own.flatMap((id) => decks.placeOf(id) ?? []))]
  if (places.length === 0) return null
  return (
    <section aria-label="Colours of this visit" className="mt-5">
      <h2 className="mb-1 text-body leading-6">Or try a colour of this visit, at full strength</h2>
      <ul className="grid gap-x-6 sm:grid-cols-2 lg:grid-cols-3">
        {places.map((place) => (
          <PaintLine
            key={place}
            {...{ decks }}
            at={{ place, strengthPercent: 100 }}
            called={decks.colours[place]!.name}
            onPick={() => onPick(place)}
          >
            LRV {Math.round(decks.lrvs[place]!)}
          </PaintLine>
        ))}
      </ul>
    </section>
  )
}
