'use client'

import { useState } from 'react'
import { useDeckSearch } from '../deck/deck-search'
import { deckWords } from '../deck/deck-words'
import { TextKey } from '../form/text-key'
import { RelitPatch } from '../swatch/relit-patch'
import type { BesideColour } from './beside-colour'

/** Finds a paint of any deck by its code or name, to lay it beside the main one or over it. */
export function FindPaint({
  onBeside,
  onOver,
}: {
  /** Null where no more fit beside it. */
  readonly onBeside: ((paint: BesideColour) => void) | null
  readonly onOver: (paint: BesideColour) => void
}) {
  const [typed, setTyped] = useState('')
  const { found, isAnswered, problem } = useDeckSearch(typed)
  const lay = (where: (paint: BesideColour) => void, paint: BesideColour): void => {
    where(paint)
    setTyped('')
  }
  return (
    <div className="w-80">
      <label htmlFor="find-paint" className="text-small font-medium">
        Any paint of any deck, by code or name
      </label>
      <input
        id="find-paint"
        type="search"
        className="field"
        autoComplete="off"
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
      />
      <p role="status" className="text-fine">
        {problem || (isAnswered && found.length === 0 && 'No paint of any deck is called that.')}
      </p>
      <ul aria-label="Paints found">
        {found.map(({ id, code, name, deck, reflectance }) => {
          const paint = { id, label: `${name} ${code}`, deck: deckWords(deck), reflectance }
          return (
            <li
              key={id}
              className="flex min-h-11 items-center gap-2 border-b border-rule text-fine"
            >
              <RelitPatch reflectance={reflectance} className="h-11 w-14 shrink-0" />
              <span className="min-w-0 flex-1">
                {paint.label}
                <span className="block text-dim">{paint.deck}</span>
              </span>
              {onBeside && (
                <TextKey
                  aria-label={`Lay ${paint.label} beside it`}
                  onClick={() => lay(onBeside, paint)}
                >
                  Beside
                </TextKey>
              )}
              <TextKey aria-label={`Lay ${paint.label} over it`} onClick={() => lay(onOver, paint)}>
                Over
              </TextKey>
            </li>
          )
        })}
      </ul>
    </div>
  )
}
