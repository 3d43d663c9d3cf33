'use client'

import { useEffect, useState } from 'react'
import { fetchDeck, type DeckName } from '@/workers/fetch-deck'
import type { ListedDecks } from './listed-decks'

type Loaded =
  | { readonly key: string; readonly decks: ListedDecks }
  | { readonly key: string; readonly error: Error }

/**
 * The decks in use, all their colours as one listing; null while they are on their way.
 *
 * @throws to the error page where they cannot be had
 */
export function useDecks(decks: readonly DeckName[]): ListedDecks | null {
  const [loaded, setLoaded] = useState<Loaded | null>(null)
  const key = decks.map(({ id }) => id).join(' ')
  const [asked, setAsked] = useState(decks)
  if (asked.map(({ id }) => id).join(' ') !== key) setAsked(decks)
  useEffect(() => {
    const own = asked.map(({ id }) => id).join(' ')
    const stop = new AbortController()
    // What lists them comes along with them.
    Promise.all([import('./listed-decks'), ...asked.map((deck) => fetchDeck(deck, stop.signal))])
      .then(([listing, ...fetched]) =>
        setLoaded({ key: own, decks: new listing.ListedDecks(fetched) }),
      )
      .catch((error: Error) => {
        if (!stop.signal.aborted) setLoaded({ key: own, error })
      })
    return () => stop.abort()
  }, [asked])
  if (loaded?.key !== key) return null
  if ('error' in loaded) throw loaded.error
  return loaded.decks
}
