import { screenColour } from '@/core/colour/appearance'
import { reflectanceOfReading } from '@/core/paint/reading'
import { DAYLIGHT } from '@/core/undertone/daylight'
import { differenceWords } from '@/core/undertone/difference-words'
import { undertoneOf } from '@/core/undertone/undertone'
import type { Db } from '@/db/db'
import { listNamesakes } from '@/db/decks'

const SHOWN = 12

/** Names that stand in two decks: two paints, and how they differ by daylight. */
export async function sameNames(db: Db) {
  const { count, pairs } = await listNamesakes(db, SHOWN)
  return {
    count,
    pairs: pairs.map(([one, other]) => {
      const [p, q] = [one, other].map(({ reading }) => reflectanceOfReading(reading))
      const side = (paint: typeof one, reflectance: Float64Array) => ({
        code: paint.code,
        deck: `${paint.maker}, ${paint.deckName}`,
        colour: screenColour(DAYLIGHT, reflectance),
      })
      return {
        name: one.name,
        one: side(one, p!),
        other: side(other, q!),
        words: differenceWords(undertoneOf(DAYLIGHT, p!), undertoneOf(DAYLIGHT, q!)),
      }
    }),
  }
}
