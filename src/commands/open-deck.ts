import { z } from 'zod'
import { makeDeckReady } from '../db/decks'
import { kind, Refusal } from './kind'
import { id, name } from './values'

/** A deck whose colours came in is ready to be used. */
export const openDeck = kind({
  payload: z.object({
    deckId: id,
    maker: name('the maker'),
    name: name('the name of the deck'),
    colours: z.int().min(1),
  }),
  visitOf: () => null,
  async write(tx, { deckId, colours }) {
    if ((await makeDeckReady(tx, deckId)) !== colours)
      throw new Refusal(
        `Expected ${colours} colours of that deck to have come in; some are missing.`,
      )
  },
  taken: {
    deck_name_of_maker: (deck) =>
      new Refusal('', { name: `${deck.maker} has a deck “${deck.name}” already.` }),
  },
  sentence: (deck) => `Deck: ${deck.maker}, ${deck.name}, ${deck.colours} colours`,
})
