'use client'

import { useParams } from 'next/navigation'
import { useEffect } from 'react'

/** A paint as the model may have spoken of it in a room. */
interface Spoken {
  readonly deckColourId: string
  readonly strengthPercent: number
}

const keyOf = (roomId: string): string => `elm.shown.${roomId}`
const wordOf = ({ deckColourId, strengthPercent }: Spoken): string =>
  `${deckColourId} ${strengthPercent}`

function shownIn(roomId: string): ReadonlySet<string> {
  try {
    return new Set(JSON.parse(localStorage.getItem(keyOf(roomId)) ?? '[]') as string[])
  } catch {
    return new Set()
  }
}

// As many as a shortlist shows in a long session; the oldest are forgotten first.
const MOST = 2000

/** Notes on this device that the model's reading of some paints in a room stood on the screen: so a look knows whether it was given unseen. */
export const noteShown = (roomId: string, paints: readonly Spoken[]): void =>
  note(roomId, paints.map(wordOf))

function note(roomId: string, words: readonly string[]): void {
  const before = shownIn(roomId)
  if (words.every((word) => before.has(word))) return
  try {
    localStorage.setItem(
      keyOf(roomId),
      JSON.stringify([...new Set([...before, ...words])].slice(-MOST)),
    )
  } catch {
    // A browser that keeps nothing knows nothing of it.
  }
}

/** Whether the model's reading of a paint in a room was on this device's screen before. */
export const wasShown = (roomId: string, paint: Spoken): boolean =>
  shownIn(roomId).has(wordOf(paint))

/** The same for what a page of a room shows. */
export function useShown(paints: readonly Spoken[]): void {
  const { roomId } = useParams<{ roomId: string }>()
  const words = paints.map(wordOf).join(',')
  useEffect(() => {
    if (words !== '') note(roomId, words.split(','))
  }, [roomId, words])
}
