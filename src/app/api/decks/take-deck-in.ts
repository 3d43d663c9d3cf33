import { setImmediate } from 'node:timers/promises'
import { z } from 'zod'
import { bandsOf } from '@/app/_load/deck-bands'
import { keepChange } from '@/commands/keep-change'
import type { Answer } from '@/commands/kinds'
import { MODEL_VERSION } from '@/core/model-version'
import {
  addDeckColours,
  beginDeck,
  COLOURS_AT_A_TIME,
  discardDeck,
  type NewDeck,
  type NewDeckColour,
} from '@/db/decks'
import { applicationStore, openDb } from '@/store/store'

/** Who takes a deck in. Its ids are made where the hand is: sent again, it is the same deck. */
export const HandIn = z.object({
  commandId: z.uuid(),
  deckId: z.uuid(),
  actor: z.string().trim().min(1).max(80),
  device: z.string().trim().min(1).max(80),
  madeAt: z.iso.datetime({ offset: true }),
})

// Finding so many spectra takes some ten milliseconds; others are served in between.
const FOUND_AT_A_TIME = 250

/** Adds colours to a deck that is on its way, each with the spectrum behind its reading. */
export async function addWithBands(
  deckId: string,
  colours: readonly NewDeckColour[],
): Promise<void> {
  const found: NewDeckColour[] = []
  for (let first = 0; first < colours.length; first += FOUND_AT_A_TIME) {
    for (const colour of colours.slice(first, first + FOUND_AT_A_TIME))
      found.push({ ...colour, bands: { of: MODEL_VERSION, bytes: bandsOf(colour.reading) } })
    await setImmediate()
  }
  await addDeckColours(await openDb(), deckId, found)
}

/** Takes a deck in with all of its colours, or nothing of it: nothing either where whoever sent it has stopped waiting. */
export async function takeDeckIn(
  { commandId, deckId, actor, device, madeAt }: z.infer<typeof HandIn>,
  deck: NewDeck,
  colours: readonly NewDeckColour[],
  signal: AbortSignal,
): Promise<Answer> {
  const db = await openDb()
  await beginDeck(db, deckId, deck)
  for (let first = 0; first < colours.length && !signal.aborted; first += COLOURS_AT_A_TIME)
    await addWithBands(deckId, colours.slice(first, first + COLOURS_AT_A_TIME))
  if (signal.aborted) {
    await discardDeck(db, deckId)
    return { ok: false, message: 'Stopped; nothing was imported.' }
  }
  const payload = { deckId, maker: deck.maker, name: deck.name, colours: colours.length }
  const answer = await keepChange(
    await applicationStore(),
    { id: commandId, kind: 'open-deck', payload, actor, device, madeAt },
    new Date().toISOString(),
  )
  if (!answer.ok) await discardDeck(db, deckId)
  return answer
}
