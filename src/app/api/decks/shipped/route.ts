import { SHIPPED_DECK, shippedColours } from '@/formats/shipped-deck'
import { taking } from '@/app/writing'
import { HandIn, takeDeckIn } from '../take-deck-in'

/** Takes in the deck that comes with the application. */
export const POST = taking({ takes: 'decks', mostBytes: 10_000 }, async (request) => {
  const hand = HandIn.safeParse(await request.json().catch(() => null))
  if (!hand.success)
    return Response.json(
      { ok: false, message: 'Expected commandId, deckId, actor, device and madeAt.' },
      { status: 422 },
    )
  const answer = await takeDeckIn(hand.data, SHIPPED_DECK, shippedColours(), request.signal)
  return Response.json(answer, { status: answer.ok ? 200 : 409 })
})
