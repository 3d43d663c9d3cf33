'use client'

import type { ReactNode } from 'react'
import { atStrength } from '@/core/paint/strength'
import type { AtStrength } from '@/workers/rank-protocol'
import type { ListedDecks } from '../deck/listed-decks'
import { TakeKey } from '../record/taking'
import { RelitPatch } from '../swatch/relit-patch'

/** A paint that was found, in one line; pressed, it comes to hand. */
export function PaintLine({
  decks,
  at,
  called = `${decks.colours[at.place]!.name} at ${at.strengthPercent} %`,
  onPick,
  children,
}: {
  readonly decks: ListedDecks
  readonly at: AtStrength
  /** By its name and strength, unless all in the list have one strength. */
  readonly called?: string
  readonly onPick: (colour: AtStrength) => void
  /** What is said of it. */
  readonly children: ReactNode
}) {
  const { id, name, whiteBase } = decks.colours[at.place]!
  return (
    <li className="flex border-b border-rule">
      <button
        type="button"
        className="flex min-h-14 min-w-0 flex-1 items-stretch gap-3 text-left text-small hover:bg-mist"
        onClick={() => onPick(at)}
      >
        <RelitPatch
          reflectance={atStrength(decks.reflectanceOf(at.place), whiteBase, at.strengthPercent)}
          className="w-20 shrink-0"
        />
        <span className="py-1">
          {called}
          <span className="block text-fine text-dim">{decks.codeOf(at.place)}</span>
          <span className="block text-fine">{children}</span>
        </span>
      </button>
      <TakeKey
        short
        className="key w-11 self-stretch border-0 px-0"
        colour={{ deckColourId: id, name, strengthPercent: at.strengthPercent }}
      />
    </li>
  )
}
