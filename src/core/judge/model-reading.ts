import type { PreparedLight } from '../colour/appearance'
import type { Reflectance } from '../colour/spectrum'
import { leanFrom, NO_LEAN_BELOW, undertoneWords, type HueName } from './hue-name'
import { VERDICT_OF } from './pair-grade'
import { measurePair, pairingOf, type PairMeasures, type Pairing } from './pairing'
import { READING_UNCERTAINTY, type ReadingSource } from '../paint/reading'
import { hueDegOf, undertoneOf, type Undertone } from './undertone'
import type { Reason, Verdict } from './verdict'

/** One colour of a keeper, as the judge needs it. */
export interface FinishColour {
  readonly part: string
  readonly sharePercent: number
  readonly reflectance: Reflectance
  readonly source: ReadingSource
}

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
  /** One line in the trade's words. */
  readonly sentence: string
}

// Order of what decides when the parts of a keeper disagree: the worst that matters first.
const SEVERITY: readonly Verdict[] = ['no', 'unsure', 'works']

// A part smaller than this is a fleck; it does not decide alone.
export const DECIDING_SHARE_PERCENT = 15

/**
 * The model's reading of a wall colour beside a keeper: every part of the keeper that counts is
 * paired and the worst decides; where that is a no, the other strengths of the candidate are tried
 * and the nearest that works is named.
 *
 * @param keeper at least one colour
 * @param ladder other strengths the candidate could be taken at; empty where the base has none
 */
export function modelReading(
  light: PreparedLight,
  candidate: StrengthRung,
  keeper: readonly FinishColour[],
  ladder: readonly StrengthRung[] = [],
): ModelReading {
  const here = worstPair(light, candidate, keeper)
  if (here.verdict !== 'no') return { ...here, sentence: sentenceOf(here) }
  const rung = [...ladder]
    .filter((other) => other.strengthPercent !== candidate.strengthPercent)
    .sort(
      (p, q) =>
        Math.abs(p.strengthPercent - candidate.strengthPercent) -
        Math.abs(q.strengthPercent - candidate.strengthPercent),
    )
    .find((other) => worstPair(light, other, keeper).verdict === 'works')
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
): Pair {
  const wall = undertoneOf(light, candidate.reflectance)
  const deciding = keeper.filter((colour) => colour.sharePercent >= DECIDING_SHARE_PERCENT)
  const pairs = (deciding.length > 0 ? deciding : keeper).map((colour): Pair => {
    const finish = undertoneOf(light, colour.reflectance)
    const pairing = pairingOf(wall, finish)
    const measures = measurePair(wall, finish)
    const plusMinus = Math.hypot(
      READING_UNCERTAINTY[candidate.source],
      READING_UNCERTAINTY[colour.source],
    )
    const firm = isFirm(wall, finish, plusMinus)
    return {
      verdict: firm ? VERDICT_OF[pairing] : 'unsure',
      pairing,
      plusMinus,
      firm,
      reason: reasonFor(pairing, wall, finish, measures),
      part: colour.part,
      measures,
      wall,
      finish,
    }
  })
  const [worst] = pairs.sort(
    (p, q) =>
      SEVERITY.indexOf(p.verdict) - SEVERITY.indexOf(q.verdict) ||
      q.measures.conflict - p.measures.conflict,
  )
  if (!worst) throw new RangeError('a keeper needs at least one colour to be judged against')
  return worst
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

function shifted({ j, a, b }: Undertone, byJ: number, byA: number, byB: number): Undertone {
  const [movedA, movedB] = [a + byA, b + byB]
  return {
    j: j + byJ,
    a: movedA,
    b: movedB,
    c: Math.hypot(movedA, movedB),
    hueDeg: hueDegOf(movedA, movedB),
  }
}

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
  const said = plainSentence(pair)
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
