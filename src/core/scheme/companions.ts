import { NO_LEAN_BELOW } from '../undertone/hue-name'
import type { HouseRules } from '../advice/house-rules'
import { isBad, isGood } from '../pairing/chance'
import { chanceOfPair } from '../pairing/judge-pair'
import { ratedRole, roleOf } from '../pairing/role'
import type { DeckColour } from './trim'
import { hueApartDeg, type Undertone } from '../undertone/undertone'

export const COMPANION_PARTS = ['light', 'bridging', 'dark', 'accent'] as const
/** What a companion is to the rooms around: the light one, the one between, the dark one; and the accent, used sparingly. */
export type CompanionPart = (typeof COMPANION_PARTS)[number]

export interface Companion {
  readonly part: CompanionPart
  readonly place: number
}

// LRV bands of the three, common practice; a neighbour wants a small, sure step.
const BANDS: Record<CompanionPart, readonly [from: number, to: number]> = {
  light: [70, 88],
  bridging: [30, 60],
  dark: [4, 22],
  accent: [6, 50],
}
const LEAST_STEP_LRV = 8
const SHARED_HUE_DEG = 25

/** What a companion has to live with besides the wall. */
export interface CompanionRoom {
  /** The chance that a colour works with what stays, in the light at hand; see `chanceInRoom`. */
  readonly chanceWithStaying: (place: number) => number
  /** Whether the room's own light speaks against it; see `roomAdvice`. */
  readonly speaksAgainst: (place: number) => boolean
  readonly rules: HouseRules
}

// So many of the nearest leans are held to the room.
const TRIED = 24

/**
 * A light, a bridging and a dark colour that share a wall's undertone, for the rooms seen from it, and an accent that is
 * set off by it: of each band, of the
 * nearest in lean that work beside the wall, the one that works with what stays and that the light does not speak
 * against; else the likeliest.
 *
 * @returns those there are, lightest first
 */
export function companionsOf(
  wall: DeckColour,
  deck: readonly DeckColour[],
  room: CompanionRoom,
): Companion[] {
  return COMPANION_PARTS.flatMap((part) => {
    const [from, to] = BANDS[part]
    const nearest = deck
      .filter(
        (colour) =>
          colour.lrvPercent >= from &&
          colour.lrvPercent <= to &&
          Math.abs(colour.lrvPercent - wall.lrvPercent) >= LEAST_STEP_LRV &&
          (part === 'accent'
            ? setsOff(wall.undertone, colour.undertone)
            : sharesUndertone(wall.undertone, colour.undertone)) &&
          mayMeet(wall, colour, part, room.rules),
      )
      .sort((p, q) => leanApart(wall, p) - leanApart(wall, q))
      .slice(0, TRIED)
      .map(({ place }) => ({ place, chance: room.chanceWithStaying(place) }))
    const suiting = nearest.find(
      ({ place, chance }) => isGood(chance) && !room.speaksAgainst(place),
    )
    const chosen =
      suiting ??
      nearest.reduce<(typeof nearest)[number] | null>(
        (p, q) => (p && p.chance >= q.chance ? p : q),
        null,
      )
    return chosen ? [{ part, place: chosen.place }] : []
  })
}

/** An accent has to work; two rooms seldom meet in full view, and what likely works will do. */
const mayMeet = (
  wall: DeckColour,
  colour: DeckColour,
  part: CompanionPart,
  rules: HouseRules,
): boolean =>
  part === 'accent'
    ? isGood(chanceOfPair(wall, colour, roleOf('cushion', rules)))
    : !isBad(chanceOfPair(wall, colour, ratedRole('neighbour', rules)))

// An accent is clearly another hue, and no more than a cushion can carry.
const ACCENT = { hueDeg: 80, lean: [12, 30] } as const

const setsOff = (p: Undertone, q: Undertone): boolean =>
  q.c >= ACCENT.lean[0] &&
  q.c <= ACCENT.lean[1] &&
  (p.c < NO_LEAN_BELOW || hueApartDeg(p.hueDeg, q.hueDeg) >= ACCENT.hueDeg)

function sharesUndertone(p: Undertone, q: Undertone): boolean {
  if (p.c < NO_LEAN_BELOW) return q.c < 2 * NO_LEAN_BELOW
  return q.c >= NO_LEAN_BELOW && hueApartDeg(p.hueDeg, q.hueDeg) <= SHARED_HUE_DEG
}

const leanApart = ({ undertone: p }: DeckColour, { undertone: q }: DeckColour): number =>
  Math.hypot(p.a - q.a, p.b - q.b)

// Another hue at the same lightness: no lighter or darker to the eye, clearly another colour.
const SAME_LRV = 2.5
const OTHER_HUE_DEG = 60
const LIKE_STRENGTH = 4

/**
 * Another hue at the same LRV as a way out: as light, as strong, leaning elsewhere; the three that lie farthest
 * from one another.
 */
export function otherHuesOfSameLrv(wall: DeckColour, deck: readonly DeckColour[]): number[] {
  const others = deck
    .filter(
      ({ lrvPercent, undertone }) =>
        Math.abs(lrvPercent - wall.lrvPercent) <= SAME_LRV &&
        undertone.c >= NO_LEAN_BELOW &&
        Math.abs(undertone.c - wall.undertone.c) <= LIKE_STRENGTH &&
        (wall.undertone.c < NO_LEAN_BELOW ||
          hueApartDeg(undertone.hueDeg, wall.undertone.hueDeg) >= OTHER_HUE_DEG),
    )
    .sort(
      (p, q) =>
        Math.abs(p.undertone.c - wall.undertone.c) - Math.abs(q.undertone.c - wall.undertone.c),
    )
  const chosen: DeckColour[] = []
  for (const other of others) {
    const apart = ({ undertone }: DeckColour): boolean =>
      hueApartDeg(undertone.hueDeg, other.undertone.hueDeg) >= OTHER_HUE_DEG
    if (chosen.length < 3 && chosen.every(apart)) chosen.push(other)
  }
  return chosen.map(({ place }) => place)
}
