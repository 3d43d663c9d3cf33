import type { PreparedLight } from '../colour/appearance'
import { LIKELY_FROM } from '../pairing/chance'
import type { JudgedKeeper } from '../pairing/judged-keeper'
import { pairReading, type StrengthRung } from '../pairing/pair-reading'

// In the mean over all that is held to it: under this nobody could tell which light is the harder.
const ALIKE = 0.02

/**
 * The light of a room in which a finish is hardest to live with, over everything that is held to it: in that one a round
 * asks, and what sits there sits in the others oftener than not. It hangs on the finish, never on a pair.
 *
 * @param lights at least one
 * @returns its place among them, and whether they are alike: then nobody is told that it is the harder
 */
export function lightThatMatters(
  lights: readonly PreparedLight[],
  keeper: JudgedKeeper,
  paints: readonly StrengthRung[],
): { readonly place: number; readonly isAlike: boolean } {
  const sums = lights.map((light) =>
    // What surely works does so in any of them.
    paints.reduce(
      (sum, paint) => sum + Math.min(LIKELY_FROM, pairReading(light, paint, keeper).chance),
      0,
    ),
  )
  const least = Math.min(...sums)
  return {
    place: sums.indexOf(least),
    isAlike: sums.every((sum) => sum - least < ALIKE * paints.length),
  }
}
