'use client'

import { useEffect, useState } from 'react'
import { BANDS, type Reflectance } from '@/core/colour/spectrum'

/** All reflectances of a deck in the order of its listing; null while they are on their way. */
export function useDeckReflectances(deckId: string): readonly Reflectance[] | null {
  const [loaded, setLoaded] = useState<{ deckId: string; rows: Reflectance[] } | null>(null)
  useEffect(() => {
    const stop = new AbortController()
    fetch(`/api/decks/${deckId}/reflectances`, { signal: stop.signal })
      .then(async (answer) => {
        const all = new Float64Array(await answer.arrayBuffer())
        const rows = Array.from({ length: all.length / BANDS }, (_, i) =>
          all.subarray(i * BANDS, (i + 1) * BANDS),
        )
        setLoaded({ deckId, rows })
      })
      .catch(() => {
        // Another deck was chosen, or the server is gone and the page shows empty strips.
      })
    return () => stop.abort()
  }, [deckId])
  return loaded?.deckId === deckId ? loaded.rows : null
}
