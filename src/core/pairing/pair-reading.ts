import type { PreparedLight } from '../colour/appearance'
import type { Reflectance } from '../colour/spectrum'
import { decidingParts, type FinishColour } from './keeper-parts'
import { leanFrom, NO_LEAN_BELOW, undertoneWords, type HueName } from '../undertone/hue-name'
import { gradeOf, UNWANTED_CONTRAST, VERDICT_OF } from './pair-grade'
import { measurePair, pairingOf, type PairMeasures, type Pairing } from './pairing'
import { READING_UNCERTAINTY, type ReadingSource } from '../paint/reading'
import { leaning, undertoneOf, type Undertone } from '../undertone/undertone'
import type { Reason, Verdict } from '../record/verdict'
import { wallOnFinish, type WallOnFinish } from './wall-on-finish'

export interface StrengthRung {
  readonly strengthPercent: number
  readonly reflectance: Reflectance
  readonly source: ReadingSource
}

/** What the model says of a candidate beside a keeper in a light. */
export interface ModelReading {
  readonly verdict: Verdict
  readonly pairing: Pairing
  readonly reason: Reason
  /** The part of the keeper that decides. */
  readonly part: string
  readonly measures: PairMeasures
  /** How far ΔE′ and the conflict may be off, from the readings of both. */
  readonly plusMinus: number
  /** False where the readings are too weak for the verdict that they point to. */
  readonly firm: boolean
  readonly wall: Undertone
  readonly finish: Undertone
  /** A contrast that works, where the house rule wants a shared undertone. */
  readonly unwanted: boolean
  /** See `gradeOf`. */
  readonly grade: number
  /** What the wall does to the finish. */
  readonly back: WallOnFinish
  /** One line in the trade's words. */
  readonly sentence: string
}

// Order of what decides when the parts of a keeper disagree: the worst that matters first.
const SEVERITY: readonly Verdict[] = ['no', 'unsure', 'works']

/**
 * The model's reading of a wall colour beside a keeper: every part of the keeper that counts, by size or because it
 * grabs the eye, is paired and the worst decides; where that is a no, the other strengths of the candidate are tried
 * and the nearest that works is named.
 *
 * @param keeper at least one colour
 * @param ladder other strengths the candidate could be taken at; empty where the base has none
 * @param mayBeSetOff whether the house rule lets this keeper be set off by an opposite
 */
export function modelReading(
  light: PreparedLight,
  candidate: StrengthRung,
  keeper: readonly FinishColour[],
  ladder: readonly StrengthRung[] = [],
  mayBeSetOff = true,
): ModelReading {
  const here = worstPair(light, candidate, keeper, mayBeSetOff)
  if (here.verdict !== 'no') return { ...here, sentence: sentenceOf(here) }
  const rung = [...ladder]
    .filter((other) => other.strengthPercent !== candidate.strengthPercent)
    .sort(
      (p, q) =>
        Math.abs(p.strengthPercent - candidate.strengthPercent) -
        Math.abs(q.strengthPercent - candidate.strengthPercent),
    )
    .find((other) => worstPair(light, other, keeper, mayBeSetOff).verdict === 'works')
  if (!rung) return { ...here, sentence: sentenceOf(here) }
  const verdict =
    rung.strengthPercent < candidate.strengthPercent ? 'works-lighter' : 'works-stronger'
  return {
    ...here,
    verdict,
    sentence: `${sentenceOf(here)} At ${rung.strengthPercent} % it would sit with it.`,
  }
}

type Pair = Omit<ModelReading, 'sentence'>

function worstPair(
  light: PreparedLight,
  candidate: StrengthRung,
  keeper: readonly FinishColour[],
  mayBeSetOff: boolean,
): Pair {
  const wall = undertoneOf(light, candidate.reflectance)
  const pairs = decidingParts(light, keeper).map(({ undertone: finish, ...colour }): Pair => {
    const pairing = pairingOf(wall, finish)
    const measures = measurePair(wall, finish)
    const plusMinus = Math.hypot(
      READING_UNCERTAINTY[candidate.source],
      READING_UNCERTAINTY[colour.source],
    )
    const firm = isFirm(wall, finish, plusMinus)
    const unwanted = pairing === 'contrasts' && !mayBeSetOff
    return {
      verdict: firm && !unwanted ? VERDICT_OF[pairing] : 'unsure',
      unwanted,
      pairing,
      plusMinus,
      firm,
      reason: reasonFor(pairing, wall, finish, measures),
      part: colour.part,
      measures,
      wall,
      finish,
      grade: unwanted ? UNWANTED_CONTRAST : gradeOf(pairing, wall, finish),
      back: wallOnFinish(wall, finish),
    }
  })
  const [worst] = pairs.sort(
    (p, q) =>
      SEVERITY.indexOf(p.verdict) - SEVERITY.indexOf(q.verdict) ||
      q.measures.conflict - p.measures.conflict,
  )
  return worst!
}

/**
 * Whether a verdict stands as far as the readings reach: moved by their uncertainty along each axis,
 * the pair must never come out on the other side.
 */
function isFirm(wall: Undertone, finish: Undertone, plusMinus: number): boolean {
  const verdict = VERDICT_OF[pairingOf(wall, finish)]
  const other: Verdict = verdict === 'works' ? 'no' : 'works'
  return [-plusMinus, plusMinus].every((by) =>
    [shifted(wall, by, 0, 0), shifted(wall, 0, by, 0), shifted(wall, 0, 0, by)].every(
      (moved) => VERDICT_OF[pairingOf(moved, finish)] !== other,
    ),
  )
}

const shifted = ({ j, a, b }: Undertone, byJ: number, byA: number, byB: number): Undertone =>
  leaning(j + byJ, a + byA, b + byB)

const TOO: Record<HueName, Reason> = {
  pink: 'too pink',
  red: 'too pink',
  orange: 'too orange',
  yellow: 'too yellow',
  'yellow-green': 'too green',
  green: 'too green',
  'blue-green': 'too green',
  blue: 'too blue',
  violet: 'too violet',
}

function reasonFor(
  pairing: Pairing,
  wall: Undertone,
  finish: Undertone,
  { lightness }: PairMeasures,
): Reason {
  switch (pairing) {
    case 'connects':
    case 'quiet stretch':
      return 'shares the undertone'
    case 'contrasts':
    case 'bridges':
      return 'sets it off'
    case 'washes out':
      return 'too weak'
    case 'dirties':
      return wall.b > finish.b ? 'too yellow' : 'too grey'
    case 'near miss':
      return Math.abs(lightness) < 2.5 ? 'too little contrast' : TOO[leanFrom(wall, finish)]
    case 'clashes':
    case 'unsure':
      return TOO[leanFrom(wall, finish)]
  }
}

function sentenceOf(pair: Pair): string {
  const said = pair.unwanted
    ? `${plainSentence(pair)} The house rule wants a shared undertone here.`
    : plainSentence(pair)
  return pair.firm ? said : `${said} The readings are too weak to be sure.`
}

function plainSentence({ pairing, reason, part, wall, finish, measures }: Pair): string {
  const beside = `beside the ${part}`
  const wallWords = undertoneWords(wall)
  switch (pairing) {
    case 'connects':
      return `Connects ${beside}: ${connection(wall, finish, measures)} (${wallWords}).`
    case 'quiet stretch':
      return `A quiet stretch of the ${part}: lighter, softer, the same way leaning.`
    case 'contrasts':
      return `Sets the ${part} off: two clear colours from opposite sides.`
    case 'bridges':
      return `Bridges to the ${part}: two quiet neutrals that lean apart, with lightness enough between them.`
    case 'washes out':
      return `Looks insipid ${beside}: ${reason} for it.`
    case 'dirties':
      return wall.b > finish.b
        ? `Looks dirty ${beside}: ${reason}, and the ${part} is cleaner.`
        : `Looks dull ${beside}: the ${part} is much cleaner.`
    case 'near miss':
      return `A near miss ${beside}: close, not the same, ${reason}.`
    case 'clashes':
      return `Clashes ${beside}: ${reason} for it (${wallWords}; the ${part} ${leanClause(finish)}).`
    case 'unsure':
      return `Unsure ${beside}: a little ${reason}.`
  }
}

// Leans within 30° of each other count as one way.
const SAME_WAY_DEG = 30

function connection(wall: Undertone, finish: Undertone, { hueDeg }: PairMeasures): string {
  if (wall.c < NO_LEAN_BELOW && finish.c < NO_LEAN_BELOW) return 'both are quiet'
  if (wall.c < NO_LEAN_BELOW || finish.c < NO_LEAN_BELOW)
    return 'one of them is too quiet to quarrel'
  if (hueDeg <= SAME_WAY_DEG) return 'both lean the same way'
  return 'they lean apart, but too slightly to quarrel'
}

function leanClause(finish: Undertone): string {
  const words = undertoneWords(finish)
  return words.startsWith('leans') ? words : `is ${words}`.replace('is no ', 'has no ')
}
