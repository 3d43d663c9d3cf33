import type { HouseRules } from '../advice/house-rules'
import { isGood } from '../pairing/chance'
import { judgePair } from '../pairing/judge-pair'
import { roleOf } from '../pairing/role'
import { NO_LEAN_BELOW } from '../undertone/hue-name'
import type { DeckColour } from './trim'

/** An accent with where it comes back: each at least twice in the room. */
export interface AroundAccent<C> {
  readonly colour: C
  readonly uses: readonly [string, string]
  readonly words: string
}

const ACCENT_USES: readonly (readonly [string, string])[] = [
  ['a lampshade', 'the inside of a shelf'],
  ['one chair', 'a cushion across the room'],
]

/**
 * Accents from the runners-up of a room: those that set the wall off or lean clearly, two at most, each named in two places.
 *
 * @param runnersUp that also work, best first
 */
export function accentsFrom<C extends DeckColour>(
  wall: DeckColour,
  runnersUp: readonly C[],
  rules: HouseRules,
): AroundAccent<C>[] {
  const role = roleOf('cushion', rules)
  return runnersUp
    .map((colour) => ({ colour, pair: judgePair(wall, colour, role) }))
    .filter(({ colour, pair }) => isGood(pair.chance) && colour.undertone.c >= NO_LEAN_BELOW)
    .sort(
      (p, q) =>
        Number(q.pair.pairing === 'sets off') - Number(p.pair.pairing === 'sets off') ||
        q.colour.undertone.c - p.colour.undertone.c,
    )
    .slice(0, ACCENT_USES.length)
    .map(({ colour, pair }, at) => ({
      colour,
      uses: ACCENT_USES[at]!,
      words: `${pair.pairing}: ${ACCENT_USES[at]!.join(' and ')}, no more`,
    }))
}
