'use client'

import { z } from 'zod'
import { useFound } from '../form/use-found'

const Colours = z.array(
  z.object({
    id: z.uuid(),
    code: z.string(),
    name: z.string(),
    deck: z.object({ maker: z.string(), name: z.string() }),
    reflectance: z.array(z.number()).transform((bands) => Float64Array.from(bands)),
  }),
)

/** Colours of all decks, whichever are in use, by what was typed of their code or name. */
export function useDeckSearch(typed: string) {
  const wanted = typed.trim()
  return useFound(wanted && `/api/deck-colours?q=${encodeURIComponent(wanted)}`, Colours)
}
