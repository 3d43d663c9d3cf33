import { z } from 'zod'
import { apply } from '@/commands/apply'
import type { Answer } from '@/commands/kinds'
import { discardDeck, layDeckIn, type NewDeck, type NewDeckColour } from '@/db/decks'
import { openDb } from '@/db/store'

/** Who takes a deck in. Its ids are made where the hand is: sent again, it is the same deck. */
export const HandIn = z.object({
  commandId: z.uuid(),
  deckId: z.uuid(),
  actor: z.string().trim().min(1).max(80),
  device: z.string().trim().min(1).max(80),
  madeAt: z.iso.datetime({ offset: true }),
})

/** Takes a deck in with all of its colours, or nothing of it: nothing either where whoever sent it has stopped waiting. */
export async function takeDeckIn(
  { commandId, deckId, actor, device, madeAt }: z.infer<typeof HandIn>,
  deck: NewDeck,
  colours: readonly NewDeckColour[],
  signal: AbortSignal,
): Promise<Answer> {
  const db = await openDb()
  await layDeckIn(db, deckId, deck, colours)
  if (signal.aborted) {
    await discardDeck(db, deckId)
    return { ok: false, message: 'Stopped; nothing was taken in.' }
  }
  const payload = { deckId, maker: deck.maker, name: deck.name, colours: colours.length }
  const answer = await apply(
    db,
    { id: commandId, kind: 'open-deck', payload, actor, device, madeAt },
    new Date().toISOString(),
  )
  if (!answer.ok) await discardDeck(db, deckId)
  return answer
}
