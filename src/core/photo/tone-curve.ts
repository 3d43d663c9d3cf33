import { finite } from '../check'
import { decode, encode } from '../colour/srgb'
import { inverse, Matrix } from 'ml-matrix'

/**
 * What a camera's curve has done to the shades, taken out again: encoded 0 to 1 in, encoded as IEC 61966-2-1 would have
 * it out. Two numbers: how far the middle was moved, and how strong an S was laid over it.
 */
export interface ToneCurve {
  readonly lift: number
  readonly s: number
}

const liftShape = (v: number): number => v * (1 - v)
const sShape = (v: number): number => v * (1 - v) * (1 - 2 * v)

const untoned = ({ lift, s }: ToneCurve, v: number): number =>
  v + lift * liftShape(v) + s * sShape(v)

/** Linear light behind an encoded channel, both 0 to 1. */
export const linearBehind = (curve: ToneCurve, v: number): number =>
  finite(decode(untoned(curve, v)), 'an encoded channel')

// Cameras lift the middle a little, darken the shadows and lighten the lights by about this much, some hardly, some by
// twice that (common practice).
const USUAL: ToneCurve = { lift: -0.08, s: 0.27 }
const SPREAD: ToneCurve = { lift: 0.15, s: 0.25 }

/** One patch of the card as the photo shows it. */
export interface ShownPatch {
  /** Red, green and blue, encoded, 0 to 1. */
  readonly encoded: readonly [number, number, number]
  /** Its reflectance, 0 to 1, and how far that may lie off, one standard deviation as a share. */
  readonly reflectance: number
  readonly tolerance: number
}

/** What the patches tell of the curve: the likeliest, and how far it may lie off. */
export interface ToneKnowledge {
  readonly likeliest: ToneCurve
  /** Root of its covariance: lift by the first number; s by the first and by the second. */
  readonly root: readonly [liftByFirst: number, sByFirst: number, sBySecond: number]
  /** Whether there was more than one patch to tell by. */
  readonly byPatches: boolean
}

// A patch's mean is known no better than this, encoded: grain, rounding, and light that falls off across the card.
const PATCH_NOISE = 0.004
const ROUNDS = 12

/**
 * The tone curve that makes every patch as light beside the others as it is: the same exposure a channel for all of
 * them, weighed against what cameras usually do. One patch alone tells nothing of the curve.
 *
 * @param patches the white first
 * @throws RangeError without a patch, or for one that is not encoded 0 to 1
 */
export function toneFromPatches(patches: readonly ShownPatch[]): ToneKnowledge {
  const first = patches[0]
  if (!first) throw new RangeError('a tone curve needs one patch at least, got none')
  for (const { encoded: shown, reflectance, tolerance } of patches) {
    if (!shown.every((v) => v >= 0 && v <= 1))
      throw new RangeError(`a patch must be encoded 0 to 1, got ${shown.join(', ')}`)
    if (!(reflectance > 0 && reflectance <= 1 && tolerance >= 0 && tolerance <= 1))
      throw new RangeError(
        `a patch's reflectance and tolerance must be 0 to 1, got ${reflectance} and ${tolerance}`,
      )
  }
  if (patches.length < 2)
    return { likeliest: USUAL, root: [SPREAD.lift, 0, SPREAD.s], byPatches: false }
  // Unknown: an exposure a channel, in logarithms, lift and s. Gauss and Newton.
  const at = [
    ...first.encoded.map((v) => Math.log(Math.max(1e-4, decode(v)) / first.reflectance)),
    USUAL.lift,
    USUAL.s,
  ]
  let covariance = Matrix.eye(5)
  for (let round = 0; round < ROUNDS; round++) {
    const normal = Matrix.zeros(5, 5)
    const towards = Matrix.zeros(5, 1)
    const observe = (row: readonly number[], miss: number, spread: number): void => {
      const column = Matrix.columnVector(row).div(spread)
      normal.add(column.mmul(column.transpose()))
      towards.add(column.mul(miss / spread))
    }
    for (const { encoded: shown, reflectance, tolerance } of patches)
      shown.forEach((v, channel) => {
        const light = reflectance * Math.exp(at[channel]!)
        const should = encode(light)
        const slope = (encode(light * 1.001) - should) / 0.001
        const row = [0, 0, 0, -liftShape(v), -sShape(v)]
        row[channel] = slope
        // The three channels of a patch share its tolerance, which counts once: each is that much looser.
        observe(
          row,
          untoned({ lift: at[3]!, s: at[4]! }, v) - should,
          Math.hypot(PATCH_NOISE, slope * tolerance * Math.sqrt(3)),
        )
      })
    observe([0, 0, 0, 1, 0], USUAL.lift - at[3]!, SPREAD.lift)
    observe([0, 0, 0, 0, 1], USUAL.s - at[4]!, SPREAD.s)
    covariance = inverse(normal)
    const step = covariance.mmul(towards)
    at.forEach((_, i) => (at[i]! += step.get(i, 0)))
  }
  const lift = Math.sqrt(covariance.get(3, 3))
  const shared = covariance.get(3, 4) / lift
  return {
    likeliest: { lift: at[3]!, s: at[4]! },
    root: [lift, shared, Math.sqrt(Math.max(0, covariance.get(4, 4) - shared * shared))],
    byPatches: true,
  }
}

/** The curve that two standard normal numbers throw. */
export const curveAt = (
  { likeliest, root }: ToneKnowledge,
  first: number,
  second: number,
): ToneCurve => ({
  lift: finite(likeliest.lift + root[0] * first, 'a tone curve'),
  s: finite(likeliest.s + root[1] * first + root[2] * second, 'a tone curve'),
})
