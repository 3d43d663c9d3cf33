import { D65_WEIGHTS } from '../colour/illuminant'
import { BANDS, SPECTRUM_FIRST_NM, type Reflectance } from '../colour/spectrum'
import { seededBell, seededRandom } from '../seeded-random'
import { xyzUnder } from '../colour/observer'
import { opaqueReflectance } from '../paint/kubelka-munk'

/** 36 × 36, row by row: the mean of R(λ)·R(μ) over many surfaces. */
export type SecondMoment = Float64Array

// Absorption over scattering in logarithms: its height; its slope towards blue (house finishes are warm: earths and wood
// absorb more there); and what is left, smooth over the width of an absorption band. Our choice, so that the draws are
// of the chroma of house finishes and three numbers miss them by about what they miss CIE's test colour samples by.
const HEIGHT = [-1.2, 1.6] as const
const SLOPE = [0.45, 0.55] as const
// How much colourant a finish has on the whole; see below.
const COLOURED = 1.2
const WAVES = [
  { amount: 0.45, lengthNm: 70 },
  { amount: 0.1, lengthNm: 32 },
] as const
// White pigment is titania, which takes up what lies below about 410 nm (common practice); stone and wood have none.
const TITANIA = { edgeNm: 405, overNm: 6, share: 0.7, most: 0.8 } as const
const LIGHTEST = 0.96
const COUNT = 1500

/** Many invented finishes as houses have them, always the same. */
export function likelyFinishes(): readonly Reflectance[] {
  return (finishes ??= drawn(24, SLOPE[0], 1))
}
let finishes: readonly Reflectance[] | undefined

/** What is known of a finish before it is looked at: each counts by how far it can be seen, dark ones as well as light. */
export function finishPrior(): SecondMoment {
  return (ofFinishes ??= momentOf(
    likelyFinishes(),
    (finish) => 1 / (xyzUnder(D65_WEIGHTS, finish)[1] / 100) ** (4 / 3),
  ))
}
let ofFinishes: SecondMoment | undefined

// What makers tune a camera by is stronger than finishes are, and leans no way; every patch of a chart counts alike.
const CHART_STRENGTH = 1.5

/** The colours that a maker finds a matrix by. */
export function chartPrior(): SecondMoment {
  return (ofChart ??= momentOf(drawn(25, 0, CHART_STRENGTH), () => 1))
}
let ofChart: SecondMoment | undefined

function drawn(seed: number, slope: number, strength: number): readonly Reflectance[] {
  const [bell, random] = [seededBell(seed), seededRandom(seed)]
  return Array.from({ length: COUNT }, () => {
    const height = HEIGHT[0] + HEIGHT[1] * bell()
    // How much colourant it has: a finish that hardly leans is mostly white and black, and has no bands to hide.
    const coloured = COLOURED * Math.abs(bell()) * strength
    const tilt = coloured * (slope + SLOPE[1] * bell())
    // A few cosines with random phases: a smooth random line of about that length.
    const waves = WAVES.flatMap(({ amount, lengthNm }) =>
      [0.6, 1, 1.6].map((scale) => ({
        amount: 0.8 * coloured * amount * bell(),
        perNm: 1 / (lengthNm * scale),
        phase: 2 * Math.PI * random(),
      })),
    )
    const titania = random() < TITANIA.share ? TITANIA.most : 0
    return Float64Array.from({ length: BANDS }, (_, band) => {
      const nm = SPECTRUM_FIRST_NM + 10 * band
      const wavy = waves.reduce(
        (sum, { amount, perNm, phase }) => sum + amount * Math.cos(nm * perNm + phase),
        0,
      )
      const ratio = Math.exp(height + (tilt * (560 - nm)) / 180 + wavy)
      const edge = titania / (1 + Math.exp((nm - TITANIA.edgeNm) / TITANIA.overNm))
      return LIGHTEST * opaqueReflectance(ratio) * (1 - edge)
    })
  })
}

function momentOf(
  surfaces: readonly Reflectance[],
  weightOf: (surface: Reflectance) => number,
): SecondMoment {
  const bands = BANDS
  const sum = new Float64Array(bands * bands)
  for (const surface of surfaces) {
    const weight = weightOf(surface) / surfaces.length
    for (let i = 0, at = 0; i < bands; i++)
      for (let j = 0; j < bands; j++, at++) sum[at]! += weight * surface[i]! * surface[j]!
  }
  return sum
}
