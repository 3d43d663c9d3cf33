import { SHEENS, type Sheen } from '../paint/sheen'
import { familyOf } from '../undertone/family'
import { ruleWords, type HouseRules } from '../advice/house-rules'
import { NO_LEAN_BELOW } from '../undertone/hue-name'
import { gradeOf, verdictOfGrade, worksDegree } from '../pairing/pair-grade'
import { pairingOf, type Pairing } from '../pairing/pairing'
import { hueApartDeg, type Undertone } from '../undertone/undertone'
import { wallOnFinish } from '../pairing/wall-on-finish'

/** A deck colour at full strength, as it is seen in the light at hand. */
export interface DeckColour {
  /** Its place in the deck's listing. */
  readonly place: number
  readonly lrvPercent: number
  readonly undertone: Undertone
}

export const TRIM_KINDS = ['same', 'clean-white', 'soft-white', 'relative'] as const
export type TrimKind = (typeof TRIM_KINDS)[number]

export interface TrimOption {
  readonly kind: TrimKind
  readonly place: number
  readonly sheen: Sheen
  readonly pairing: Pairing
  /** See `gradeOf`. */
  readonly grade: number
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
const DEEP_BELOW_LRV = 45
const STRIP_STEPS = 2
// One colour in two sheens never quarrels and never sets off.
const SAME_GRADE = 0.25

/**
 * Trims for a wall, judged by the pairing table: the same colour in a higher sheen, a clean white, a softened white, a
 * relative two strip steps away (lighter if the wall is deep). The house rule's own school comes first, else the
 * one that pairs best.
 *
 * @param strip places of the wall's strip, lightest first; the wall among them
 */
export function trimsFor(
  wall: DeckColour,
  deck: readonly DeckColour[],
  strip: readonly number[],
  rules: HouseRules,
): TrimOption[] {
  const byPlace = new Map(deck.map((colour) => [colour.place, colour]))
  const best = (among: readonly DeckColour[]): DeckColour | undefined =>
    among.reduce<DeckColour | undefined>(
      (p, q) => (p && gradeBeside(wall, p) <= gradeBeside(wall, q) ? p : q),
      undefined,
    )
  const clean = deck
    .filter((c) => c.lrvPercent >= CLEAN_FROM_LRV && c.undertone.c < CLEAN_LEAN_BELOW)
    .sort((p, q) => p.undertone.c - q.undertone.c)[0]
  const soft = best(
    deck.filter(
      (c) =>
        c.lrvPercent >= SOFT_FROM_LRV &&
        c.undertone.c >= SOFT_LEAN[0] &&
        c.undertone.c < SOFT_LEAN[1] &&
        (wall.undertone.c < NO_LEAN_BELOW ||
          hueApartDeg(c.undertone.hueDeg, wall.undertone.hueDeg) <= SOFT_HUE_DEG),
    ),
  )
  const relative = byPlace.get(relativePlace(wall, strip) ?? -1)
  const options = [
    sameColour(wall),
    ...(clean ? [judged('clean-white', wall, clean, rules)] : []),
    ...(soft ? [judged('soft-white', wall, soft, rules)] : []),
    ...(relative ? [judged('relative', wall, relative, rules)] : []),
  ]
  return options.sort(
    (p, q) => Number(q.kind === rules.trim) - Number(p.kind === rules.trim) || p.grade - q.grade,
  )
}

const gradeBeside = ({ undertone: wall }: DeckColour, { undertone: trim }: DeckColour): number =>
  gradeOf(pairingOf(wall, trim), wall, trim)

/** Two steps lighter on the strip if the wall is deep, else deeper; the other way at the strip's end. */
function relativePlace(wall: DeckColour, strip: readonly number[]): number | undefined {
  const at = strip.indexOf(wall.place)
  if (at < 0) return undefined
  const by = wall.lrvPercent < DEEP_BELOW_LRV ? -STRIP_STEPS : STRIP_STEPS
  return strip[at + by] ?? strip[at - by]
}

function sameColour(wall: DeckColour): TrimOption {
  return {
    kind: 'same',
    place: wall.place,
    sheen: trimSheen,
    pairing: 'connects',
    grade: SAME_GRADE,
    lrvRatio: 1,
    words: `the wall’s own colour in ${trimSheen}: quiet, the line of the trim shows by its shine alone`,
  }
}

const trimSheen: Sheen = SHEENS[2]

function judged(kind: TrimKind, wall: DeckColour, trim: DeckColour, rules: HouseRules): TrimOption {
  const pairing = pairingOf(wall.undertone, trim.undertone)
  const grade = gradeOf(pairing, wall.undertone, trim.undertone)
  const [dark, light] = [wall.lrvPercent, trim.lrvPercent].sort((p, q) => p - q) as [number, number]
  const lrvRatio = light / Math.max(1, dark)
  const degree = worksDegree(grade)
  const said = degree ?? (verdictOfGrade(grade) === 'unsure' ? 'unsure' : pairing)
  const greige = kind === 'clean-white' ? besideGreige(wall, rules) : ''
  const back = wallOnFinish(wall.undertone, trim.undertone).words
  return {
    kind,
    place: trim.place,
    sheen: trimSheen,
    pairing,
    grade,
    lrvRatio,
    words: `${said}; the wall ${back}; ${lrvRatio.toFixed(1)} to 1 in LRV${greige}`,
  }
}

/** What the rule on a clean white beside a greige holds, where it differs from the pair's own reading. */
function besideGreige(wall: DeckColour, rules: HouseRules): string {
  const rule = rules['white-beside-greige']
  const { kind } = familyOf(wall.undertone, wall.lrvPercent, rules)
  if (kind !== 'greige' || rule === 'computed') return ''
  const held = rule === 'sets-off' ? 'held to set it off' : 'held to make it look dirty'
  return `; ${held} (${ruleWords('white-beside-greige', rules)})`
}
