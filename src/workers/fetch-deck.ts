import type { Lab } from '@/core/colour/lab'
import { MODEL_VERSION } from '@/core/model-version'
import { labWhiteBase } from '@/core/paint/white-base'
import type { DeckColours } from '@/core/ranking/deck-rows'
import type { ReadingSource } from '@/core/paint/reading'
import type { Sheen } from '@/core/paint/sheen'
import type { Base } from '@/core/paint/strength'

/** A deck in use; cloneable. */
export interface DeckName {
  readonly id: string
  readonly maker: string
  readonly name: string
  /** Its untinted white base, D65, 2°. */
  readonly whiteBase: Lab
}

/** One colour of a deck's listing. */
export interface ListedColour {
  readonly id: string
  readonly code: string
  readonly name: string
  readonly strip: string
  readonly base: Base
  readonly source: ReadingSource
  readonly printedLrvPercent: number | null
  readonly sheens: readonly Sheen[] | null
  readonly mayBeRefused: boolean
}

/** A deck with its colours, and their reflectances at full strength, 36 numbers each. */
export interface FetchedDeck extends DeckName {
  readonly colours: readonly ListedColour[]
  readonly full: Float32Array<ArrayBuffer>
}

/** A deck as its rows are made from it. */
export const deckColours = ({ full, whiteBase, colours }: FetchedDeck): DeckColours => ({
  full,
  whiteBase: labWhiteBase(whiteBase),
  bases: colours.map(({ base }) => base),
  sources: colours.map(({ source }) => source),
})

/**
 * A deck from the server; page and worker ask alike, and the browser keeps the answers by deck and model.
 *
 * @throws Error where it cannot be had
 */
export async function fetchDeck(deck: DeckName, signal?: AbortSignal): Promise<FetchedDeck> {
  const ask = async (what: string): Promise<Response> => {
    const answer = await fetch(`/api/decks/${deck.id}/${what}?model=${MODEL_VERSION}`, {
      signal: signal ?? null,
    })
    if (!answer.ok)
      throw new Error(
        `the ${what} of ${deck.maker}, ${deck.name} could not be had: ${answer.status}`,
      )
    return answer
  }
  const [colours, bands] = await Promise.all([ask('colours'), ask('reflectances')])
  return {
    ...deck,
    colours: (await colours.json()) as ListedColour[],
    full: new Float32Array(await bands.arrayBuffer()),
  }
}
