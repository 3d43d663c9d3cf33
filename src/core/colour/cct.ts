import { finite } from '../check'
import { whitePoint } from './observer'
import { planckianSpectrum } from './planckian'
import type { Xyz } from './spectrum'

export interface ColourTemperature {
  /** Correlated colour temperature, kelvin, 1000 to 40 000. */
  readonly cctK: number
  /** Signed distance from the Planckian locus in CIE 1960 uv; above (greener) is positive. */
  readonly duv: number
}

const FIRST_K = 1000
const LAST_K = 40_000
// Steps of 1 % keep Ohno's interpolation within 0.03 % of the nearest-point search.
const STEP_RATIO = 1.01

interface LocusPoint {
  readonly cctK: number
  readonly u: number
  readonly v: number
}

let locus: LocusPoint[] | undefined

function planckianLocus(): LocusPoint[] {
  if (locus) return locus
  const points: LocusPoint[] = []
  for (let cctK = FIRST_K; cctK < LAST_K * STEP_RATIO; cctK *= STEP_RATIO) {
    const [u, v] = uvOf(whitePoint(planckianSpectrum(cctK)))
    points.push({ cctK, u, v })
  }
  return (locus = points)
}

function uvOf([x, y, z]: Xyz): readonly [number, number] {
  const sum = x + 15 * y + 3 * z
  return [(4 * x) / sum, (6 * y) / sum]
}

/**
 * Correlated colour temperature and Duv of a light.
 *
 * Method: Ohno, "Practical use and calculation of CCT and Duv", LEUKOS 10 (2014): triangular
 * solution near the locus, parabolic away from it, over a table in steps of 1 %.
 *
 * @param xyz of the light, any scale, 2° observer
 */
export function colourTemperature(xyz: Xyz): ColourTemperature {
  const [u, v] = uvOf(xyz)
  finite(u + v, 'the XYZ of a light')
  const points = planckianLocus()
  let nearest = 1
  let least = Infinity
  for (let i = 1; i < points.length - 1; i++) {
    const [du, dv] = [points[i]!.u - u, points[i]!.v - v]
    const square = du * du + dv * dv
    if (square < least) {
      least = square
      nearest = i
    }
  }
  const distance = (p: LocusPoint): number => Math.hypot(p.u - u, p.v - v)
  const before = points[nearest - 1]!
  const at = points[nearest]!
  const after = points[nearest + 1]!
  const [dBefore, dAt, dAfter] = [distance(before), distance(at), distance(after)]

  const span = Math.hypot(after.u - before.u, after.v - before.v)
  const along = (dBefore ** 2 - dAfter ** 2 + span ** 2) / (2 * span)
  const triangularK = before.cctK + (after.cctK - before.cctK) * (along / span)
  const footV = before.v + (after.v - before.v) * (along / span)
  const sign = v >= footV ? 1 : -1
  const triangularDuv = sign * Math.sqrt(Math.max(0, dBefore ** 2 - along ** 2))
  if (Math.abs(triangularDuv) < 0.002) return { cctK: clampK(triangularK), duv: triangularDuv }

  const x = (after.cctK - at.cctK) * (before.cctK - after.cctK) * (at.cctK - before.cctK)
  const a =
    (before.cctK * (dAfter - dAt) + at.cctK * (dBefore - dAfter) + after.cctK * (dAt - dBefore)) / x
  const b =
    -(
      before.cctK ** 2 * (dAfter - dAt) +
      at.cctK ** 2 * (dBefore - dAfter) +
      after.cctK ** 2 * (dAt - dBefore)
    ) / x
  const c =
    -(
      dBefore * (after.cctK - at.cctK) * at.cctK * after.cctK +
      dAt * (before.cctK - after.cctK) * before.cctK * after.cctK +
      dAfter * (at.cctK - before.cctK) * before.cctK * at.cctK
    ) / x
  const parabolicK = -b / (2 * a)
  return { cctK: clampK(parabolicK), duv: sign * (a * parabolicK ** 2 + b * parabolicK + c) }
}

const clampK = (cctK: number): number => Math.min(LAST_K, Math.max(FIRST_K, cctK))
