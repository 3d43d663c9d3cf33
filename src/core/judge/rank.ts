import type { PreparedLight } from '../colour/appearance'
import { BANDS, type Reflectance } from '../colour/spectrum'
import { emptyUndertones, flatUndertones, type FlatUndertones } from './flat-undertones'
import { PAIRING_LIMITS, roomForColour } from './pairing'
import { FELT_LEAN, FULL_LEAN, WORKS_UP_TO } from './works-degree'

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
  /** The worst pair: 0 to 0.5 works (see works-degree.ts), 1 to 1.5 unsure, 2 to 3 no. */
  readonly worst: Float64Array
  /** The weighted mean over all pairs. */
  readonly mean: Float64Array
  /** Which finish and which light the worst pair is. */
  readonly worstFinish: Uint16Array
  readonly worstLight: Uint16Array
  /** Rows from the best fit to the worst: by the worst pair, then by the mean, then by row. */
  readonly order: Uint32Array
}

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
  const fit = {
    worst: new Float64Array(count).fill(-1),
    mean: new Float64Array(count),
    worstFinish: new Uint16Array(count),
    worstLight: new Uint16Array(count),
  }
  const walls = emptyUndertones(count)
  const leans = { root: new Float64Array(count), dirtyFrom: new Float64Array(count) }
  const finishRows = new Float64Array(finishes.length * BANDS)
  finishes.forEach(({ reflectance }, i) => finishRows.set(reflectance, i * BANDS))
  const stays = emptyUndertones(finishes.length)
  const total =
    finishes.reduce((sum, { weight }) => sum + weight, 0) *
    lights.reduce((sum, { weight }) => sum + weight, 0)

  lights.forEach(({ light, weight }, l) => {
    flatUndertones(light, rows, walls)
    flatUndertones(light, finishRows, stays)
    for (let i = 0; i < count; i++) {
      leans.root[i] = Math.sqrt(Math.min(walls.c[i]!, STRENGTH_CAP))
      leans.dirtyFrom[i] = (CLEANER * walls.c[i]!) / roomForColour(walls.j[i]!)
    }
    for (let f = 0; f < finishes.length; f++)
      judge(walls, leans, stays, f, l, (weight * finishes[f]!.weight) / total, fit)
  })
  return { ...fit, order: bestFirst(fit) }
}

/**
 * Rows from the best to the worst: by the worst pair, then by the mean, then by row.
 *
 * @param against what else speaks against each row, on the scale of `worst`
 */
export function bestFirst(
  { worst, mean }: Pick<RoomFit, 'worst' | 'mean'>,
  against: Float64Array = new Float64Array(worst.length),
): Uint32Array {
  return Uint32Array.from({ length: worst.length }, (_, i) => i).sort(
    (p, q) => worst[p]! + against[p]! - worst[q]! - against[q]! || mean[p]! - mean[q]! || p - q,
  )
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

/**
 * The pairing table of `pairingOf` for all walls beside one finish in one light, on numbers alone: angles are
 * compared by their cosines, distances by their squares. Adds what it finds to the fit.
 */
function judge(
  walls: FlatUndertones,
  leans: { readonly root: Float64Array; readonly dirtyFrom: Float64Array },
  stays: FlatUndertones,
  finish: number,
  light: number,
  weight: number,
  fit: Omit<RoomFit, 'order'>,
): void {
  const [jf, af, bf, cf] = [
    stays.j[finish]!,
    stays.a[finish]!,
    stays.b[finish]!,
    stays.c[finish]!,
  ]
  const [uf, vf] = [stays.u[finish]!, stays.v[finish]!]
  const rootF = Math.sqrt(2 * Math.min(cf, STRENGTH_CAP))
  const cleanF = cf / roomForColour(jf)
  const isLight = jf > LIGHT_FROM
  const { j, a, b, c, u, v } = walls
  const { root, dirtyFrom } = leans
  const { worst, mean, worstFinish, worstLight } = fit
  const feltF = cf >= FELT_LEAN
  const fullF = Math.min(cf, FULL_LEAN)
  for (let i = 0; i < worst.length; i++) {
    const jw = j[i]!
    const cw = c[i]!
    const dj = jw - jf
    const apart = dj < 0 ? -dj : dj
    const cos = u[i]! * uf + v[i]! * vf
    const place = apart * CELLS_PER_J
    const cell = place | 0
    const within = place - cell
    const k = cell * 3
    const close = CLOSENESS[k]! + within * (CLOSENESS[k + 1]! + within * CLOSENESS[k + 2]!)
    const conflict = root[i]! * rootF * Math.sqrt(cos < 1 ? 1 - cos : 0) * close

    let bad: number
    if (
      isLight && jw > LIGHT_FROM
        ? (dj < -DARKER && cf < DIRTY_FINISH_BELOW && b[i]! - bf > YELLOWER) ||
          (cf > WASH_FINISH_FROM &&
            cw < WASH_SHARE * cf &&
            dj > -WASH_DARKER &&
            (cos > COS_WASH || cw < PALE_BELOW))
        : apart < DIRTY_WITHIN &&
          cos > COS_DIRTY &&
          cleanF > dirtyFrom[i]! &&
          cw >= DIRTY_WALL_FROM
    )
      bad = 2 + conflict / STRENGTH_CAP
    else if (
      cos <= COS_CONTRAST &&
      cw >= CONTRAST_WEAKER &&
      cf >= CONTRAST_WEAKER &&
      (cw >= CONTRAST_STRONGER || cf >= CONTRAST_STRONGER)
    )
      bad = 0
    else if (
      conflict > CONNECTS_UP_TO &&
      cw < BRIDGE_LEAN_BELOW &&
      cf < BRIDGE_LEAN_BELOW &&
      apart >= BRIDGE_APART
    )
      bad = WORKS_UP_TO
    else if (
      conflict >= CLASHES_FROM &&
      cw >= CLASH_LEAN_FROM &&
      cf >= CLASH_LEAN_FROM &&
      cw < CLASH_LEAN_BELOW &&
      cf < CLASH_LEAN_BELOW
    )
      bad = 2 + conflict / STRENGTH_CAP
    else if (
      apart < MISS_BELOW &&
      (conflict > MISS_CONFLICT || apart < MISS_WITHIN) &&
      !(cos > COS_SAME && apart > MISS_APART) &&
      isNear(apart, a[i]! - af, b[i]! - bf)
    )
      bad = 2 + conflict / STRENGTH_CAP
    else if (conflict > CONNECTS_UP_TO) bad = 1 + (0.5 * conflict) / STRENGTH_CAP
    else {
      // works-degree.ts, without its object.
      const clear = conflict / CONNECTS_UP_TO
      const taken = cw >= fullF ? 1 : cw / fullF
      bad = feltF
        ? (WORKS_UP_TO / 2) * (clear + 1 - (cos > 0 ? cos * taken : 0))
        : (WORKS_UP_TO / 2) * clear + WORKS_UP_TO / 8
    }
    if (bad > 3) bad = 3
    else if (bad > UNSURE_UP_TO && bad < 2) bad = UNSURE_UP_TO
    mean[i]! += weight * bad
    if (bad > worst[i]!) {
      worst[i] = bad
      worstFinish[i] = finish
      worstLight[i] = light
    }
  }
}

function isNear(dj: number, da: number, db: number): boolean {
  const squared = dj * dj + da * da + db * db
  return squared > MISS_FROM * MISS_FROM && squared < MISS_BELOW * MISS_BELOW
}
