import { REASON_WORDS } from '../record/verdict'
import type { HouseRules } from '../advice/house-rules'
import { inViewOf, prepareLight, type PreparedLight } from '../colour/appearance'
import type { Reflectance, Spectrum } from '../colour/spectrum'
import { CARRIED_ON, isBad, isGood, judgementOf, type Judgement } from '../pairing/chance'
import {
  chanceOfPair,
  judgePair,
  type PairJudgement,
  type SeenReading,
} from '../pairing/judge-pair'
import { ratedRole } from '../pairing/role'
import type { ReadingSource } from '../paint/reading'
import { NO_LEAN_BELOW } from '../undertone/hue-name'
import { hueApartDeg, undertoneOf, type Undertone } from '../undertone/undertone'
import { otherHuesOfSameLrv } from './companions'
import type { DeckColour } from './trim'
import { listed } from '../words'

/** The walls of a room as they are lit at one moment. */
export interface LitWalls {
  readonly prepared: PreparedLight
  readonly spectrum: Spectrum
  readonly reflectance: Reflectance
  readonly source: ReadingSource
  readonly lrvPercent: number
}

/** Two rooms' walls where they meet. */
export interface Doorway {
  readonly judgement: Judgement
  readonly chance: number
  /** Why it works, or which way it does not. */
  readonly why: string
  /** Whether both lean one way, or neither leans. */
  readonly sharesUndertone: boolean
  readonly stepLrv: number
  readonly stepWords: string
}

/**
 * The lights on both sides of a doorway for an eye that stands in it: adapted to as much of the one room's light as of the
 * other's.
 *
 * @returns the light of each room as that eye has it
 */
export function fromDoorway(
  rooms: readonly [LitWalls, LitWalls],
): readonly [PreparedLight, PreparedLight] {
  const [p, q] = rooms
  const [pLux, qLux] = [p.prepared.illuminanceLux, q.prepared.illuminanceLux]
  const between = p.spectrum.map((power, i) => power / pLux + q.spectrum[i]! / qLux)
  const eye = prepareLight(between, (pLux + qLux) / 2)
  return [inViewOf(eye, p.spectrum), inViewOf(eye, q.spectrum)]
}

const SHARED_HUE_DEG = 25

const shares = (p: Undertone, q: Undertone): boolean =>
  p.c < NO_LEAN_BELOW || q.c < NO_LEAN_BELOW
    ? p.c < 2 * NO_LEAN_BELOW && q.c < 2 * NO_LEAN_BELOW
    : hueApartDeg(p.hueDeg, q.hueDeg) <= SHARED_HUE_DEG

// A neighbour wants a small, sure step (common practice).
const SMALL_STEP = 5
const SURE_STEP = 35

const stepSaid = (step: number): string =>
  step < SMALL_STEP
    ? 'hardly a step: take one colour through, or make the step sure'
    : step <= SURE_STEP
      ? 'a small, sure step'
      : 'a big step: a bridging colour between would soften it'

const CARRIED_THROUGH = {
  ...{ chance: CARRIED_ON, pairing: 'carried through', reason: 'shares-the-undertone' },
} as const satisfies Partial<PairJudgement>

const isOneColour = ([p, q]: readonly [LitWalls, LitWalls]): boolean =>
  p.reflectance.every((share, band) => share === q.reflectance[band])

/** How the walls of two rooms get on where one is seen from the other: each in its own light, to an eye in the doorway. */
export function doorway(rooms: readonly [LitWalls, LitWalls], rules: HouseRules): Doorway {
  const lights = fromDoorway(rooms)
  const [p, q] = rooms.map(({ reflectance, source }, at) => ({
    undertone: undertoneOf(lights[at]!, reflectance),
    source,
  })) as [SeenReading, SeenReading]
  const pair = isOneColour(rooms) ? CARRIED_THROUGH : judgePair(p, q, ratedRole('neighbour', rules))
  const stepLrv = Math.abs(rooms[0].lrvPercent - rooms[1].lrvPercent)
  return {
    judgement: judgementOf(pair.chance),
    chance: pair.chance,
    why: isGood(pair.chance) ? pair.pairing : REASON_WORDS[pair.reason],
    sharesUndertone: shares(p.undertone, q.undertone),
    stepLrv,
    stepWords: pair === CARRIED_THROUGH ? 'one colour runs through' : stepSaid(stepLrv),
  }
}

/**
 * What runs through a house: the largest set of walls that lean as one of them does, and the rest.
 *
 * @param walls by daylight
 */
export function threadOf<Wall extends { readonly name: string; readonly undertone: Undertone }>(
  walls: readonly Wall[],
): { readonly shared: readonly Wall[]; readonly apart: readonly Wall[] } {
  const sets = walls.map((seed) => walls.filter((wall) => shares(seed.undertone, wall.undertone)))
  const shared = sets.reduce<Wall[]>((p, q) => (q.length > p.length ? q : p), [])
  return { shared, apart: walls.filter((wall) => !shared.includes(wall)) }
}

/** "One undertone runs through Hall, Kitchen and Study; Snug stands apart." */
export function threadSaid(walls: Parameters<typeof threadOf>[0]): string {
  const { shared, apart } = threadOf(walls)
  if (walls.length === 0) return 'No room has a colour for its walls yet.'
  if (walls.length === 1) return `Only ${walls[0]!.name} has a colour for its walls yet.`
  if (shared.length < 2) return 'No two rooms share an undertone.'
  const names = (of: typeof walls): string => listed(of.map(({ name }) => name))
  return apart.length === 0
    ? `One undertone runs through ${names(shared)}.`
    : `One undertone runs through ${names(shared)}; ${names(apart)} ${apart.length === 1 ? 'stands' : 'stand'} apart.`
}

export const DEPTH_PARTS = ['light', 'bridging', 'deep'] as const
/** What a room's walls are to the house: its light, its bridging or its deep colour. */
export type DepthPart = (typeof DEPTH_PARTS)[number]

// Common practice: light from about 60, deep under about 30.
export const depthPart = (lrvPercent: number): DepthPart =>
  lrvPercent >= 60 ? 'light' : lrvPercent >= 30 ? 'bridging' : 'deep'

/** The room that most others are seen from; null where none joins two at least, or several do alike. */
export function hallwayOf<
  Room extends { readonly id: string; readonly seenFrom: readonly string[] },
>(rooms: readonly Room[]): Room | null {
  const sorted = rooms.toSorted((p, q) => q.seenFrom.length - p.seenFrom.length)
  const [first, second] = sorted
  if (!first || first.seenFrom.length < 2) return null
  return second && second.seenFrom.length === first.seenFrom.length ? null : first
}

/** What is said of a hallway among the rooms off it; null where it is as light as it should be. */
export function hallwaySaid(
  hall: { readonly name: string; readonly lrvPercent: number },
  off: readonly { readonly name: string; readonly lrvPercent: number }[],
): string | null {
  const lighter = off.filter(({ lrvPercent }) => lrvPercent > hall.lrvPercent + SMALL_STEP)
  return lighter.length === 0
    ? null
    : `${hall.name} joins the others and is deeper than ${lighter.map(({ name }) => name).join(', ')}: a hallway wants to be the lighter.`
}

/** A way out where two rooms clash. */
export interface WayOut {
  readonly kind: 'another strength' | 'another hue' | 'a bridge'
  /** Of another strength its per cent; else the place of a colour in the deck. */
  readonly strengthPercent: number | null
  readonly place: number | null
  readonly chance: number
}

// Of a deck the nearest in lean are tried; a bridge that nobody needs is none.
const MOST_TRIED = 400

/**
 * Ways out where a room's wall clashes with another's: itself at another strength, another hue at the same LRV, or a colour
 * between them that sits with both, for the door, the trim or the passage; all as seen from the doorway.
 *
 * @param wall that would give way, at full strength and as it is
 * @param ladder the same colour at its other strengths, as seen; none that the eye refused
 * @param refused places of the deck's colours that the eye refused in either room: never offered
 */
export function waysOut(
  other: DeckColour,
  wall: DeckColour,
  deck: readonly DeckColour[],
  ladder: readonly (DeckColour & { readonly strengthPercent: number })[],
  rules: HouseRules,
  refused: ReadonlySet<number> = new Set(),
): WayOut[] {
  const role = ratedRole('neighbour', rules)
  const chance = (p: DeckColour, q: DeckColour): number => chanceOfPair(p, q, role)
  const strength = ladder
    .map((rung) => ({ rung, chance: chance(rung, other) }))
    .filter((each) => isGood(each.chance))
    .sort((p, q) => q.chance - p.chance)[0]
  const hue = otherHuesOfSameLrv(wall, deck)
    .map((place) => ({ place, chance: chance(deck[place]!, other) }))
    .filter((each) => isGood(each.chance) && !refused.has(each.place))
    .sort((p, q) => q.chance - p.chance)[0]
  const [low, high] = [wall.lrvPercent, other.lrvPercent].sort((p, q) => p - q) as [number, number]
  const bridge = deck
    .filter(
      ({ lrvPercent, place }) =>
        lrvPercent >= low - SMALL_STEP &&
        lrvPercent <= high + SMALL_STEP &&
        place !== wall.place &&
        place !== other.place &&
        !refused.has(place),
    )
    .sort((p, q) => apart(p, wall, other) - apart(q, wall, other))
    .slice(0, MOST_TRIED)
    .map((each) => ({
      place: each.place,
      chance: Math.min(chance(each, wall), chance(each, other)),
    }))
    .filter((each) => isGood(each.chance))
    .sort((p, q) => q.chance - p.chance)[0]
  return [
    ...(strength
      ? [
          {
            kind: 'another strength' as const,
            strengthPercent: strength.rung.strengthPercent,
            place: null,
            chance: strength.chance,
          },
        ]
      : []),
    ...(hue ? [{ kind: 'another hue' as const, strengthPercent: null, ...hue }] : []),
    ...(bridge ? [{ kind: 'a bridge' as const, strengthPercent: null, ...bridge }] : []),
  ]
}

/** How far a colour lies off the middle between two, by lean. */
const apart = (
  { undertone: u }: DeckColour,
  { undertone: p }: DeckColour,
  { undertone: q }: DeckColour,
): number => Math.hypot(u.a - (p.a + q.a) / 2, u.b - (p.b + q.b) / 2)

/** Whether a doorway asks for a way out. */
export const wantsWayOut = ({ chance }: Doorway): boolean => isBad(chance)
