import { NO_LEAN_BELOW } from '../undertone/hue-name'
import { gradeOf, verdictOfGrade } from '../pairing/pair-grade'
import { pairingOf } from '../pairing/pairing'
import type { DeckColour } from './trim'
import { hueApartDeg, type Undertone } from '../undertone/undertone'

export const COMPANION_PARTS = ['light', 'bridging', 'dark'] as const
/** What a companion is to the rooms around: the light one, the one between, the dark one. */
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
}
const LEAST_STEP_LRV = 8
const SHARED_HUE_DEG = 25

/**
 * A light, a bridging and a dark colour that share a wall's undertone, for the rooms seen from it: of each band the
 * one whose lean is nearest in direction and strength and which works beside the wall.
 *
 * @returns those there are, lightest first
 */
export function companionsOf(wall: DeckColour, deck: readonly DeckColour[]): Companion[] {
  return COMPANION_PARTS.flatMap((part) => {
    const [from, to] = BANDS[part]
    const fits = deck.filter(
      (colour) =>
        colour.lrvPercent >= from &&
        colour.lrvPercent <= to &&
        Math.abs(colour.lrvPercent - wall.lrvPercent) >= LEAST_STEP_LRV &&
        sharesUndertone(wall.undertone, colour.undertone) &&
        works(wall.undertone, colour.undertone),
    )
    const nearest = fits.sort((p, q) => leanApart(wall, p) - leanApart(wall, q))[0]
    return nearest ? [{ part, place: nearest.place }] : []
  })
}

function sharesUndertone(p: Undertone, q: Undertone): boolean {
  if (p.c < NO_LEAN_BELOW) return q.c < 2 * NO_LEAN_BELOW
  return q.c >= NO_LEAN_BELOW && hueApartDeg(p.hueDeg, q.hueDeg) <= SHARED_HUE_DEG
}

const works = (wall: Undertone, other: Undertone): boolean =>
  verdictOfGrade(gradeOf(pairingOf(wall, other), wall, other)) === 'works'

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
