'use client'

import type { KeyboardEvent } from 'react'
import type { Reflectance } from '@/core/colour/spectrum'
import { RelitPatch } from '../swatch/relit-patch'
import type { DeckEntry, Strip } from './deck-strips'

/** Strips side by side, touching, lightest on top; arrows walk over them. */
export function StripFan({
  strips,
  entries,
  reflectances,
  picked,
  onPick,
}: {
  readonly strips: readonly Strip[]
  readonly entries: readonly DeckEntry[]
  readonly reflectances: readonly Reflectance[] | null
  readonly picked: number | null
  readonly onPick: (place: number) => void
}) {
  const places = strips.flatMap((strip) => strip.places)
  const entryPoint = picked !== null && places.includes(picked) ? picked : places[0]

  function onKeyDown(event: KeyboardEvent, column: number, row: number): void {
    const [columns, rows] = STEPS[event.key] ?? []
    if (columns === undefined || rows === undefined) return
    const strip = strips[column + columns]
    const next = strip?.places[Math.min(row + rows, strip.places.length - 1)]
    if (next === undefined) return
    event.preventDefault()
    onPick(next)
    document.getElementById(`place-${next}`)?.focus()
  }

  return (
    <div role="group" aria-label="Strips" className="flex min-h-0 flex-1">
      {strips.map(({ strip, places: column }, i) => (
        <div key={strip} className="flex min-w-0 flex-1 flex-col">
          <div className="flex min-h-0 flex-1 flex-col">
            {column.map((place, row) => {
              const entry = entries[place]!
              const reflectance = reflectances?.[place]
              return (
                <button
                  key={place}
                  id={`place-${place}`}
                  type="button"
                  tabIndex={place === entryPoint ? 0 : -1}
                  aria-pressed={place === picked}
                  aria-label={`${entry.code} ${entry.name}`}
                  title={`${entry.code} ${entry.name}`}
                  onClick={() => onPick(place)}
                  onKeyDown={(event) => onKeyDown(event, i, row)}
                  className="relative min-h-0 flex-1 outline-offset-[-4px] focus-visible:z-10"
                >
                  {reflectance ? (
                    <RelitPatch reflectance={reflectance} className="h-full w-full" />
                  ) : (
                    <span className="block h-full border border-rule" />
                  )}
                </button>
              )
            })}
          </div>
          <span
            className={`mt-1 truncate text-center text-fine ${picked !== null && column.includes(picked) ? 'font-semibold' : 'text-dim'}`}
          >
            {strip}
          </span>
        </div>
      ))}
    </div>
  )
}

const STEPS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}
