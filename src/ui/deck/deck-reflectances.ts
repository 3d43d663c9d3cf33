'use client'

import { useEffect, useState } from 'react'
import { BANDS, type Reflectance } from '@/core/colour/spectrum'
import { reflectanceOfRow } from '@/core/ranking/deck-rows'
import { MODEL_VERSION } from '@/core/model-version'

type Loaded =
  | { readonly deckId: string; readonly rows: readonly Reflectance[] }
  | { readonly deckId: string; readonly error: Error }

/**
 * All reflectances of a deck in the order of its listing; null while they are on their way. A deck that is in use never
 * changes, so they are kept in the browser by deck and model.
 *
 * @throws to the error page where they cannot be had
 */
export function useDeckReflectances(deckId: string): readonly Reflectance[] | null {
  const [loaded, setLoaded] = useState<Loaded | null>(null)
  useEffect(() => {
    const stop = new AbortController()
    fetch(`/api/decks/${deckId}/reflectances?model=${MODEL_VERSION}`, { signal: stop.signal })
      .then(async (answer) => {
        if (!answer.ok) throw new Error(`the deck’s colours could not be had: ${answer.status}`)
        const all = new Float32Array(await answer.arrayBuffer())
        const rows = Array.from({ length: all.length / BANDS }, (_, i) => reflectanceOfRow(all, i))
        setLoaded({ deckId, rows })
      })
      .catch((error: Error) => {
        if (!stop.signal.aborted) setLoaded({ deckId, error })
      })
    return () => stop.abort()
  }, [deckId])
  if (loaded?.deckId !== deckId) return null
  if ('error' in loaded) throw loaded.error
  return loaded.rows
}
