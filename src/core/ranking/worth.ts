import { againstDepth, depthBands, suitsDepth, type DepthBand } from '../advice/depth'
import { roomAdvice, saidOf, type Advice, type AdvisedColour } from '../advice/room-advice'
import { unwantedIn, type Unwanted } from '../advice/will-not-have'
import { chanceOver } from '../chance-over'
import type { Reflectance } from '../colour/spectrum'
import type { Undertone } from '../undertone/undertone'
import { warmLean } from '../undertone/warmth'
import type { PreparedRoom } from './ranked-room'

/**
 * What a colour is worth in a room, in points, each term bounded so that a ranking can be cut short. The balance is
 * common practice: a pair that fails outweighs any two merits; a shared undertone beats the mere absence of quarrel; a
 * grey without any lean looks unpainted.
 */
export const POINTS = {
  /** From the surest no to the surest yes. */
  pairs: 2,
  shared: 0.5,
  depth: 0.7,
  /** Well outside every depth that is wished for, or that the room suits by itself. */
  againstWish: -1.2,
  againstOwn: -0.4,
  grey: -0.9,
  nearBlack: -0.7,
  unwanted: -0.7,
  wish: 0.3,
} as const

/** Points over this are worth, 0 to about 1: no step of 0.1 unit moves a worth by more than 0.02. */
export const POINTS_PER_WORTH = 6

/** A ranking's own view of what a room asks, worked out once. */
export interface RoomAsks {
  readonly bands: readonly DepthBand[]
  readonly depthWords: string
  readonly againstDepth: number
  readonly againstWords: string
  readonly unwanted: readonly Unwanted[]
  /** Points of each of them: more of them weigh less each. */
  readonly perUnwanted: number
  /** How far a finish that stays is itself a grey, or black: then it asks for the like. */
  readonly asksGrey: number
  readonly asksBlack: number
  /** A wish for drama, or evenings: the dark is asked for. */
  readonly dark: boolean
}

export function asksOf({ character, finishes, surfaces }: PreparedRoom): RoomAsks {
  const most = (of: (f: number) => number): number =>
    Math.max(...finishes.map(({ matters, shows }, f) => matters * shows * of(f)))
  const seen = surfaces[0]!
  const bands = depthBands(character)
  const unwanted = unwantedIn(character.willNotHave)
  return {
    bands,
    againstDepth: character.wants.length > 0 ? POINTS.againstWish : POINTS.againstOwn,
    againstWords:
      character.wants.length > 0 ? 'not of the depth they wish for' : 'not a depth for this room',
    depthWords: bands.map(({ why }) => why).join(' and '),
    unwanted,
    perUnwanted: POINTS.unwanted / Math.sqrt(Math.max(1, unwanted.length)),
    asksGrey: most((f) => (1 - seen[f]!.felt ** 2) * (1 - seen[f]!.black) * (1 - seen[f]!.light)),
    asksBlack: most((f) => seen[f]!.black),
    dark: character.wants.includes('more drama') || character.useHours === 'evening',
  }
}

/** A surface as it leans by daylight, where its own terms are settled. */
export type OwnPlace = AdvisedColour

export interface WorthTerm {
  readonly points: number
  /** Named in the line that explains a proposal; null where there is nothing to say. */
  readonly words: string | null
}

const LRV_SPREAD = 3

// From here on the eye sees a lean on the white card, and no grey looks unpainted.
const NO_LEAN = { below: 1.6, spread: 0.6 } as const
// Black ends about here; an LRV of 11 is a dark colour.
const BLACK = { upToLrv: 8, spread: 1.5 } as const

/** A grey without any lean, neither white nor near black. */
function unpainted({ undertone: { c }, lrvPercent }: OwnPlace): number {
  return (
    chanceOver((NO_LEAN.below - c) / NO_LEAN.spread) *
    chanceOver((82 - lrvPercent) / 4) *
    chanceOver((lrvPercent - 10) / LRV_SPREAD)
  )
}

/** One thing that speaks for a colour or against it, and from how many points on it is worth a word. */
type Say = (points: number, words: string, from: number) => void

/** What hangs on the colour alone: depth, wishes, grey, near black, what they will not have. */
function sayOwn(place: OwnPlace, room: PreparedRoom, asks: RoomAsks, say: Say): void {
  const { undertone, lrvPercent } = place
  const depth = suitsDepth(asks.bands, lrvPercent)
  say(POINTS.depth * depth, asks.depthWords, 0.6 * POINTS.depth)
  say(asks.againstDepth * againstDepth(asks.bands, lrvPercent), asks.againstWords, 0.2)
  sayWish(place, room, say)
  const grey = unpainted(place) * (1 - asks.asksGrey)
  say(POINTS.grey * grey, 'a grey without any lean, which looks unpainted', 0.25)
  const black =
    chanceOver((BLACK.upToLrv - lrvPercent) / BLACK.spread) *
    (asks.dark ? 0 : 1) *
    (1 - asks.asksBlack)
  say(POINTS.nearBlack * black, 'near black, and nothing here asks for it', 0.2)
  for (const { label, is } of asks.unwanted)
    say(asks.perUnwanted * is(undertone, lrvPercent), `they will not have ${label}`, 0.25)
}

/** The terms that hang on the colour alone, with what is said of each. */
export function ownTerms(place: OwnPlace, room: PreparedRoom, asks: RoomAsks): WorthTerm[] {
  const terms: WorthTerm[] = []
  sayOwn(place, room, asks, (points, words, from) =>
    terms.push({ points, words: words !== '' && Math.abs(points) >= from ? words : null }),
  )
  return terms
}

let ownSum = 0
const addOwn: Say = (points) => {
  ownSum += points
}

/** The same terms together, in points, without a word. */
export function ownPoints(place: OwnPlace, room: PreparedRoom, asks: RoomAsks): number {
  ownSum = 0
  sayOwn(place, room, asks, addOwn)
  return ownSum
}

const WISH_SAID_FROM = 0.1

// Summed up anew for every colour: a ranking makes no objects a row.
const wished = { sum: 0.5, given: '', against: '' }

function addWish(points: number, words: string): void {
  wished.sum += points
  if (points >= WISH_SAID_FROM)
    wished.given = wished.given === '' ? words : `${wished.given}, ${words}`
  if (points <= -WISH_SAID_FROM)
    wished.against = wished.against === '' ? words : `${wished.against}, ${words}`
}

/** What a wish asks of the lean: cosy is warm, calm is quiet, drama is strong or dark; a grey climate wants the sun. */
function sayWish(place: OwnPlace, room: PreparedRoom, say: Say): void {
  const { character } = room
  if (character.wants.length === 0 && character.climate !== 'grey' && character.contrast === 'open')
    return
  wished.sum = 0
  wished.given = ''
  wished.against = ''
  const { undertone, lrvPercent } = place
  const strong = chanceOver((undertone.c - 14) / 3)
  const warm = warmLean(undertone)
  for (const want of character.wants)
    if (want === 'cosier') addWish(0.2 * warm, 'warm')
    else if (want === 'calmer') addWish(-0.3 * strong, 'too strong to be calm')
    else if (want === 'more drama')
      addWish(0.25 * Math.max(strong, chanceOver((20 - lrvPercent) / LRV_SPREAD)), 'dramatic')
  if (character.climate === 'grey')
    addWish(0.1 * warm * chanceOver((lrvPercent - 50) / 5), 'lends the sun')
  if (character.contrast !== 'open') addContrast(undertone, room)
  // Where wishes pull both ways the stronger side is said.
  const { sum, given, against } = wished
  say(Math.max(-POINTS.wish, Math.min(POINTS.wish, sum)), sum > 0 ? given : against, 0)
}

// Lightness apart, J′, at which things stand crisply apart, and within which one runs into the next; common practice has a
// step of 20 as clear, of 10 as soft.
const CRISP = { from: 22, spread: 5 } as const
const SOFT = { below: 12, spread: 4 } as const
const CONTRAST_POINTS = 0.25

/** What the contrast they wish for asks: how far the wall stands apart in lightness from what stays, each as it matters. */
function addContrast({ j }: Undertone, { character, finishes, seen }: PreparedRoom): void {
  let [apart, total] = [0, 0]
  for (let f = 0; f < finishes.length; f++) {
    const weight = finishes[f]!.matters * finishes[f]!.shows
    apart += weight * Math.abs(j - seen[0]![f]!.j)
    total += weight
  }
  const mean = apart / total
  if (character.contrast === 'high')
    addWish(
      CONTRAST_POINTS * chanceOver((mean - CRISP.from) / CRISP.spread),
      'crisp beside what stays',
    )
  else
    addWish(
      CONTRAST_POINTS * chanceOver((SOFT.below - mean) / SOFT.spread),
      'soft beside what stays',
    )
}

// A lean is shared in full from this strength on.
const FULL_LEAN = 4
// What stays without a felt lean asks for a quiet wall, up to about this lean, and counts for so much less.
const QUIET = { below: 5, spread: 2.5, counts: 0.6 } as const

/** How far a wall takes up what stays, 0 to 1, in the room's first light: its lean, or where it has none its quiet. */
export function sharedLean(
  wall: Pick<Undertone, 'a' | 'b' | 'c'>,
  { finishes, seen, surfaces }: PreparedRoom,
): number {
  const quiet = chanceOver((QUIET.below - wall.c) / QUIET.spread)
  let [shared, total] = [0, 0]
  for (let f = 0; f < finishes.length; f++) {
    const finish = seen[0]![f]!
    const weight = finishes[f]!.matters * finishes[f]!.shows
    const felt = surfaces[0]![f]!.felt
    const unfelt = QUIET.counts * (1 - felt)
    const taken = Math.min(wall.c, FULL_LEAN) / Math.max(0.5, Math.min(finish.c, FULL_LEAN))
    const along = (wall.a * finish.a + wall.b * finish.b) / Math.max(1e-9, wall.c * finish.c)
    shared += weight * (felt * Math.max(0, along) * Math.min(1, taken) + unfelt * quiet)
    total += weight * (felt + unfelt)
  }
  return total > 0 ? shared / total : 0
}

/** A weighed chance from which down a no is so sure that nobody tells it from a surer one. */
export const SURE_NO = 0.05

/** Points of a weakest pair: a pair that is sure enough is not bettered by being surer, nor a no worsened. */
export function pairPoints(weighed: number): number {
  const from = 0.75
  const known = Math.max(SURE_NO, weighed)
  const capped = known <= from ? known : known - (known - from) ** 2 / (2 * (1 - from))
  return POINTS.pairs * (capped - 0.5)
}

// A wall of less lean than this shares quiet, not an undertone.
const QUIET_LEAN = 2

export interface Worth {
  readonly worth: number
  /** What it gives, and what speaks against it, each the weightiest first. */
  readonly gives: readonly string[]
  readonly against: readonly string[]
  readonly advice: readonly Advice[]
}

/** Everything together, with what is said of it. */
export function worthOf(
  reflectance: Reflectance,
  place: OwnPlace,
  weighed: number,
  shared: number,
  room: PreparedRoom,
  asks: RoomAsks,
): Worth {
  const advice = roomAdvice(reflectance, room.character, room.rules)
  const isQuiet = place.undertone.c < QUIET_LEAN
  const terms: WorthTerm[] = [
    {
      points: POINTS.shared * shared,
      words:
        shared < 0.6
          ? null
          : isQuiet
            ? 'as quiet as what stays'
            : 'shares the undertone of what stays',
    },
    ...ownTerms(place, room, asks),
    ...advice.map(({ strength, weight }) => ({ points: -strength * weight, words: null })),
  ]
  const points = pairPoints(weighed) + terms.reduce((sum, each) => sum + each.points, 0)
  const said = terms
    .filter(({ words }) => words !== null)
    .sort((p, q) => Math.abs(q.points) - Math.abs(p.points))
  const wordsOf = (is: (points: number) => boolean): string[] =>
    said.filter((each) => is(each.points)).map(({ words }) => words!)
  return {
    worth: points / POINTS_PER_WORTH,
    gives: wordsOf((own) => own > 0),
    against: [...wordsOf((own) => own <= 0), ...saidOf(advice).map(({ words }) => words)],
    advice,
  }
}

/** The most that a colour can still be worth before its pairs, its shared lean and its advice are known. */
export const mostWorth = (own: number): number =>
  (pairPoints(1) + POINTS.shared + own) / POINTS_PER_WORTH
