'use client'

import { useEffect } from 'react'
import { noteShown } from '../record/model-shown'

/** Notes on this device which paints the grid told the model's guess of, room by room. */
export function GuessShown({
  rooms,
}: {
  readonly rooms: readonly {
    readonly roomId: string
    readonly paints: readonly { readonly deckColourId: string; readonly strengthPercent: number }[]
  }[]
}) {
  useEffect(() => {
    for (const { roomId, paints } of rooms) noteShown(roomId, paints)
  }, [rooms])
  return null
}
