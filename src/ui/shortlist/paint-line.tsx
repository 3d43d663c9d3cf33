'use client'

import type { ReactNode } from 'react'
import { atStrength } from '@/core/paint/strength'
import type { AtStrength } from '@/workers/rank-protocol'
import { deckWords } from '../deck/deck-words'
import type { ListedDecks } from '../deck/listed-decks'
import { RelitPatch } from '../swatch/relit-patch'

/** A paint that was found, in one line; pressed, it comes to hand. */
export function PaintLine({
  decks,
  at,
  onPick,
  children,
}: {
  readonly decks: ListedDecks
  readonly at: AtStrength
  readonly onPick: (colour: AtStrength) => void
  /** What is said of it. */
  readonly children: ReactNode
}) {
  const { code, name, deck, whiteBase } = decks.colours[at.place]!
  return (
    <li className="border-b border-rule">
      <button
        type="button"
        className="flex min-h-14 w-full items-stretch gap-3 text-left text-small hover:bg-mist"
        onClick={() => onPick(at)}
      >
        <RelitPatch
          reflectance={atStrength(decks.reflectanceOf(at.place), whiteBase, at.strengthPercent)}
          className="w-20 shrink-0"
        />
        <span className="py-1">
          {name} at {at.strengthPercent} %
          <span className="block text-fine text-dim">
            {deckWords(deck)}, {code}
          </span>
          <span className="block text-fine">{children}</span>
        </span>
      </button>
    </li>
  )
}
