import { REASON_WORDS } from '../record/verdict'
import type { HouseRules } from '../advice/house-rules'
import { ruleWords } from '../advice/house-rules'
import { CARRIED_ON, isGood, judgementOf, type Judgement, JUDGEMENT_WORDS } from '../pairing/chance'
import { judgePair, type PairJudgement } from '../pairing/judge-pair'
import { roleOf } from '../pairing/role'
import type { ReadingSource } from '../paint/reading'
import { SHEENS, type Sheen } from '../paint/sheen'
import { STRIP_STEP, unitsApart } from '../ranking/variety'
import { nameOf } from '../undertone/name'
import { NO_LEAN_BELOW } from '../undertone/hue-name'
import { hueApartDeg, type Undertone } from '../undertone/undertone'

/** A deck colour at full strength, as it is seen in the light at hand. */
export interface DeckColour {
  /** Its place in the deck's listing. */
  readonly place: number
  readonly lrvPercent: number
  readonly undertone: Undertone
  readonly source: ReadingSource
}

export const TRIM_KINDS = ['same', 'clean-white', 'soft-white', 'relative', 'complement'] as const
export type TrimKind = (typeof TRIM_KINDS)[number]

export interface TrimOption {
  readonly kind: TrimKind
  readonly place: number
  readonly sheen: Sheen
  readonly judgement: Judgement
  readonly chance: number
  /** LRV of the lighter over that of the darker. */
  readonly lrvRatio: number
  readonly words: string
}

// LRV limits of trim whites, common practice: clean from 80, softened from 74 up.
const CLEAN_FROM_LRV = 80
const SOFT_FROM_LRV = 74
const CLEAN_LEAN_BELOW = 2.5
const SOFT_LEAN = [CLEAN_LEAN_BELOW, 9] as const
const SOFT_HUE_DEG = 35
/** A wall this deep has its relative above it; common practice. */
export const DEEP_BELOW_LRV = 45
export const STRIP_STEPS = 2
// A complementary trim is deep, from across the circle and no louder than a wall colour, beside a wall that has a lean; common practice.
const COMPLEMENT = { upToLrv: 25, darker: 15, hueDeg: 120, lean: [7, 14], wallLean: 3 } as const
/**
 * Trims for a wall, judged as trim: the same colour in a higher sheen, a clean white, a softened white, a relative two
 * strip steps away (lighter if the wall is deep), a deep complement. The house rule's own school comes first, else the
 * one likeliest to work; beside a pale wall that a very bright room washes out, the clean white.
 *
 * @param strip places of the wall's strip, lightest first; the wall among them
 * @param washesOut whether the wall washes out in its room
 */
export function trimsFor(
  wall: DeckColour,
  deck: readonly DeckColour[],
  strip: readonly number[],
  rules: HouseRules,
  washesOut = false,
): TrimOption[] {
  // The wall's own colour, or one that nobody could tell from it, is no other trim.
  const others = deck.filter(
    (c) => c.place !== wall.place && unitsApart(c.undertone, wall.undertone) >= STRIP_STEP,
  )
  const best = (among: readonly DeckColour[]): DeckColour | undefined =>
    among
      .map((c) => ({ c, chance: judged(wall, c, rules).chance }))
      .reduce<{ c: DeckColour; chance: number } | undefined>(
        (p, q) => (p && p.chance >= q.chance ? p : q),
        undefined,
      )?.c
  const clean = cleanWhiteOf(others)
  const soft = best(
    others.filter(
      (c) =>
        c.lrvPercent >= SOFT_FROM_LRV &&
        c.undertone.c >= SOFT_LEAN[0] &&
        c.undertone.c < SOFT_LEAN[1] &&
        (wall.undertone.c < NO_LEAN_BELOW ||
          hueApartDeg(c.undertone.hueDeg, wall.undertone.hueDeg) <= SOFT_HUE_DEG),
    ),
  )
  const relative = others.find(({ place }) => place === relativePlace(wall, strip))
  const complement =
    wall.undertone.c < COMPLEMENT.wallLean
      ? undefined
      : best(
          others.filter(
            ({ undertone, lrvPercent }) =>
              lrvPercent <= Math.min(COMPLEMENT.upToLrv, wall.lrvPercent - COMPLEMENT.darker) &&
              undertone.c >= COMPLEMENT.lean[0] &&
              undertone.c <= COMPLEMENT.lean[1] &&
              hueApartDeg(undertone.hueDeg, wall.undertone.hueDeg) >= COMPLEMENT.hueDeg,
          ),
        )
  const offered: readonly (readonly [TrimKind, DeckColour | undefined])[] = [
    ['clean-white', clean],
    ['soft-white', soft],
    ['relative', relative],
    ['complement', complement],
  ]
  const first = washesOut && rules.trim === 'table' ? 'clean-white' : rules.trim
  return [
    sameColour(wall),
    ...offered.flatMap(([kind, trim]) =>
      trim ? [option(kind, wall, trim, rules, washesOut)] : [],
    ),
  ].sort(
    (p, q) =>
      Number(q.kind === first) - Number(p.kind === first) ||
      // A complement is for those who ask for it.
      Number(p.kind === 'complement') - Number(q.kind === 'complement') ||
      q.chance - p.chance,
  )
}

/** The clean white of a deck: of those light enough the one that leans least. */
export const cleanWhiteOf = (deck: readonly DeckColour[]): DeckColour | undefined =>
  deck
    .filter((c) => c.lrvPercent >= CLEAN_FROM_LRV && c.undertone.c < CLEAN_LEAN_BELOW)
    .sort((p, q) => p.undertone.c - q.undertone.c)[0]

const judged = (wall: DeckColour, trim: DeckColour, rules: HouseRules): PairJudgement =>
  judgePair(wall, trim, roleOf('trim', rules))

/** Two steps lighter on the strip if the wall is deep, else deeper; the other way at the strip's end. */
function relativePlace(wall: DeckColour, strip: readonly number[]): number | undefined {
  const at = strip.indexOf(wall.place)
  if (at < 0) return undefined
  const by = wall.lrvPercent < DEEP_BELOW_LRV ? -STRIP_STEPS : STRIP_STEPS
  return strip[at + by] ?? strip[at - by]
}

const trimSheen: Sheen = SHEENS[2]

function sameColour(wall: DeckColour): TrimOption {
  return {
    kind: 'same',
    place: wall.place,
    sheen: trimSheen,
    judgement: judgementOf(CARRIED_ON),
    chance: CARRIED_ON,
    lrvRatio: 1,
    words: `the wall’s own colour in ${trimSheen}: quiet, its line shows by the shine alone`,
  }
}

function option(
  kind: TrimKind,
  wall: DeckColour,
  trim: DeckColour,
  rules: HouseRules,
  washesOut: boolean,
): TrimOption {
  const pair = judged(wall, trim, rules)
  const [dark, light] = [wall.lrvPercent, trim.lrvPercent].sort((p, q) => p - q) as [number, number]
  const lrvRatio = light / Math.max(1, dark)
  const judgement = judgementOf(pair.chance)
  const why = isGood(pair.chance) ? pair.pairing : REASON_WORDS[pair.reason]
  const words = [
    `${JUDGEMENT_WORDS[judgement]}: ${why}`,
    `the wall ${pair.back.words}`,
    `${lrvRatio.toFixed(1)} to 1 in LRV`,
    ...(kind === 'clean-white' ? besideGreige(wall, rules) : []),
    ...(kind === 'clean-white' && washesOut ? ['keeps a pale wall in a very bright room'] : []),
  ]
  return {
    kind,
    place: trim.place,
    sheen: trimSheen,
    judgement,
    chance: pair.chance,
    lrvRatio,
    words: words.join('; '),
  }
}

/** What the rule on a clean white beside a greige holds, where it differs from the pair's own reading. */
function besideGreige(wall: DeckColour, rules: HouseRules): string[] {
  const rule = rules['white-beside-greige']
  const { name } = nameOf(wall.undertone, wall.lrvPercent, rules)
  if (name !== 'greige' || rule === 'computed') return []
  const held = rule === 'sets-off' ? 'held to set it off' : 'held to make it look dirty'
  return [`${held} (${ruleWords('white-beside-greige', rules)})`]
}
