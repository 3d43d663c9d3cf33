import { ILLUMINANT_A, ILLUMINANT_D55 } from '../colour/tables/illuminants'
import { S0, S1, S2 } from '../colour/tables/daylight-components'
import type { Finish } from './photographed-finishes.fixture'
import {
  gamma,
  lux,
  nmAt,
  PLACES,
  sCurve,
  type TestCamera,
  type TestLight,
} from './test-cameras.fixture'

/*
 * Cameras, lights and finishes that the reader was never tuned by: drawn after it was, in other shapes, and committed
 * before they were first read. Sensitivities every 20 nm from 380 to 780, after the shapes that are published for cameras;
 * reflectances every 40 nm, after the shapes that are published for such materials (common practice).
 */

// prettier-ignore
const TELEPHONE = [
  [0, 1, 2, 3, 2, 2, 4, 9, 14, 20, 48, 88, 100, 84, 44, 12, 2, 0, 0, 0, 0],
  [0, 1, 3, 6, 12, 30, 70, 96, 100, 88, 66, 38, 18, 8, 3, 1, 0, 0, 0, 0, 0],
  [0, 8, 48, 88, 100, 84, 50, 20, 8, 4, 2, 2, 1, 1, 0, 0, 0, 0, 0, 0, 0],
] as const
// prettier-ignore
const OLD_COMPACT = [
  [1, 4, 9, 10, 6, 3, 3, 4, 9, 24, 72, 100, 97, 85, 68, 50, 34, 16, 5, 1, 0],
  [1, 2, 4, 9, 20, 45, 82, 100, 97, 85, 60, 32, 16, 10, 8, 7, 5, 2, 1, 0, 0],
  [3, 22, 66, 98, 100, 80, 48, 22, 10, 5, 3, 2, 2, 2, 3, 3, 2, 1, 0, 0, 0],
] as const
// prettier-ignore
const FAR_RED = [
  [0, 0, 1, 2, 2, 2, 3, 4, 8, 18, 50, 86, 100, 98, 82, 58, 32, 10, 2, 0, 0],
  [0, 0, 1, 3, 8, 24, 58, 88, 100, 96, 74, 42, 20, 9, 5, 3, 2, 0, 0, 0, 0],
  [0, 4, 36, 80, 100, 92, 56, 24, 9, 3, 1, 1, 0, 0, 0, 0, 0, 0, 0, 0, 0],
] as const
// prettier-ignore
const LEAKY = [
  [0, 1, 2, 3, 3, 2, 3, 6, 12, 30, 78, 100, 94, 80, 62, 46, 34, 26, 20, 15, 11],
  [0, 1, 4, 10, 22, 48, 86, 100, 96, 82, 56, 30, 16, 12, 10, 9, 9, 8, 7, 6, 5],
  [1, 18, 60, 94, 100, 78, 42, 16, 7, 4, 3, 3, 3, 3, 4, 5, 6, 6, 6, 5, 4],
] as const

/** The standard curve with its middle lifted, as telephones do. */
const lifted = (x: number): number => {
  const v = gamma(x)
  return v + 0.16 * v * (1 - v) ** 2
}
/** A little more contrast all over, pivoting in the middle greys. */
const harder = (x: number): number => {
  const v = gamma(x)
  return v < 0.45 ? 0.45 * (v / 0.45) ** 1.14 : 1 - 0.55 * ((1 - v) / 0.55) ** 1.14
}

export const KEPT_ASIDE_CAMERAS: readonly TestCamera[] = [
  // prettier-ignore
  { name: 'telephone, lifted', sensor: TELEPHONE, tone: lifted, saturation: 1.08, matrixFor: 'the light', balanceOff: [0.97, 1.03], noise: 0.03 },
  // prettier-ignore
  { name: 'old compact, hard', sensor: OLD_COMPACT, tone: harder, saturation: 1.1, matrixFor: 'D65', balanceOff: [1.04, 0.97], noise: 0.05 },
  // prettier-ignore
  { name: 'far red, S-curve', sensor: FAR_RED, tone: sCurve(0.24), saturation: 1.03, matrixFor: 'the light', balanceOff: [1, 1], noise: 0.02 },
  // prettier-ignore
  { name: 'leaky, plain', sensor: LEAKY, tone: gamma, saturation: 1.02, matrixFor: 'the light', balanceOff: [1.1, 0.92], noise: 0.02 },
]

/** A die or a phosphor with long tails, as no lamp of the core or of the other test lights is made. */
const bump =
  (peakNm: number, leftNm: number, rightNm: number, amount: number) =>
  (nm: number): number =>
    amount / (1 + Math.abs((nm - peakNm) / (nm < peakNm ? leftNm : rightNm)) ** 2.4)
const lamp = (...parts: readonly ((nm: number) => number)[]): TestLight =>
  PLACES.map((i) => parts.reduce((sum, part) => sum + part(nmAt(i)), 0))

const led3000 = lamp(bump(455, 11, 13, 0.38), bump(545, 48, 60, 0.39), bump(606, 40, 62, 0.85))
const led2700 = lamp(bump(449, 10, 14, 0.25), bump(535, 40, 52, 0.42), bump(635, 46, 46, 0.95))
// CIE 015: the daylight series at 7,500 K, with its two factors worked out by hand.
const north = PLACES.map((i) => S0[i]! + 0.1507 * S1[i]! - 0.737 * S2[i]!)

export const KEPT_ASIDE_LIGHTS = {
  D55: ILLUMINANT_D55 as TestLight,
  'north sky, 7500 K': north,
  'LED 3000 K, Ra 82': led3000,
  'LED 2700 K, Ra 95, other': led2700,
  'illuminant A': ILLUMINANT_A as TestLight,
  'mostly lamp': PLACES.map(
    (i) => (0.35 * ILLUMINANT_D55[i]!) / lux(ILLUMINANT_D55) + (0.65 * led3000[i]!) / lux(led3000),
  ),
} as const

const KNOT_NM = 40

/** A smooth line through eleven shares in per cent, 380 to 780 nm (Catmull and Rom 1974). */
const drawn =
  (...percent: readonly number[]): Finish =>
  (nm) => {
    const at = Math.min(9.999, Math.max(0, (nm - 380) / KNOT_NM))
    const [k, t] = [Math.floor(at), at % 1]
    const [p, q, r, s] = [-1, 0, 1, 2].map((step) => percent[Math.min(10, Math.max(0, k + step))]!)
    const through =
      q! + 0.5 * t * (r! - p! + t * (2 * p! - 5 * q! + 4 * r! - s! + t * (3 * (q! - r!) + s! - p!)))
    return Math.max(0.5, through) / 100
  }

export const KEPT_ASIDE_FINISHES: readonly Finish[] = [
  // Tile, ivory paint, bone, pewter, slate, charcoal.
  drawn(40, 74, 79, 81, 82, 83, 83, 83, 84, 84, 84),
  drawn(22, 48, 58, 66, 72, 76, 78, 79, 80, 80, 80),
  drawn(30, 56, 58, 58, 58, 57, 57, 57, 57, 58, 58),
  drawn(18, 26, 27, 27, 26, 26, 25, 25, 25, 26, 27),
  drawn(12, 15, 16, 16, 15, 14, 13, 13, 13, 14, 15),
  drawn(5, 6, 6, 6, 6, 6, 6, 6, 6, 7, 8),
  // Limestone, travertine, green marble, rose granite.
  drawn(20, 36, 42, 47, 51, 54, 56, 57, 58, 59, 60),
  drawn(17, 30, 35, 39, 43, 50, 55, 57, 58, 59, 59),
  drawn(6, 8, 10, 13, 15, 13, 10, 9, 9, 11, 14),
  drawn(14, 22, 24, 25, 26, 31, 35, 36, 37, 38, 39),
  // Maple, smoked oak, mahogany, walnut, leather.
  drawn(10, 18, 25, 34, 44, 54, 61, 65, 68, 70, 72),
  drawn(6, 9, 12, 16, 20, 25, 30, 34, 38, 42, 46),
  drawn(4, 5, 5, 6, 7, 11, 17, 23, 29, 35, 41),
  drawn(4, 5, 6, 8, 10, 13, 16, 19, 22, 26, 30),
  drawn(4, 5, 6, 8, 12, 22, 34, 41, 46, 50, 53),
  // Brick, pale terracotta, brass, copper.
  drawn(5, 6, 7, 8, 10, 18, 28, 32, 34, 36, 38),
  drawn(9, 15, 18, 22, 28, 42, 53, 57, 59, 60, 61),
  drawn(14, 20, 26, 37, 47, 52, 54, 55, 56, 57, 58),
  drawn(12, 16, 18, 21, 26, 45, 58, 63, 66, 68, 70),
  // Dyed cloth, bright beyond the red as dyes are: sage, forest, denim, navy, lilac.
  drawn(11, 19, 24, 31, 34, 31, 28, 27, 31, 40, 50),
  drawn(3, 4, 5, 8, 9, 6, 5, 5, 8, 18, 32),
  drawn(9, 16, 19, 16, 13, 10, 9, 9, 12, 22, 36),
  drawn(3, 6, 7, 5, 3, 3, 3, 3, 4, 9, 18),
  drawn(18, 30, 32, 26, 22, 24, 32, 38, 44, 50, 56),
]
