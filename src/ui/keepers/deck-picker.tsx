'use client'

import { useState } from 'react'
import { useDeckSearch } from '../deck/deck-search'
import { RelitPatch } from '../swatch/relit-patch'

/** Finds a deck colour that stands for a finish. */
export function DeckPicker({
  name,
  before,
  error,
}: {
  readonly name: string
  /** Id of the colour it stood for until now. */
  readonly before: string | null
  readonly error: string | undefined
}) {
  const [typed, setTyped] = useState('')
  const [picked, setPicked] = useState(
    before === null ? null : { id: before, words: 'The colour picked before' },
  )
  const found = useDeckSearch(picked ? '' : typed)
  return (
    <div className="flex flex-col gap-1">
      <label htmlFor={name} className="text-small font-medium">
        Code or name in the deck
      </label>
      <input
        id={name}
        type="search"
        className="field"
        autoComplete="off"
        value={picked?.words ?? typed}
        aria-invalid={error ? true : undefined}
        onChange={(event) => {
          setPicked(null)
          setTyped(event.target.value)
        }}
      />
      <input type="hidden" name={name} value={picked?.id ?? ''} />
      <span className="text-fine font-semibold">{error}</span>
      <ul>
        {found.map(({ id, code, name: colourName, reflectance }) => (
          <li key={id}>
            <button
              type="button"
              className="flex min-h-11 w-full items-center gap-3 border-b border-rule text-left text-small hover:bg-mist"
              onClick={() => setPicked({ id, words: `${code} ${colourName}` })}
            >
              <RelitPatch
                reflectance={reflectance}
                label={`${code} in this light`}
                className="h-11 w-16"
              />
              {code} {colourName}
            </button>
          </li>
        ))}
      </ul>
    </div>
  )
}
