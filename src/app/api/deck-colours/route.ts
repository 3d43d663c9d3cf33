import { z } from 'zod'
import { reflectanceOfReading } from '@/core/paint/reading'
import { searchDeckColours } from '@/db/decks'
import { openDb } from '@/db/store'

const Query = z
  .string()
  .trim()
  .min(1)
  .max(60)
  .refine((typed) => !typed.includes('\0'))

/** Deck colours whose code or name holds what was typed, with their reflectance. */
export async function GET(request: Request): Promise<Response> {
  const query = Query.safeParse(new URL(request.url).searchParams.get('q') ?? '')
  if (!query.success) return Response.json([])
  const colours = await searchDeckColours(await openDb(), query.data)
  return Response.json(
    colours.map(({ deckColourId, code, name, reading }) => ({
      id: deckColourId,
      code,
      name,
      reflectance: [...reflectanceOfReading(reading)],
    })),
  )
}
