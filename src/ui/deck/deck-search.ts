'use client'

import { useEffect, useState } from 'react'
import { z } from 'zod'
import type { Reflectance } from '@/core/colour/spectrum'

const Found = z.array(
  z.object({ id: z.uuid(), code: z.string(), name: z.string(), reflectance: z.array(z.number()) }),
)

export interface FoundColour {
  readonly id: string
  readonly code: string
  readonly name: string
  readonly reflectance: Reflectance
}

/** Colours of all decks by what was typed of their code or name. */
export function useDeckSearch(typed: string): readonly FoundColour[] {
  const [found, setFound] = useState<readonly FoundColour[]>([])
  const wanted = typed.trim()
  useEffect(() => {
    if (wanted === '') return
    const stop = new AbortController()
    fetch(`/api/deck-colours?q=${encodeURIComponent(wanted)}`, { signal: stop.signal })
      .then(async (answer) =>
        setFound(
          Found.parse(await answer.json()).map((colour) => ({
            ...colour,
            reflectance: Float64Array.from(colour.reflectance),
          })),
        ),
      )
      .catch(() => {
        // Typed further, or the server is gone: the next letter asks again.
      })
    return () => stop.abort()
  }, [wanted])
  return wanted === '' ? [] : found
}
