import { UCS_VIEWING } from '../colour/appearance'
import { cam16, ucsOf, type Ucs } from '../colour/cam16'
import { multiply } from '../colour/cat16'
import { labFromXyz, type Lab } from '../colour/lab'
import type { Xyz } from '../colour/spectrum'
import { likelyFinishes } from './finish-prior'
import { leastErring, seenBy, XYZ_BY_DAYLIGHT, type Rows } from './three-numbers'

/** CAM16-UCS and L*a*b* of an XYZ by daylight, Y of a perfect white 1; no darker than the darkest paint. */
export const ucsByDaylight = (xyz: Xyz): Ucs =>
  ucsOf(cam16(xyz.map((v) => Math.max(1e-2, 100 * v)) as unknown as Xyz, UCS_VIEWING))
export const labByDaylight = (xyz: Xyz): Lab =>
  labFromXyz(xyz.map((v) => 100 * v) as unknown as Xyz)

/**
 * What three numbers of a camera cannot tell of a finish: likely finishes as cameras would tell them, and how far they
 * then lie off.
 */
export interface Untold {
  /** Nine numbers each: J′, a′, b′ as told, what is missing to the truth in them, and in L*, a*, b*. */
  readonly rows: Float64Array
}

const ROW = 9
// Some thousands are enough for a mean over what lies near.
const EVERY_FINISH = 3

export function untoldBy(cameras: readonly Rows[]): Untold {
  const finishes = likelyFinishes().filter((_, i) => i % EVERY_FINISH === 0)
  const rows = new Float64Array(cameras.length * finishes.length * ROW)
  let at = 0
  for (const from of cameras) {
    const matrix = leastErring(from)
    for (const finish of finishes) {
      const truth = seenBy(XYZ_BY_DAYLIGHT, finish)
      const told = multiply(matrix, seenBy(from, finish))
      const [ucs, lab] = [ucsByDaylight(told), labByDaylight(told)]
      rows.set(ucs, at)
      rows.set(
        ucsByDaylight(truth).map((v, k) => v - ucs[k]!),
        at + 3,
      )
      rows.set(
        labByDaylight(truth).map((v, k) => v - lab[k]!),
        at + 6,
      )
      at += ROW
    }
  }
  return { rows }
}

type Triple = readonly [number, number, number]

// What lies so near in lean counts most, and twice as far in lightness; four times as far it counts nothing.
const NEAR = 6.5
const FAR_SQUARE = 12

/** What is likely missing to the truth for a colour told so: its mean in L*a*b*, and its variance in J′, a′, b′. */
export function missingAt(
  { rows }: Untold,
  [j, a, b]: Ucs,
): { readonly lab: Triple; readonly variance: Triple } {
  const [row, near, far] = [ROW, NEAR, FAR_SQUARE]
  const sums = new Float64Array(row)
  // A little of no miss at all, for what lies far from everything.
  let total = 1e-6
  for (let at = 0; at < rows.length; at += row) {
    const dj = (rows[at]! - j) / (2 * near)
    const da = (rows[at + 1]! - a) / near
    const db = (rows[at + 2]! - b) / near
    const square = dj * dj + da * da + db * db
    if (square > far) continue
    const weight = Math.exp(-0.5 * square)
    total += weight
    for (let k = 0; k < 3; k++) {
      const miss = rows[at + 3 + k]!
      sums[k]! += weight * miss
      sums[3 + k]! += weight * miss * miss
      sums[6 + k]! += weight * rows[at + 6 + k]!
    }
  }
  const mean = sums.map((sum) => sum / total)
  return {
    lab: [mean[6]!, mean[7]!, mean[8]!],
    variance: [0, 1, 2].map((k) => mean[3 + k]! - mean[k]! ** 2) as unknown as Triple,
  }
}
