import { REASON_WORDS } from '../record/verdict'
import type { HouseRules } from '../advice/house-rules'
import { CARRIED_ON, isGood, judgementOf, type Judgement, judgedWords } from '../pairing/chance'
import { judgePair, type PairJudgement } from '../pairing/judge-pair'
import { ratedRole, roleOf, type Role } from '../pairing/role'
import type { Sheen } from '../paint/sheen'
import { sheenForSurface, type Wear } from '../paint/surface-sheen'
import type { Treatment } from '../paint/treatment'
import type { Surface } from '../record/proposal'
import { cleanWhiteOf, DEEP_BELOW_LRV, STRIP_STEPS, type DeckColour } from './trim'

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

/** A relative of the wall on its strip: so many steps deeper, or lighter below 0; null past its ends. */
const relative = (wall: DeckColour, strip: readonly number[], steps: number): number | null => {
  const at = strip.indexOf(wall.place)
  return at < 0 ? null : (strip[at + steps] ?? null)
}

function option(
  wall: DeckColour,
  other: DeckColour,
  role: Role,
  { treatment, wear }: AroundRoom,
  surface: Surface,
  name: string,
): AroundOption {
  const pair = judgePair(wall, other, role)
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
  const why = isGood(pair.chance) ? pair.pairing : REASON_WORDS[pair.reason]
  return `${judgedWords(pair.chance)}: ${why}; the wall ${pair.back.words}; ${(light / Math.max(1, dark)).toFixed(1)} to 1 in LRV`
}

/** Ceilings: a clean white, the wall's own paler relative, the wall's own colour carried up. */
export function ceilingsFor(
  wall: DeckColour,
  deck: readonly DeckColour[],
  strip: readonly number[],
  room: AroundRoom,
): AroundOption[] {
  const clean = cleanWhiteOf(deck)
  const paler = relative(wall, strip, -STRIP_STEPS) ?? relative(wall, strip, -1)
  const of = (place: number, name: string): AroundOption =>
    option(
      wall,
      deck.find((each) => each.place === place)!,
      roleOf('trim', room.rules),
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
      judgement: judgementOf(CARRIED_ON),
      chance: CARRIED_ON,
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
      ratedRole('neighbour', room.rules),
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
    return other
      ? [option(wall, other, ratedRole('neighbour', room.rules), room, 'one wall', name)]
      : []
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
  const role = roleOf(surface === 'door inside' ? 'door' : 'cabinets', room.rules)
  const clean = cleanWhiteOf(deck)
  const steps = surface === 'island' ? STRIP_STEPS + 1 : STRIP_STEPS
  const away = wall.lrvPercent < DEEP_BELOW_LRV ? -steps : steps
  const kin = relative(wall, strip, away) ?? relative(wall, strip, Math.sign(away))
  const of = (place: number, name: string): AroundOption =>
    option(
      wall,
      deck.find((each) => each.place === place)!,
      role,
      room,
      surface,
      name,
    )
  return [
    ...(clean ? [of(clean.place, 'a clean white')] : []),
    ...(kin !== null ? [of(kin, away > 0 ? 'a deeper relative' : 'a paler relative')] : []),
  ]
}
