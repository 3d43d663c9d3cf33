import type { FlatUndertones } from '../undertone/flat-undertones'
import { PAIRING_LIMITS, roomForColour } from './pairing'
import {
  FELT_LEAN,
  FULL_LEAN,
  MOST_CONFLICT,
  UNFELT,
  UNWANTED_CONTRAST,
  WORKS_UP_TO,
} from './pair-grade'

/** Grades of every wall over all pairs seen so far; see `gradeOf`. */
export interface Grades {
  /** The worst pair of each wall, and which finish and light it is. */
  readonly worst: Float64Array
  readonly worstFinish: Uint16Array
  readonly worstLight: Uint16Array
  /** Sum of weight × grade. */
  readonly mean: Float64Array
}

export const emptyGrades = (count: number): Grades => ({
  worst: new Float64Array(count).fill(-1),
  worstFinish: new Uint16Array(count),
  worstLight: new Uint16Array(count),
  mean: new Float64Array(count),
})

// Plain names for the inner loop, straight from the one table of limits.
const L = PAIRING_LIMITS
const {
  lightFrom: LIGHT_FROM,
  strengthCap: STRENGTH_CAP,
  connectsUpTo: CONNECTS_UP_TO,
  clashesFrom: CLASHES_FROM,
  clashLeanFrom: CLASH_LEAN_FROM,
  clashLeanBelow: CLASH_LEAN_BELOW,
  contrastWeakerFrom: CONTRAST_WEAKER,
  contrastStrongerFrom: CONTRAST_STRONGER,
} = L
const { yellower: YELLOWER, darker: DARKER, finishLeanBelow: DIRTY_FINISH_BELOW } = L.dirties
const { lightness: DIRTY_WITHIN, cleaner: CLEANER, wallLeanFrom: DIRTY_WALL_FROM } = L.dirties
const { finishLeanFrom: WASH_FINISH_FROM, share: WASH_SHARE, darker: WASH_DARKER } = L.washesOut
const { paleBelow: PALE_BELOW } = L.washesOut
const { leanBelow: BRIDGE_LEAN_BELOW, apart: BRIDGE_APART } = L.bridges
const { jBelow: BLACK_BELOW, leanBelow: BLACK_LEAN_BELOW } = L.blackGround
const { conflict: MISS_CONFLICT, lightness: MISS_WITHIN, apart: MISS_APART } = L.nearMiss
const { belowE: MISS_BELOW } = L.nearMiss
const MISS_FROM_2 = L.nearMiss.fromE ** 2
const MISS_BELOW_2 = MISS_BELOW ** 2

const cosine = (degrees: number): number => Math.cos((degrees * Math.PI) / 180)
const COS_CONTRAST = cosine(L.contrastHueDeg)
const COS_SAME = cosine(L.nearMiss.sameHueDeg)
const COS_DIRTY = cosine(L.dirties.hueDeg)
const COS_WASH = cosine(L.washesOut.hueDeg)

// How much two surfaces still disturb each other by their distance in lightness, tabled every quarter
// unit of J′ as a parabola: value, slope, curve. Within 1e-8 of the exponential.
const CELLS_PER_J = 4
const MOST_APART = 128
const CLOSENESS = new Float64Array(MOST_APART * CELLS_PER_J * 3)
for (let cell = 0; cell < MOST_APART * CELLS_PER_J; cell++) {
  const at = (within: number): number =>
    Math.exp(-(((cell + within) / CELLS_PER_J / L.lightnessScale) ** 2))
  const [left, middle, right] = [at(0), at(0.5), at(1)]
  const curve = 2 * (left - 2 * middle + right)
  CLOSENESS.set([left, right - left - curve, curve], cell * 3)
}

// A branch on the conflict that goes either way costs more than all the sums before it. So conditions that hang
// on one surface alone are folded into numbers that add up to one comparison a pair, and the last choices
// are sums with a step.
const NEVER = 1e9

/** A clash needs a lean on both sides, and neither too strong: adds nothing, or too much to reach. */
const clashBar = (c: number): number => (c >= CLASH_LEAN_FROM && c < CLASH_LEAN_BELOW ? 0 : NEVER)

/** A contrast needs one clear colour and one strong one: two of these add up to 3 or more. */
const contrastPart = (c: number): number =>
  c < CONTRAST_WEAKER ? -NEVER : c < CONTRAST_STRONGER ? 1 : 2
const CONTRAST_PARTS = 3

// Math.min and Math.max branch; Math.abs does not.
const atLeast0 = (x: number): number => 0.5 * (x + Math.abs(x))
const atMost1 = (x: number): number => 0.5 * (1 + x - Math.abs(1 - x))
/** 0 up to 0, 1 above. */
const step = (x: number): number => atLeast0(x) / (Math.abs(x) + 1e-300)
const PER_MOST = 1 / MOST_CONFLICT
const PER_CONNECTION = 1 / CONNECTS_UP_TO

// What the loop asks of a finish, one row of these each.
const COLUMNS = 15

function finishRows(
  stays: FlatUndertones,
  weights: Float64Array,
  mayBeSetOff: readonly boolean[],
): Float64Array {
  const rows = new Float64Array(stays.j.length * COLUMNS)
  for (let f = 0; f < stays.j.length; f++) {
    const [j, c] = [stays.j[f]!, stays.c[f]!]
    const isBlack = j < BLACK_BELOW && c < BLACK_LEAN_BELOW
    const row = [
      j,
      stays.a[f]!,
      stays.b[f]!,
      c,
      stays.u[f]!,
      stays.v[f]!,
      isBlack ? 0 : Math.sqrt(2 * Math.min(c, STRENGTH_CAP)),
      c / roomForColour(j),
      c >= FELT_LEAN ? 1 / Math.min(c, FULL_LEAN) : 0,
      weights[f]!,
      CLASHES_FROM + clashBar(c),
      contrastPart(c),
      c < BRIDGE_LEAN_BELOW ? BRIDGE_APART : NEVER,
      c >= FELT_LEAN ? 1 : UNFELT,
      mayBeSetOff[f]! ? 0 : UNWANTED_CONTRAST,
    ]
    rows.set(row, f * COLUMNS)
  }
  return rows
}

/**
 * The pairing table of `pairingOf` and the degrees of `worksGrade` for all walls beside all finishes in one
 * light, on numbers alone: angles are compared by their cosines, distances by their squares, and nothing is
 * allocated a pair.
 *
 * @param weights what each finish counts in the mean
 * @param mayBeSetOff whether each finish may be set off by an opposite
 * @param light written beside a pair that is the worst so far
 * @param into grades, added to in place
 */
export function gradePairs(
  walls: FlatUndertones,
  stays: FlatUndertones,
  weights: Float64Array,
  mayBeSetOff: readonly boolean[],
  light: number,
  into: Grades,
): void {
  const rows = finishRows(stays, weights, mayBeSetOff)
  const { j, a, b, c, u, v } = walls
  const { worst, mean, worstFinish, worstLight } = into
  for (let i = 0; i < worst.length; i++) {
    const jw = j[i]!
    const cw = c[i]!
    const uw = u[i]!
    const vw = v[i]!
    const root = Math.sqrt(Math.min(cw, STRENGTH_CAP))
    const dirtyFrom = cw >= DIRTY_WALL_FROM ? (CLEANER * cw) / roomForColour(jw) : NEVER
    const clashes = clashBar(cw)
    const contrasts = contrastPart(cw)
    const wallIsQuiet = cw < BRIDGE_LEAN_BELOW
    const wallIsLight = jw > LIGHT_FROM
    let most = worst[i]!
    let sum = mean[i]!
    for (let k = 0, f = 0; k < rows.length; k += COLUMNS, f++) {
      const jf = rows[k]!
      const dj = jw - jf
      const apart = Math.abs(dj)
      const cos = uw * rows[k + 4]! + vw * rows[k + 5]!
      const place = apart * CELLS_PER_J
      const cell = place | 0
      const within = place - cell
      const at = cell * 3
      const close = CLOSENESS[at]! + within * (CLOSENESS[at + 1]! + within * CLOSENESS[at + 2]!)
      const conflict = root * rows[k + 6]! * Math.sqrt(atLeast0(1 - cos)) * close

      let grade: number
      if (
        wallIsLight && jf > LIGHT_FROM
          ? spoilsLight(dj, cw, rows[k + 3]!, b[i]! - rows[k + 2]!, cos)
          : cos > COS_DIRTY && rows[k + 7]! > dirtyFrom && apart < DIRTY_WITHIN
      )
        grade = 2 + conflict * PER_MOST
      else if (contrasts + rows[k + 11]! >= CONTRAST_PARTS && cos <= COS_CONTRAST)
        grade = rows[k + 14]!
      else if (
        apart < MISS_BELOW &&
        isNearMiss(apart, a[i]! - rows[k + 1]!, b[i]! - rows[k + 2]!, conflict, cos)
      )
        grade = 2 + conflict * PER_MOST
      else {
        const shared = atLeast0(cos) * atMost1(cw * rows[k + 8]!)
        const works = (WORKS_UP_TO / 2) * (conflict * PER_CONNECTION + rows[k + 13]! - shared)
        // An unsure pair's grade doubled is that of a no; see `gradeOf`.
        let disturbed = WORKS_UP_TO
        if (!wallIsQuiet || apart < rows[k + 12]!)
          disturbed =
            (1 + (conflict * PER_MOST) / 2) * (1 + step(conflict - clashes - rows[k + 10]!))
        grade = works + step(conflict - CONNECTS_UP_TO) * (disturbed - works)
      }
      sum += rows[k + 9]! * grade
      if (grade > most) {
        most = grade
        worstFinish[i] = f
        worstLight[i] = light
      }
    }
    worst[i] = most
    mean[i] = sum
  }
}

/** Whether one of two light surfaces looks dirty or insipid beside the other. */
function spoilsLight(dj: number, cw: number, cf: number, yellower: number, cos: number): boolean {
  return (
    (dj < -DARKER && cf < DIRTY_FINISH_BELOW && yellower > YELLOWER) ||
    (cf > WASH_FINISH_FROM &&
      cw < WASH_SHARE * cf &&
      dj > -WASH_DARKER &&
      (cos > COS_WASH || cw < PALE_BELOW))
  )
}

function isNearMiss(apart: number, da: number, db: number, conflict: number, cos: number): boolean {
  const squared = apart * apart + da * da + db * db
  return (
    squared > MISS_FROM_2 &&
    squared < MISS_BELOW_2 &&
    (conflict > MISS_CONFLICT || apart < MISS_WITHIN) &&
    !(cos > COS_SAME && apart > MISS_APART)
  )
}
