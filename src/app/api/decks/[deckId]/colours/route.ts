import { z } from 'zod'
import { deckEntry } from '@/app/_load/paints'
import { listDeckColours } from '@/db/decks'
import { openDb } from '@/store/store'
import { FOR_GOOD } from '../for-good'

/** A deck's colours as lists and rankings need them, strip by strip. */
export async function GET(
  _request: Request,
  { params }: { params: Promise<{ deckId: string }> },
): Promise<Response> {
  const { deckId } = await params
  const colours = z.uuid().safeParse(deckId).success
    ? await listDeckColours(await openDb(), deckId)
    : []
  if (colours.length === 0) return new Response('No such deck', { status: 404 })
  return Response.json(colours.map(deckEntry), { headers: FOR_GOOD })
}
