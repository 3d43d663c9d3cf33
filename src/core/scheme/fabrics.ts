import type { HouseRules } from '../advice/house-rules'
import { isGood } from '../pairing/chance'
import { judgePair } from '../pairing/judge-pair'
import type { KeeperKind } from '../pairing/keeper-kind'
import type { Pairing } from '../pairing/said-of-pair'
import { roleOf } from '../pairing/role'
import type { Undertone } from '../undertone/undertone'
import type { DeckColour } from './trim'

interface Use {
  readonly words: string
  readonly kind: KeeperKind
  /** How much deeper than the wall, in CAM16-UCS lightness: from, to. */
  readonly deeper: readonly [number, number]
  /** How strong it may lean, CAM16-UCS units: from, to. */
  readonly lean: readonly [number, number]
  readonly by: readonly Pairing[]
}

const RELATED: readonly Pairing[] = ['shares the undertone', 'quiet relative', 'bridges']

// Common practice: curtains near the wall in depth, seats a good step deeper, and the one clear colour in what is small.
const USES: readonly Use[] = [
  { words: 'Curtains or blinds', kind: 'curtain', deeper: [4, 16], lean: [2, 16], by: RELATED },
  { words: 'A sofa or chairs', kind: 'upholstery', deeper: [16, 52], lean: [3, 20], by: RELATED },
  { words: 'Cushions', kind: 'cushion', deeper: [-15, 60], lean: [14, 40], by: ['sets off'] },
]
// What was nearly chosen for a wall is known to sit in the room: another has to be clearly better.
const KNOWN_HERE = 0.1

/** A colour to look for in cloth, and what for. */
export interface Fabric<C> {
  readonly use: string
  readonly colour: C
  readonly chance: number
}

/**
 * Up to three colours of cloth for a wall in the light at hand, each with a use; none for a use that nothing likely works for.
 *
 * @param colours to choose from
 * @param isKnownHere whether it was nearly chosen for the walls
 */
export function fabricsFor<C extends DeckColour>(
  wall: DeckColour,
  colours: readonly C[],
  isKnownHere: (colour: C) => boolean,
  rules: HouseRules,
): Fabric<C>[] {
  return USES.flatMap(({ words, kind, deeper, lean, by }) => {
    const role = roleOf(kind, rules)
    const [best] = colours
      .filter(({ undertone: { j, c } }) => within(wall.undertone.j - j, deeper) && within(c, lean))
      .map((colour) => ({ colour, pair: judgePair(wall, colour, role) }))
      .filter(({ pair }) => isGood(pair.chance) && by.includes(pair.pairing))
      .map(({ colour, pair }) => ({
        ...{ use: words, colour, chance: pair.chance },
        value: pair.score + (isKnownHere(colour) ? 10 * KNOWN_HERE : 0),
      }))
      .sort((p, q) => q.value - p.value)
    return best ? [{ use: best.use, colour: best.colour, chance: best.chance }] : []
  })
}

const within = (value: number, [from, to]: readonly [number, number]): boolean =>
  value >= from && value <= to

// Nearer than this two tones run into one another unless one of them is rough.
const CLOSE_LIGHTNESS = 7
const CLOSE_LEAN = 5

/** Things whose tone comes so near the wall's that texture has to keep them apart. */
export const closeTones = <T extends { readonly name: string; readonly undertone: Undertone }>(
  wall: Undertone,
  things: readonly T[],
): T[] =>
  things.filter(
    ({ undertone }) =>
      Math.abs(undertone.j - wall.j) < CLOSE_LIGHTNESS &&
      Math.hypot(undertone.a - wall.a, undertone.b - wall.b) < CLOSE_LEAN,
  )
