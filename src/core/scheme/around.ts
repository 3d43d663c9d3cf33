import type { HouseRules } from '../advice/house-rules'
import { isGood, judgementOf, type Judgement } from '../pairing/chance'
import { judgePair, type PairJudgement } from '../pairing/judge-pair'
import type { KeeperKind } from '../pairing/keeper-kind'
import { roleOf } from '../pairing/role'
import type { Sheen } from '../paint/sheen'
import { sheenForSurface, type Wear } from '../paint/surface-sheen'
import type { Treatment } from '../paint/treatment'
import type { Surface } from '../record/proposal'
import { hueName, NO_LEAN_BELOW, type HueName } from '../undertone/hue-name'
import { leaning, type Undertone } from '../undertone/undertone'
import type { DeckColour } from './trim'

/** A colour for a surface beside a wall, in the light at hand. */
export interface AroundOption {
  readonly surface: Surface
  /** "a relative two steps deeper". */
  readonly name: string
  readonly place: number
  readonly sheen: Sheen
  readonly judgement: Judgement
  /** That it works beside the wall, 0 to 1. */
  readonly chance: number
  readonly words: string
}

/** What a wall's surroundings are judged in. */
export interface AroundRoom {
  readonly rules: HouseRules
  readonly treatment: Treatment
  readonly wear: Wear
}

// One colour carried on never quarrels and never sets off.
const SAME_CHANCE = 0.9

const DEEP_BELOW_LRV = 45
const STRIP_STEPS = 2

/** A relative of the wall on its strip: so many steps deeper, or lighter below 0; null past its ends. */
const relative = (wall: DeckColour, strip: readonly number[], steps: number): number | null => {
  const at = strip.indexOf(wall.place)
  return at < 0 ? null : (strip[at + steps] ?? null)
}

function option(
  wall: DeckColour,
  other: DeckColour,
  kind: KeeperKind,
  { rules, treatment, wear }: AroundRoom,
  surface: Surface,
  name: string,
): AroundOption {
  const pair = judgePair(wall, other, roleOf(kind, rules))
  return {
    surface,
    name,
    place: other.place,
    sheen: sheenForSurface(surface, treatment, wear),
    judgement: judgementOf(pair.chance),
    chance: pair.chance,
    words: pairWords(pair, wall, other),
  }
}

const pairWords = (pair: PairJudgement, wall: DeckColour, other: DeckColour): string => {
  const [dark, light] = [wall.lrvPercent, other.lrvPercent].sort((p, q) => p - q) as [
    number,
    number,
  ]
  const why = isGood(pair.chance) ? pair.pairing : pair.reason
  return `${judgementOf(pair.chance)}: ${why}; the wall ${pair.back.words}; ${(light / Math.max(1, dark)).toFixed(1)} to 1 in LRV`
}

const CLEAN_FROM_LRV = 80

/** Ceilings: a clean white, the wall's own paler relative, the wall's own colour carried up. */
export function ceilingsFor(
  wall: DeckColour,
  deck: readonly DeckColour[],
  strip: readonly number[],
  room: AroundRoom,
): AroundOption[] {
  const clean = deck
    .filter(({ lrvPercent, undertone }) => lrvPercent >= CLEAN_FROM_LRV && undertone.c < 2.5)
    .sort((p, q) => p.undertone.c - q.undertone.c)[0]
  const paler = relative(wall, strip, -STRIP_STEPS) ?? relative(wall, strip, -1)
  const of = (place: number, name: string): AroundOption =>
    option(
      wall,
      deck.find((each) => each.place === place)!,
      'trim',
      room,
      'ceiling',
      name,
    )
  return [
    ...(clean ? [of(clean.place, 'a clean white')] : []),
    ...(paler !== null ? [of(paler, 'a paler relative of the wall')] : []),
    {
      surface: 'ceiling',
      name: 'the wall’s own colour, carried up',
      place: wall.place,
      sheen: 'matt',
      judgement: judgementOf(SAME_CHANCE),
      chance: SAME_CHANCE,
      words:
        wall.lrvPercent < DEEP_BELOW_LRV
          ? 'no line round the room: it comes down and encloses'
          : 'no line round the room: the room seems higher',
    },
  ]
}

/** Both colours of a half wall: the deeper below, where it is knocked and scuffed. */
export function lowerHalfFor(
  wall: DeckColour,
  deck: readonly DeckColour[],
  strip: readonly number[],
  room: AroundRoom,
): AroundOption[] {
  const steps = wall.lrvPercent < DEEP_BELOW_LRV ? -STRIP_STEPS : STRIP_STEPS
  const place = relative(wall, strip, steps) ?? relative(wall, strip, Math.sign(steps))
  const other = deck.find((each) => each.place === place)
  if (!other) return []
  const deeper = steps > 0
  return [
    option(
      wall,
      other,
      'cabinets',
      room,
      deeper ? 'lower half' : 'upper half',
      deeper ? 'a deeper relative below' : 'a paler relative above',
    ),
  ]
}

/** Colours for a wall of its own: its relatives two and three steps away, the way a deep wall leaves them. */
export function featureColoursFor(
  wall: DeckColour,
  deck: readonly DeckColour[],
  strip: readonly number[],
  room: AroundRoom,
): AroundOption[] {
  const away = wall.lrvPercent < DEEP_BELOW_LRV ? -1 : 1
  return [STRIP_STEPS, STRIP_STEPS + 1].flatMap((steps) => {
    const place = relative(wall, strip, away * steps)
    const other = deck.find((each) => each.place === place)
    const name = `a ${away > 0 ? 'deeper' : 'paler'} relative, ${steps} steps away`
    return other ? [option(wall, other, 'cabinets', room, 'one wall', name)] : []
  })
}

/** Cabinets and an island: a clean white, a relative, and what bridges the two. */
export function joineryFor(
  surface: 'cabinets' | 'island' | 'door inside',
  wall: DeckColour,
  deck: readonly DeckColour[],
  strip: readonly number[],
  room: AroundRoom,
): AroundOption[] {
  const kind = surface === 'door inside' ? 'door' : 'cabinets'
  const clean = deck
    .filter(({ lrvPercent, undertone }) => lrvPercent >= CLEAN_FROM_LRV && undertone.c < 2.5)
    .sort((p, q) => p.undertone.c - q.undertone.c)[0]
  const steps = surface === 'island' ? STRIP_STEPS + 1 : STRIP_STEPS
  const away = wall.lrvPercent < DEEP_BELOW_LRV ? -steps : steps
  const kin = relative(wall, strip, away) ?? relative(wall, strip, Math.sign(away))
  const of = (place: number, name: string): AroundOption =>
    option(
      wall,
      deck.find((each) => each.place === place)!,
      kind,
      room,
      surface,
      name,
    )
  return [
    ...(clean ? [of(clean.place, 'a clean white')] : []),
    ...(kin !== null ? [of(kin, away > 0 ? 'a deeper relative' : 'a paler relative')] : []),
  ]
}

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

/** Leans of fabric that sit with a wall, by depth. */
export interface FabricLeans {
  readonly connects: readonly string[]
  readonly setsOff: readonly string[]
}

const FABRIC_DEPTHS = [
  { word: 'pale', j: 88 },
  { word: 'mid', j: 62 },
  { word: 'deep', j: 32 },
] as const
// As leans of cloth go: a greyed one and a clear one, CAM16-UCS units.
const FABRIC_LEANS = [9, 18] as const
const AROUND_DEG = 20
// Cloth is bought in one piece: only what surely sits is named.
const SURE_FROM = 0.85

/**
 * Which leans and depths of cloth connect with a wall in the light at hand, and which set it off: every direction at three
 * depths, greyed and clear, each judged as upholstery.
 */
export function fabricsFor(wall: DeckColour, rules: HouseRules): FabricLeans {
  const role = roleOf('upholstery', rules)
  const found = {
    connects: new Map<string, Set<HueName>>(),
    setsOff: new Map<string, Set<HueName>>(),
  }
  for (const { word, j } of FABRIC_DEPTHS)
    for (const c of FABRIC_LEANS)
      for (let deg = 0; deg < 360; deg += AROUND_DEG) {
        const pair = judgePair(wall, { undertone: at(j, c, deg), source: 'spectral' }, role)
        if (pair.chance < SURE_FROM) continue
        const into =
          pair.pairing === 'contrasts'
            ? found.setsOff
            : pair.pairing === 'connects'
              ? found.connects
              : null
        if (!into) continue
        into.set(word, (into.get(word) ?? new Set()).add(hueName(deg)))
      }
  const said = (of: Map<string, Set<HueName>>): string[] =>
    [...of].map(([depth, hues]) => `${depth}: ${[...hues].join(', ')}`)
  return { connects: said(found.connects), setsOff: said(found.setsOff) }
}

const at = (j: number, c: number, deg: number): Undertone => {
  const rad = (deg * Math.PI) / 180
  return leaning(j, c * Math.cos(rad), c * Math.sin(rad))
}

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
        Number(q.pair.pairing === 'contrasts') - Number(p.pair.pairing === 'contrasts') ||
        q.colour.undertone.c - p.colour.undertone.c,
    )
    .slice(0, ACCENT_USES.length)
    .map(({ colour, pair }, at) => ({
      colour,
      uses: ACCENT_USES[at]!,
      words: `${pair.pairing}: ${ACCENT_USES[at]!.join(' and ')}, no more`,
    }))
}
