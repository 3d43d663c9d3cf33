import type { PreparedLight } from '../colour/appearance'
import { at, octaveTable } from '../colour/octave-table'
import { BANDS, type Reflectance } from '../colour/spectrum'
import { emptyUndertones, flatUndertones, type FlatUndertones } from './flat-undertones'
import { PAIRING_LIMITS } from './pairing'

/** A light moment of the room and how much of its use falls into it. */
export interface WeightedLight {
  readonly light: PreparedLight
  readonly weight: number
}

/** One colour of a keeper that counts, and how dear the keeper is to change. */
export interface WeightedFinish {
  readonly reflectance: Reflectance
  readonly weight: number
}

/** How every candidate fits a room; the arrays run along the rows that were handed in. */
export interface RoomFit {
  /**
   * The worst pair: 0 to 0.5 works (see worksGrade), 1 to 1.5 unsure, 2 to 3 no.
   */
  readonly worst: Float64Array
  /** The weighted mean over all pairs. */
  readonly mean: Float64Array
  /** Which finish and which light the worst pair is. */
  readonly worstFinish: Uint16Array
  readonly worstLight: Uint16Array
  /** Rows from the best fit to the worst: by the worst pair, then by the mean, then by row. */
  readonly order: Uint32Array
}

export const WORKS_UP_TO = 0.5
export const UNSURE_UP_TO = 1.5

/**
 * Fits many surfaces to a room: each with each finish in each light, by the pairing table, the worst
 * that matters first.
 *
 * Flat arrays and one pass a light; 960,000 pairs take well under a tenth of a second.
 *
 * @param rows reflectances, 36 numbers a candidate-at-strength
 * @throws RangeError without a light or a finish
 */
export function fitToRoom(
  rows: Float64Array,
  lights: readonly WeightedLight[],
  finishes: readonly WeightedFinish[],
): RoomFit {
  if (lights.length === 0) throw new RangeError('a room is fitted in at least one light, got none')
  if (finishes.length === 0)
    throw new RangeError('a room is fitted against at least one finish, got none')
  const count = rows.length / BANDS
  const worst = new Float64Array(count).fill(-1)
  const mean = new Float64Array(count)
  const worstFinish = new Uint16Array(count)
  const worstLight = new Uint16Array(count)
  const walls = emptyUndertones(count)
  const finishRows = new Float64Array(finishes.length * BANDS)
  finishes.forEach(({ reflectance }, i) => finishRows.set(reflectance, i * BANDS))
  const stays = emptyUndertones(finishes.length)
  const here = new Float64Array(count)
  let total = 0

  lights.forEach(({ light, weight: lightWeight }, l) => {
    flatUndertones(light, rows, walls)
    flatUndertones(light, finishRows, stays)
    for (let f = 0; f < finishes.length; f++) {
      const weight = lightWeight * finishes[f]!.weight
      total += weight
      badness(walls, stays.j[f]!, stays.a[f]!, stays.b[f]!, stays.c[f]!, here)
      for (let i = 0; i < count; i++) {
        mean[i]! += weight * here[i]!
        if (here[i]! > worst[i]!) {
          worst[i] = here[i]!
          worstFinish[i] = f
          worstLight[i] = l
        }
      }
    }
  })
  for (let i = 0; i < count; i++) mean[i]! /= total
  const order = Uint32Array.from({ length: count }, (_, i) => i).sort(
    (p, q) => worst[p]! - worst[q]! || mean[p]! - mean[q]! || p - q,
  )
  return { worst, mean, worstFinish, worstLight, order }
}

const L = PAIRING_LIMITS
// Out of the object for the hot path.
const BRIDGE_LEAN_BELOW = L.bridges.leanBelow
const BRIDGE_APART = L.bridges.apart
const STRENGTH_CAP = L.strengthCap
const LIGHT_FROM = L.lightFrom
const CONNECTS_UP_TO = L.connectsUpTo
const CLASHES_FROM = L.clashesFrom
const CLASH_LEAN_FROM = L.clashLeanFrom
const CLASH_LEAN_BELOW = L.clashLeanBelow
const CONTRAST_WEAKER = L.contrastWeakerFrom
const CONTRAST_STRONGER = L.contrastStrongerFrom
const {
  yellower: YELLOWER,
  darker: DARKER,
  finishLeanBelow: DIRTY_FINISH_BELOW,
  lightness: DIRTY_WITHIN,
  wallLeanFrom: DIRTY_WALL_FROM,
  cleaner: CLEANER,
} = L.dirties
const {
  finishLeanFrom: WASH_FINISH_FROM,
  share: WASH_SHARE,
  darker: WASH_DARKER,
  paleBelow: PALE_BELOW,
} = L.washesOut
const {
  fromE: MISS_FROM,
  belowE: MISS_BELOW,
  conflict: MISS_CONFLICT,
  lightness: MISS_WITHIN,
  apart: MISS_APART,
} = L.nearMiss
const cosine = (degrees: number): number => Math.cos((degrees * Math.PI) / 180)
const COS_CONTRAST = cosine(L.contrastHueDeg)
const COS_SAME = cosine(L.nearMiss.sameHueDeg)
const COS_DIRTY = cosine(L.dirties.hueDeg)
const COS_WASH = cosine(L.washesOut.hueDeg)

// How much two surfaces still disturb each other, by their distance in lightness.
const closeness = octaveTable((dj) => Math.exp(-((dj / L.lightnessScale) ** 2)), -8, 7)

// Room for colour at a lightness, as in the readable table's cleanness.
const roomFor = (j: number): number => Math.sqrt(Math.max(4, 104 - j))

/**
 * The pairing table of `pairingOf` for many walls beside one finish, on numbers alone; angles are
 * compared by their cosines, distances by their squares.
 */
function badness(
  walls: FlatUndertones,
  jf: number,
  af: number,
  bf: number,
  cf: number,
  into: Float64Array,
): void {
  const strengthF = Math.min(cf, STRENGTH_CAP)
  const cleanF = cf / roomFor(jf)
  const lightF = jf > LIGHT_FROM
  for (let i = 0; i < into.length; i++) {
    const jw = walls.j[i]!
    const aw = walls.a[i]!
    const bw = walls.b[i]!
    const cw = walls.c[i]!
    const dj = jw - jf
    const product = cw * cf
    const raw = product > 0 ? (aw * af + bw * bf) / product : 1
    const cos = raw > 1 ? 1 : raw < -1 ? -1 : raw
    const strengthW = cw < STRENGTH_CAP ? cw : STRENGTH_CAP
    const conflict =
      Math.sqrt(2 * strengthW * strengthF * (1 - cos)) * at(closeness, dj < 0 ? -dj : dj)
    if (isNo(jw, aw, bw, cw, jf, af, bf, cf, dj, cos, conflict, cleanF, lightF))
      into[i] = 2 + Math.min(1, conflict / STRENGTH_CAP)
    else if (cos <= COS_CONTRAST && contrasts(cw, cf)) into[i] = 0
    else if (bridges(conflict, cw, cf, dj)) into[i] = WORKS_UP_TO
    else if (conflict > CONNECTS_UP_TO) into[i] = 1 + 0.5 * Math.min(1, conflict / STRENGTH_CAP)
    else into[i] = worksGrade(conflict, cw, cf, cos)
  }
}

// A lean is felt from about this strength, and shared in full from the other.
const FELT_LEAN = 1.5
const FULL_LEAN = 4

/**
 * Degrees within "works", 0 (sweet spot) to 0.5 (on the edge): half by how little conflict there is,
 * half by how much of the finish's lean the wall takes up. Without the second half a grey of black
 * and white would suit everything best, and look like concrete.
 */
function worksGrade(conflict: number, cw: number, cf: number, cos: number): number {
  const clear = conflict / CONNECTS_UP_TO
  if (cf < FELT_LEAN) return (WORKS_UP_TO / 2) * clear + WORKS_UP_TO / 8
  const taken = Math.min(cw, FULL_LEAN) / Math.min(cf, FULL_LEAN)
  const shared = cos > 0 ? cos * Math.min(1, taken) : 0
  return (WORKS_UP_TO / 2) * (clear + 1 - shared)
}

const bridges = (conflict: number, cw: number, cf: number, dj: number): boolean =>
  conflict > CONNECTS_UP_TO &&
  cw < BRIDGE_LEAN_BELOW &&
  cf < BRIDGE_LEAN_BELOW &&
  Math.abs(dj) >= BRIDGE_APART

const contrasts = (cw: number, cf: number): boolean =>
  Math.min(cw, cf) >= CONTRAST_WEAKER && Math.max(cw, cf) >= CONTRAST_STRONGER

function isNo(
  jw: number,
  aw: number,
  bw: number,
  cw: number,
  jf: number,
  af: number,
  bf: number,
  cf: number,
  dj: number,
  cos: number,
  conflict: number,
  cleanF: number,
  lightF: boolean,
): boolean {
  if (lightF && jw > LIGHT_FROM) {
    if (bw - bf > YELLOWER && dj < -DARKER && cf < DIRTY_FINISH_BELOW) return true
    if (
      cf > WASH_FINISH_FROM &&
      cw < WASH_SHARE * cf &&
      dj > -WASH_DARKER &&
      (cos > COS_WASH || cw < PALE_BELOW)
    )
      return true
  } else if (
    cos > COS_DIRTY &&
    dj < DIRTY_WITHIN &&
    dj > -DIRTY_WITHIN &&
    cw >= DIRTY_WALL_FROM &&
    cleanF * roomFor(jw) > CLEANER * cw
  )
    return true
  if ((cos <= COS_CONTRAST && contrasts(cw, cf)) || bridges(conflict, cw, cf, dj)) return false
  if (
    conflict >= CLASHES_FROM &&
    cw >= CLASH_LEAN_FROM &&
    cf >= CLASH_LEAN_FROM &&
    cw < CLASH_LEAN_BELOW &&
    cf < CLASH_LEAN_BELOW
  )
    return true
  if (dj >= MISS_BELOW || dj <= -MISS_BELOW) return false
  const da = aw - af
  const db = bw - bf
  const squared = dj * dj + da * da + db * db
  if (squared <= MISS_FROM * MISS_FROM || squared >= MISS_BELOW * MISS_BELOW) return false
  const apart = Math.abs(dj)
  if (cos > COS_SAME && apart > MISS_APART) return false
  return conflict > MISS_CONFLICT || apart < MISS_WITHIN
}
