import type { HouseRuleName, HouseRules } from './house-rules'
import { ruleWords } from './house-rules'
import { isCoolLean, isWarmLean } from '../undertone/warmth'
import { NO_LEAN_BELOW, ONLY_LEANS_BELOW } from '../undertone/hue-name'
import { KIND_LIMITS } from '../undertone/family'
import { prepareLight } from '../colour/appearance'
import { ILLUMINANT_SPECTRA } from '../colour/illuminant'
import { BANDS } from '../colour/spectrum'
import { lrvPercent } from '../paint/lrv'
import { emptyUndertones, flatUndertones } from '../undertone/flat-undertones'
import { leaning, type Undertone } from '../undertone/undertone'

/** What of a room speaks for or against a colour before any finish does. */
export interface RoomCharacter {
  readonly daylightFactorPercent: number
  /** Cool and even through the day: no direct sun to warm it. */
  readonly coolAndEven: boolean
  readonly hasCarpet: boolean
}

/** One thing that speaks against a colour in a room. */
export interface Advice {
  /** How much it holds the colour back, on the scale of grades; see `gradeOf`. */
  readonly against: number
  readonly words: string
  /** The house rule it follows from, or null for what the trade agrees on. */
  readonly rule: HouseRuleName | null
}

// BS 8206-2, CIBSE LG10: average daylight factors.
const DIM_BELOW_PERCENT = 2
const BRIGHT_FROM_PERCENT = 5
// LRV from which a colour counts as pale, and from which a grey is a grey and not a dark colour; common practice.
const PALE_FROM_LRV = 72
const GREY_FROM_LRV = 25

const HOLDS_BACK = 0.5
const HOLDS_BACK_A_LITTLE = 0.25

/**
 * What the room's light and its house rules say of a colour by its lean in daylight. Advice holds a colour back in
 * the ranking; it never turns a verdict round.
 *
 * @param lrvPercent 0 to 100
 */
export function roomAdvice(
  undertone: Undertone,
  lrvPercent: number,
  room: RoomCharacter,
  rules: HouseRules,
): Advice[] {
  const isPale = lrvPercent >= PALE_FROM_LRV
  const isDim = room.daylightFactorPercent < DIM_BELOW_PERCENT
  const advice: Advice[] = []
  const say = (against: number, words: string, rule: HouseRuleName | null = null): void => {
    advice.push({
      against,
      words: rule ? `${words} (${ruleWords(rule, rules)})` : words,
      rule,
    })
  }
  if (isDim && undertone.c < KIND_LIMITS.greyBelow && lrvPercent >= GREY_FROM_LRV)
    say(HOLDS_BACK, 'a dim room asks for more colour or better lamps, not for grey')
  if (isDim && isPale && isCoolLean(undertone))
    say(HOLDS_BACK_A_LITTLE, 'a cool off-white goes dingy in a dim room')
  if (room.coolAndEven) northRoom(undertone, isPale, rules, say)
  if (room.daylightFactorPercent > BRIGHT_FROM_PERCENT && isPale) brightWhite(undertone, rules, say)
  if (room.hasCarpet && isPale && lrvPercent < 85)
    say(HOLDS_BACK_A_LITTLE, 'be careful with an off-white beside carpet')
  return advice
}

const DAYLIGHT = prepareLight(ILLUMINANT_SPECTRA.D65, 500)

/**
 * How much each of many colours is held back by the advice on it, summed.
 *
 * @param rows reflectances, 36 numbers a surface
 */
export function heldBack(rows: Float64Array, room: RoomCharacter, rules: HouseRules): Float64Array {
  const count = rows.length / BANDS
  const seen = emptyUndertones(count)
  flatUndertones(DAYLIGHT, rows, seen)
  return new Float64Array(count).map((_, i) => {
    const lrv = lrvPercent(rows.subarray(i * BANDS, (i + 1) * BANDS))
    const undertone = leaning(seen.j[i]!, seen.a[i]!, seen.b[i]!)
    return roomAdvice(undertone, lrv, room, rules).reduce((sum, { against }) => sum + against, 0)
  })
}

type Say = (against: number, words: string, rule?: HouseRuleName | null) => void

function northRoom(undertone: Undertone, isPale: boolean, rules: HouseRules, say: Say): void {
  switch (rules['north-room']) {
    case 'warm-up':
      if (isCoolLean(undertone)) say(HOLDS_BACK, 'leans cool in a cool, even room', 'north-room')
      return
    case 'lean-in':
      if (isWarmLean(undertone))
        say(HOLDS_BACK, 'leans warm where the light is let be cool', 'north-room')
      return
    case 'no-whites':
      if (isPale) say(HOLDS_BACK, 'too pale for a cool, even room', 'north-room')
  }
}

function brightWhite(undertone: Undertone, rules: HouseRules, say: Say): void {
  const isCreamy = undertone.c >= ONLY_LEANS_BELOW && isWarmLean(undertone)
  switch (rules['bright-whites']) {
    case 'any':
      return
    case 'creamy':
      if (!isCreamy) say(HOLDS_BACK, 'not creamy enough to keep its warmth', 'bright-whites')
      return
    case 'washes-out':
      say(HOLDS_BACK, 'pale colours wash out in a very bright room', 'bright-whites')
      return
    case 'computed':
      if (undertone.c >= NO_LEAN_BELOW && undertone.c < ONLY_LEANS_BELOW)
        say(HOLDS_BACK_A_LITTLE, 'the little lean it has washes out in this room', 'bright-whites')
  }
}
