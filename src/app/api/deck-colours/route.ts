import { z } from 'zod'
import { reflectanceOfReading } from '@/core/paint/reading'
import { listDecks, searchDeckColours } from '@/db/decks'
import { openDb } from '@/store/store'

const Query = z
  .string()
  .trim()
  .min(1)
  .max(60)
  .refine((typed) => !typed.includes('\0'))

/** Deck colours whose code or name holds what was typed, with their deck and their reflectance. */
export async function GET(request: Request): Promise<Response> {
  const query = Query.safeParse(new URL(request.url).searchParams.get('q') ?? '')
  if (!query.success) return Response.json([])
  const db = await openDb()
  const colours = await searchDeckColours(db, query.data)
  const decks = new Map((await listDecks(db)).map((deck) => [deck.id, deck]))
  return Response.json(
    colours.map(({ deckColourId, deckId, code, name, reading }) => ({
      id: deckColourId,
      code,
      name,
      deck: { maker: decks.get(deckId)?.maker, name: decks.get(deckId)?.name },
      reflectance: [...reflectanceOfReading(reading)],
    })),
  )
}
