import { z } from 'zod'
import { loadDeckBands } from '@/app/_load/deck-bands'
import { FOR_GOOD } from '../for-good'

/** All reflectances of a deck, 36 little-endian floats a colour, in the order of its listing. */
export async function GET(
  _request: Request,
  { params }: { params: Promise<{ deckId: string }> },
): Promise<Response> {
  const { deckId } = await params
  const bands = z.uuid().safeParse(deckId).success ? await loadDeckBands(deckId) : null
  if (!bands) return new Response('No such deck', { status: 404 })
  return new Response(bands as Uint8Array<ArrayBuffer>, {
    headers: { 'content-type': 'application/octet-stream', ...FOR_GOOD },
  })
}
