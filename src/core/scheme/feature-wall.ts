import type { DeckColour } from './trim'

/** A wall that could be set apart, and what speaks for it. */
export interface FeatureWall<Wall extends string> {
  readonly wall: Wall
  readonly touches: readonly string[]
  readonly words: string
}

// From this lean, or below this LRV, a colour is strong enough to tip a room to one side (common practice).
const STRONG_LEAN = 14
const STRONG_BELOW_LRV = 25

/**
 * Walls in the order in which they lend themselves to a colour of their own: whole ones before those cut up by windows and
 * doors, those that the leading piece stands at before others.
 */
export function featureWallsFor<Wall extends string>(
  walls: readonly {
    readonly wall: Wall
    readonly opposite: Wall
    /** Share of it that is open, 0 to 1. */
    readonly open: number
    readonly things: readonly { readonly name: string; readonly leads: boolean }[]
    readonly oppositeThings: readonly string[]
  }[],
  colour: Pick<DeckColour, 'undertone' | 'lrvPercent'>,
): FeatureWall<Wall>[] {
  const isStrong = colour.undertone.c >= STRONG_LEAN || colour.lrvPercent < STRONG_BELOW_LRV
  return walls
    .toSorted(
      (p, q) =>
        Number(q.things.some(({ leads }) => leads)) - Number(p.things.some(({ leads }) => leads)) ||
        p.open - q.open,
    )
    .map(({ wall, opposite, open, things, oppositeThings }) => {
      const touches = things.map(({ name }) => name)
      return {
        wall,
        touches,
        words: [
          touches.length > 0
            ? `${touches.join(', ')} stands at it`
            : 'nothing that stays touches it',
          open < 0.05 ? 'unbroken' : `${Math.round(100 * open)} % of it is open`,
          ...(isStrong
            ? [
                oppositeThings.length > 0
                  ? `so strong a colour is balanced on the ${opposite} side by something of its kind, at ${oppositeThings.join(', ')}`
                  : `so strong a colour wants something of its kind on the ${opposite} side`,
              ]
            : []),
        ].join('; '),
      }
    })
}
