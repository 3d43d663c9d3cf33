import { SHIPPED_DECK, shippedColours } from '@/formats/shipped-deck'
import { isOwnPage } from '@/app/door'
import { HandIn, takeDeckIn } from '../take-deck-in'

/** Takes in the deck that comes with the application. */
export async function POST(request: Request): Promise<Response> {
  if (!(await isOwnPage(request)))
    return new Response('Elm Swatch takes decks from its own page only.', { status: 403 })
  const hand = HandIn.safeParse(await request.json().catch(() => null))
  if (!hand.success)
    return Response.json(
      { ok: false, message: 'Expected commandId, deckId, actor, device and madeAt.' },
      { status: 422 },
    )
  const answer = await takeDeckIn(hand.data, SHIPPED_DECK, shippedColours(), request.signal)
  return Response.json(answer, { status: answer.ok ? 200 : 409 })
}
