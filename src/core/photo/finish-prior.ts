import { BANDS, SPECTRUM_FIRST_NM } from '../colour/spectrum'
import { seededBell } from '../seeded-random'

/** 36 × 36, row by row: the mean of R(λ)·R(μ) over finishes of a house, each counted by 1 / Y^(4/3) so that dark ones count. */
export type SecondMoment = Float64Array

const COUNT = 1500
// Absorption over scattering in logarithms: its height, its slope towards blue (house finishes are warm: earths and wood
// absorb more there), and what is left, smooth over the width of an absorption band. Chosen so that the draws lie about
// as CIE 13.3's test colours, woods and masonry do: common practice.
const HEIGHT = [-1.2, 1.6] as const
const SLOPE = [0.45, 0.55] as const
const WAVES = [
  { amount: 0.45, lengthNm: 70 },
  { amount: 0.1, lengthNm: 32 },
] as const
/** How an error of a finish grows with its luminance; see {@link SecondMoment}. */
export const ERROR_EXPONENT = 4 / 3

let moment: SecondMoment | undefined
let chart: SecondMoment | undefined
export function chartPrior(): SecondMoment { return (chart ??= momentOf(CHART_X)) }
const CHART_X = { slope: 0.0, times: Number(process.env.TT ?? 1.5) , exp: Number(process.env.EX ?? 0)}

/** What is known of a finish before it is looked at, as a camera's three numbers need it; worked out once. */
export function finishPrior(): SecondMoment {
  return (moment ??= momentOf({ slope: SLOPE[0], times: 1, exp: ERROR_EXPONENT }))
}
function momentOf({ slope, times, exp }: { slope: number; times: number; exp: number }): SecondMoment {
  const bell = seededBell(24)
  const sum = new Float64Array(BANDS * BANDS)
  for (let n = 0; n < COUNT; n++) {
    const drawn = drawFinish(bell, slope, times)
    const weight = 1 / (COUNT * greenShare(drawn) ** exp)
    for (let i = 0; i < BANDS; i++)
      for (let j = 0; j < BANDS; j++) sum[i * BANDS + j]! += weight * drawn[i]! * drawn[j]!
  }
  return sum
}

export function drawFinish(bell: () => number, slope0 = SLOPE[0], times = 1): Float64Array {
  const [height, slope] = [HEIGHT[0] + HEIGHT[1] * bell(), slope0 + times * SLOPE[1] * bell()]
  // A few cosines with random phases: a smooth random line of about that length.
  const waves = WAVES.flatMap(({ amount, lengthNm }) =>
    [0.6, 1, 1.6].map((scale) => ({
      amount: times * amount * bell() * 0.8,
      perNm: 1 / (lengthNm * scale),
      phase: 6.3 * bell(),
    })),
  )
  return Float64Array.from({ length: BANDS }, (_, band) => {
    const nm = SPECTRUM_FIRST_NM + 10 * band
    const ratio = Math.exp(
      height +
        (slope * (560 - nm)) / 180 +
        waves.reduce((s, w) => s + w.amount * Math.cos(nm * w.perNm + w.phase), 0),
    )
    return 0.96 * (1 + ratio - Math.sqrt(ratio * ratio + 2 * ratio))
  })
}

/** About Y, 0 to 1: the middle bands. */
function greenShare(reflectance: Float64Array): number {
  let sum = 0
  for (let band = 13; band <= 23; band++) sum += reflectance[band]!
  return sum / 11
}
