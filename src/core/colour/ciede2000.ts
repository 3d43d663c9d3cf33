import { finiteAll } from '../check'
import type { Lab } from './lab'

const DEG = Math.PI / 180
const POW_25_7 = 25 ** 7

/**
 * CIEDE2000 colour difference, kL = kC = kH = 1.
 *
 * Source: ISO/CIE 11664-6; written after Sharma, Wu and Dalal, Color Research & Application
 * 30 (2005), whose test pairs it passes.
 */
export function ciede2000([l1, a1, b1]: Lab, [l2, a2, b2]: Lab): number {
  finiteAll([l1, a1, b1, l2, a2, b2], 'L*, a*, b*')
  const cMean = (Math.hypot(a1, b1) + Math.hypot(a2, b2)) / 2
  const g = 0.5 * (1 - Math.sqrt(cMean ** 7 / (cMean ** 7 + POW_25_7)))
  const ap1 = (1 + g) * a1
  const ap2 = (1 + g) * a2
  const c1 = Math.hypot(ap1, b1)
  const c2 = Math.hypot(ap2, b2)
  const h1 = hueDeg(ap1, b1)
  const h2 = hueDeg(ap2, b2)
  const grey = c1 * c2 === 0

  let dh = grey ? 0 : h2 - h1
  if (dh > 180) dh -= 360
  else if (dh < -180) dh += 360
  const dH = 2 * Math.sqrt(c1 * c2) * Math.sin((dh / 2) * DEG)

  const lMean = (l1 + l2) / 2
  const cpMean = (c1 + c2) / 2
  let hMean = h1 + h2
  if (!grey) {
    if (Math.abs(h1 - h2) > 180) hMean += h1 + h2 < 360 ? 360 : -360
    hMean /= 2
  }

  const t =
    1 -
    0.17 * Math.cos((hMean - 30) * DEG) +
    0.24 * Math.cos(2 * hMean * DEG) +
    0.32 * Math.cos((3 * hMean + 6) * DEG) -
    0.2 * Math.cos((4 * hMean - 63) * DEG)
  const dTheta = 30 * Math.exp(-(((hMean - 275) / 25) ** 2))
  const rC = 2 * Math.sqrt(cpMean ** 7 / (cpMean ** 7 + POW_25_7))
  const sL = 1 + (0.015 * (lMean - 50) ** 2) / Math.sqrt(20 + (lMean - 50) ** 2)
  const sC = 1 + 0.045 * cpMean
  const sH = 1 + 0.015 * cpMean * t
  const rT = -Math.sin(2 * dTheta * DEG) * rC

  const l = (l2 - l1) / sL
  const c = (c2 - c1) / sC
  const h = dH / sH
  return Math.sqrt(l * l + c * c + h * h + rT * c * h)
}

const hueDeg = (a: number, b: number): number =>
  a === 0 && b === 0 ? 0 : (Math.atan2(b, a) / DEG + 360) % 360
