import type { PreparedLight } from '../colour/appearance'
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
   * The worst pair: 0 to 0.5 works (by how little conflict), 1 to 1.5 unsure, 2 to 3 no.
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
  let total = 0

  lights.forEach(({ light, weight: lightWeight }, l) => {
    flatUndertones(light, rows, walls)
    flatUndertones(light, finishRows, stays)
    for (let f = 0; f < finishes.length; f++) {
      const weight = lightWeight * finishes[f]!.weight
      total += weight
      for (let i = 0; i < count; i++) {
        const here = badness(walls, i, stays, f)
        mean[i]! += weight * here
        if (here > worst[i]!) {
          worst[i] = here
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
const cosine = (degrees: number): number => Math.cos((degrees * Math.PI) / 180)
const COS_CONTRAST = cosine(L.contrastHueDeg)
const COS_SAME = cosine(L.nearMiss.sameHueDeg)
const COS_DIRTY = cosine(L.dirties.hueDeg)
const COS_WASH = cosine(L.washesOut.hueDeg)

/** The pairing table of `pairingOf` on numbers alone; angles are compared by their cosines. */
function badness(wall: FlatUndertones, w: number, finish: FlatUndertones, f: number): number {
  const jw = wall.j[w]!
  const aw = wall.a[w]!
  const bw = wall.b[w]!
  const cw = wall.c[w]!
  const jf = finish.j[f]!
  const af = finish.a[f]!
  const bf = finish.b[f]!
  const cf = finish.c[f]!
  const dj = jw - jf
  const product = cw * cf
  const cos = product > 0 ? Math.min(1, Math.max(-1, (aw * af + bw * bf) / product)) : 1
  const strength = Math.sqrt(Math.min(cw, L.strengthCap) * Math.min(cf, L.strengthCap))
  const near = dj / L.lightnessScale
  const conflict = 2 * strength * Math.sqrt((1 - cos) / 2) * Math.exp(-near * near)
  const no = 2 + Math.min(1, conflict / L.strengthCap)
  const works = WORKS_UP_TO * Math.min(1, conflict / L.connectsUpTo)

  const bothLight = jw > L.lightFrom && jf > L.lightFrom
  if (bothLight) {
    if (bw - bf > L.dirties.yellower && dj < -L.dirties.darker && cf < L.dirties.finishLeanBelow)
      return no
    const pale = cos > COS_WASH || cw < L.washesOut.paleBelow
    if (
      pale &&
      cf > L.washesOut.finishLeanFrom &&
      cw < L.washesOut.share * cf &&
      dj > -L.washesOut.darker
    )
      return no
  } else if (
    cw >= L.dirties.wallLeanFrom &&
    cos > COS_DIRTY &&
    Math.abs(dj) < L.dirties.lightness &&
    cf / Math.sqrt(Math.max(4, 104 - jf)) >
      (L.dirties.cleaner * cw) / Math.sqrt(Math.max(4, 104 - jw))
  )
    return no

  const weaker = Math.min(cw, cf)
  const stronger = Math.max(cw, cf)
  if (cos <= COS_CONTRAST && weaker >= L.contrastWeakerFrom && stronger >= L.contrastStrongerFrom)
    return 0
  if (conflict >= L.clashesFrom && weaker >= L.clashLeanFrom && stronger < L.clashLeanBelow)
    return no
  const da = aw - af
  const db = bw - bf
  const e = Math.sqrt(dj * dj + da * da + db * db)
  const miss = L.nearMiss
  if (
    e > miss.fromE &&
    e < miss.belowE &&
    !(cos > COS_SAME && Math.abs(dj) > miss.apart) &&
    (conflict > miss.conflict || Math.abs(dj) < miss.lightness)
  )
    return no
  if (conflict > L.connectsUpTo) return 1 + 0.5 * Math.min(1, conflict / L.strengthCap)
  return works
}
