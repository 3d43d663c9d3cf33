import { roomAdvice, saidOf, type Advice, type AdvisedColour } from '../advice/room-advice'
import { unwantedIn, type Unwanted } from '../advice/will-not-have'
import { chanceOver } from '../chance-over'
import type { Reflectance } from '../colour/spectrum'
import type { Undertone } from '../undertone/undertone'
import { blackness } from '../pairing/parts'
import { warmLean } from '../undertone/warmth'
import { plainChance, type PreparedRoom } from './ranked-room'
import {
  fillRoomTerms,
  pairsTogether,
  plainGrey,
  ROOM_TERM_NAMES,
  ROOM_WEIGHTS,
  type RoomAsksFor,
  type RoomTerm,
} from './room-terms'

/**
 * What a colour is worth in a room: points of ten, as raters would give them, over ten. What was rated is fitted
 * (`room-terms.ts`); what was not is a rule of common practice with the points here.
 */
export const POINTS = {
  unwanted: -2.5,
  nearBlack: -1.5,
  deepForCalm: -1,
  contrast: 0.8,
  greyClimate: 0.3,
} as const

export const POINTS_PER_WORTH = 10

/** A ranking's own view of what a room asks, worked out once. */
export interface RoomAsks {
  readonly of: RoomAsksFor
  readonly unwanted: readonly Unwanted[]
  /** Points of each of them: more of them weigh less each. */
  readonly perUnwanted: number
  /** How far a finish that stays is itself black: then it asks for the like. */
  readonly asksBlack: number
  /** A wish for drama, or evenings: the dark is asked for. */
  readonly dark: boolean
  /** A wish for light, fresh or calm. */
  readonly light: boolean
}

const EVENING = { breakfast: 0, daytime: 0, 'all-day': 0.5, evening: 1 } as const
// A cool, even room is a choice of schools: what was rated is the first of them.
const NORTH = { 'warm-up': 1, 'lean-in': -1, 'no-whites': 0 } as const
const WARM_LAMPS_K = 3200
const LAMPS_STEP_K = 800

export function asksOf({ character, rules, finishes, seen }: PreparedRoom): RoomAsks {
  const most = (of: (undertone: Undertone) => number): number =>
    Math.max(...finishes.map(({ shows }, f) => shows * of(seen[0]![f]!)))
  const { wants, useHours, lamps, coolAndEven, daylightFactorPercent } = character
  const unwanted = unwantedIn(character.willNotHave)
  // Two wishes together count for more than one, and each for less than alone.
  const wish = (want: (typeof wants)[number]): number =>
    wants.includes(want) ? 1 / Math.sqrt(wants.length) : 0
  return {
    of: {
      drama: wish('more drama'),
      brighter: wish('brighter'),
      calmer: wish('calmer'),
      cosier: wish('cosier'),
      fresher: wish('fresher'),
      warmNoYellow: wish('warm, no yellow'),
      nothingCold: unwanted.some(({ label }) => label === 'cold') ? 1 : 0,
      nothing: wants.length === 0 ? 1 : 0,
      evening: EVENING[useHours],
      north: coolAndEven || daylightFactorPercent === 0 ? NORTH[rules['north-room']] : 0,
      coolLamps: lamps ? (lamps.cctK - WARM_LAMPS_K) / LAMPS_STEP_K : 0,
      grey: most(plainGrey),
    },
    unwanted,
    perUnwanted: POINTS.unwanted / Math.sqrt(Math.max(1, unwanted.length)),
    asksBlack: most(blackness),
    dark: wants.includes('more drama') || useHours === 'evening',
    light: (['brighter', 'fresher', 'calmer'] as const).some((want) => wants.includes(want)),
  }
}

/** A surface as it leans by daylight, where its own terms are settled. */
export type OwnPlace = AdvisedColour

export interface WorthTerm {
  readonly points: number
  /** Named in the line that explains a proposal; null where there is nothing to say. */
  readonly words: string | null
}

// What is said of what was fitted, by all of its terms together: what for, and what against.
const SAID: readonly (readonly [terms: RegExp, gives: string | null, against: string | null])[] = [
  [/^strength$/, null, 'strong for all of a room’s walls'],
  [/^a grey without/, null, 'a grey without any lean, which looks unpainted'],
  [/^drama:/, 'deep or strong enough for drama', 'too light and quiet for drama'],
  [/^brighter:/, 'light, as wished', 'too deep to brighten the room'],
  [/^calmer:/, 'light and quiet, as wished', 'too deep or too strong to be calm'],
  [/^cosier:/, 'warm and deep enough to be cosy', 'too pale or too cool to be cosy'],
  [/^fresher:/, 'light and open, as wished', 'too deep to be fresh'],
  [/^nothing cold:/, 'warm, as wished', 'cold or grey, which they will not have'],
  [/^warm with/, 'warm with no yellow in it', 'yellow, not the warmth they wish for'],
  [/^cool lamps/, 'warms the cool lamps', null],
]
const SAID_OF = SAID.map(([terms, gives, against]) => ({
  places: ROOM_TERM_NAMES.flatMap((name: RoomTerm, i) => (terms.test(name) ? [i] : [])),
  gives,
  against,
}))
// Words are about what is other than an ordinary wall would be: a light middling, warm, muted one.
const ORDINARY = { j: 72, a: 1.5, b: 6 } as const
const SAID_FROM = 0.5

const NO_PAIRS = { score: 0, chance: 0 } as const
const terms = new Float64Array(ROOM_TERM_NAMES.length)
const ordinary = new Float64Array(ROOM_TERM_NAMES.length)

/** Points of what was fitted and hangs on the colour alone. */
function fittedPoints(undertone: Undertone, of: RoomAsksFor): number {
  fillRoomTerms(undertone, NO_PAIRS, of, terms)
  let points = 0
  for (let i = 0; i < terms.length; i++) points += ROOM_WEIGHTS[i]! * terms[i]!
  return points
}

// Black ends about here; an LRV of 11 is a dark colour.
const BLACK = { upToLrv: 8, spread: 1.5 } as const
// Who wishes for light, fresh or calm rooms asks for nothing so deep.
const DEEP = { upToLrv: 14, spread: 3 } as const

/** One thing that speaks for a colour or against it, and from how many points on it is worth a word. */
type Say = (points: number, words: string, from: number) => void

/** What was not rated and hangs on the colour alone. */
function sayRules(place: OwnPlace, room: PreparedRoom, asks: RoomAsks, say: Say): void {
  const { undertone, lrvPercent } = place
  const { climate, contrast } = room.character
  if (!asks.dark) {
    const black = chanceOver((BLACK.upToLrv - lrvPercent) / BLACK.spread) * (1 - asks.asksBlack)
    say(POINTS.nearBlack * black, 'near black, and nothing here asks for it', 0.2)
    if (asks.light)
      say(
        POINTS.deepForCalm * chanceOver((DEEP.upToLrv - lrvPercent) / DEEP.spread),
        'deep for what they wish',
        0.5,
      )
  }
  for (const { label, is } of asks.unwanted)
    say(asks.perUnwanted * is(undertone, lrvPercent), `they will not have ${label}`, 0.6)
  if (climate === 'grey')
    say(
      POINTS.greyClimate * warmLean(undertone) * chanceOver((lrvPercent - 50) / 5),
      'lends the sun',
      0.15,
    )
  if (contrast !== 'open') sayContrast(undertone, room, say)
}

// Lightness apart, J′, at which things stand crisply apart, and within which one runs into the next; common practice has a
// step of 20 as clear, of 10 as soft.
const CRISP = { from: 22, spread: 5 } as const
const SOFT = { below: 12, spread: 4 } as const

/** What the contrast they wish for asks: how far the wall stands apart in lightness from what stays, each as it is seen. */
function sayContrast(
  { j }: Undertone,
  { character, finishes, seen }: PreparedRoom,
  say: Say,
): void {
  let [apart, total] = [0, 0]
  for (let f = 0; f < finishes.length; f++) {
    const weight = finishes[f]!.inView * finishes[f]!.shows
    apart += weight * Math.abs(j - seen[0]![f]!.j)
    total += weight
  }
  const mean = apart / total
  if (character.contrast === 'high')
    say(
      POINTS.contrast * chanceOver((mean - CRISP.from) / CRISP.spread),
      'crisp beside what stays',
      0.3,
    )
  else
    say(
      POINTS.contrast * chanceOver((SOFT.below - mean) / SOFT.spread),
      'soft beside what stays',
      0.3,
    )
}

let ruleSum = 0
const addRule: Say = (points) => {
  ruleSum += points
}

/** All that hangs on the colour alone, in points, without a word. */
export function ownPoints(place: OwnPlace, room: PreparedRoom, asks: RoomAsks): number {
  ruleSum = fittedPoints(place.undertone, asks.of)
  sayRules(place, room, asks, addRule)
  return ruleSum
}

/** The same with what is said of each. */
export function ownTerms(place: OwnPlace, room: PreparedRoom, asks: RoomAsks): WorthTerm[] {
  fillRoomTerms(ORDINARY, NO_PAIRS, asks.of, ordinary)
  fillRoomTerms(place.undertone, NO_PAIRS, asks.of, terms)
  const all: WorthTerm[] = SAID_OF.flatMap(({ places, gives, against }) => {
    const more = places.reduce((sum, i) => sum + ROOM_WEIGHTS[i]! * (terms[i]! - ordinary[i]!), 0)
    const words = Math.abs(more) >= SAID_FROM ? (more > 0 ? gives : against) : null
    return words === null ? [] : [{ points: more, words }]
  })
  sayRules(place, room, asks, (points, words, from) =>
    all.push({ points, words: Math.abs(points) >= from ? words : null }),
  )
  return all
}

/** Points of a wall's pairs with all that stays. */
export function pairPoints(scores: ArrayLike<number>, { shares }: PreparedRoom): number {
  const { score, chance } = pairsTogether(scores, shares, plainChance)
  return ROOM_WEIGHTS[0]! * score + ROOM_WEIGHTS[1]! * chance
}

/** What is said of a colour in a room, beside its pairs. */
export interface SaidOfColour {
  /** What it gives, and what speaks against it, each the weightiest first. */
  readonly gives: readonly string[]
  readonly against: readonly string[]
  readonly advice: readonly Advice[]
}
export type Worth = SaidOfColour & { readonly worth: number }

export function saidOfColour(
  reflectance: Reflectance,
  place: OwnPlace,
  room: PreparedRoom,
  asks: RoomAsks,
): SaidOfColour {
  const advice = roomAdvice(reflectance, room.character, room.rules)
  const said = ownTerms(place, room, asks)
    .filter(({ words }) => words !== null)
    .sort((p, q) => Math.abs(q.points) - Math.abs(p.points))
  const wordsOf = (is: (points: number) => boolean): string[] =>
    said.filter((each) => is(each.points)).map(({ words }) => words!)
  return {
    gives: wordsOf((own) => own > 0),
    against: [...wordsOf((own) => own <= 0), ...saidOf(advice).map(({ words }) => words)],
    advice,
  }
}

/** Everything together, with what is said of it. */
export function worthOf(
  reflectance: Reflectance,
  place: OwnPlace,
  scores: ArrayLike<number>,
  room: PreparedRoom,
  asks: RoomAsks,
): Worth {
  const said = saidOfColour(reflectance, place, room, asks)
  const points =
    pairPoints(scores, room) +
    ownPoints(place, room, asks) -
    said.advice.reduce((sum, { strength, weight }) => sum + strength * weight, 0)
  return { worth: points / POINTS_PER_WORTH, ...said }
}
