/**
 * What a camera's curve has done to the shades, taken out again: encoded 0 to 1 in, encoded as IEC 61966-2-1 would have
 * it out. Two numbers: how far the middle was lifted, and how strong an S was laid over it.
 */
export interface ToneCurve {
  readonly lift: number
  readonly s: number
}

const liftShape = (v: number): number => v * (1 - v)
const sShape = (v: number): number => v * (1 - v) * (1 - 2 * v)

export const untoned = ({ lift, s }: ToneCurve, v: number): number =>
  v + lift * liftShape(v) + s * sShape(v)

export const decoded = (v: number): number =>
  v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4
export const encoded = (x: number): number =>
  x <= 0.0031308 ? 12.92 * Math.max(0, x) : 1.055 * x ** (1 / 2.4) - 0.055

/** Linear light behind an encoded channel. */
export const linearBehind = (curve: ToneCurve, v: number): number => decoded(untoned(curve, v))

// Cameras darken the shadows and lift the lights by about this much, some hardly, some by twice that (common practice).
const USUAL = { lift: 0, s: 0.25 } as const
const SPREAD = { lift: 0.15, s: 0.25 } as const

/** One patch of the card as the photo shows it, encoded 0 to 1 a channel. */
export interface ShownPatch {
  readonly encoded: readonly [number, number, number]
  /** Its reflectance, 0 to 1, and how far that may lie off, one standard deviation as a share. */
  readonly reflectance: number
  readonly tolerance: number
}

/** What the patches tell of the curve: the likeliest, and how far it may lie off. */
export interface ToneKnowledge {
  readonly likeliest: ToneCurve
  /** Lower triangle of the root of its covariance: [lift·lift, s·lift, s·s]. */
  readonly root: readonly [number, number, number]
  /** Whether there was more than one patch to tell by. */
  readonly byPatches: boolean
}

// A patch's mean is known no better than this, encoded: grain, rounding, and light that falls off across the card.
const PATCH_NOISE = 0.006

const ROUNDS = 12

/**
 * The tone curve that makes every patch as light beside the others as it is: the same exposure a channel for all of
 * them, weighed against what cameras usually do. One patch alone tells nothing of the curve.
 *
 * @param patches at least one
 */
export function toneFromPatches(patches: readonly ShownPatch[]): ToneKnowledge {
  if (patches.length < 2)
    return {
      likeliest: USUAL,
      root: [SPREAD.lift, 0, SPREAD.s],
      byPatches: false,
    }
  // Unknown: three exposures in logarithms, lift and s. Gauss and Newton; the numbers are few and near.
  const first = patches[0]!
  const at = [...first.encoded.map((v) => Math.log(decoded(v) / first.reflectance)), 0, 0.1]
  let covariance: number[][] = []
  for (let round = 0; round < ROUNDS; round++) {
    const normal = at.map(() => at.map(() => 0))
    const towards = at.map(() => 0)
    const observe = (row: readonly number[], miss: number, spread: number): void => {
      row.forEach((p, i) => {
        towards[i]! += (p * miss) / spread ** 2
        row.forEach((q, j) => (normal[i]![j]! += (p * q) / spread ** 2))
      })
    }
    for (const { encoded: shown, reflectance, tolerance } of patches)
      shown.forEach((v, channel) => {
        const light = reflectance * Math.exp(at[channel]!)
        const should = encoded(light)
        const slope = (encoded(light * 1.001) - should) / 0.001
        const row = [0, 0, 0, -liftShape(v), -sShape(v)]
        row[channel] = slope
        const miss = untoned({ lift: at[3]!, s: at[4]! }, v) - should
        // The three channels of a patch share its tolerance: it counts once, so each is that much looser.
        observe(row, miss, Math.hypot(PATCH_NOISE, slope * tolerance * Math.sqrt(3)))
      })
    observe([0, 0, 0, 1, 0], USUAL.lift - at[3]!, SPREAD.lift)
    observe([0, 0, 0, 0, 1], USUAL.s - at[4]!, SPREAD.s)
    covariance = inverted(normal)
    covariance.forEach((row, i) => (at[i]! += row.reduce((sum, c, j) => sum + c * towards[j]!, 0)))
  }
  const [ll, ls, ss] = [covariance[3]![3]!, covariance[3]![4]!, covariance[4]![4]!]
  const l = Math.sqrt(ll)
  return {
    likeliest: { lift: at[3]!, s: at[4]! },
    root: [l, ls / l, Math.sqrt(Math.max(0, ss - (ls / l) ** 2))],
    byPatches: true,
  }
}

/** The curve for two standard normal numbers. */
export const curveAt = (
  { likeliest, root }: ToneKnowledge,
  p: number,
  q: number,
): ToneCurve => ({
  lift: likeliest.lift + root[0] * p,
  s: likeliest.s + root[1] * p + root[2] * q,
})

/** Gauss and Jordan; of a matrix that is positive definite. */
function inverted(matrix: readonly (readonly number[])[]): number[][] {
  const size = matrix.length
  const rows = matrix.map((row, i) => [...row, ...row.map((_, j) => (i === j ? 1 : 0))])
  for (let i = 0; i < size; i++) {
    const pivot = rows[i]![i]!
    rows[i] = rows[i]!.map((value) => value / pivot)
    for (let k = 0; k < size; k++)
      if (k !== i) {
        const times = rows[k]![i]!
        rows[k] = rows[k]!.map((value, j) => value - times * rows[i]![j]!)
      }
  }
  return rows.map((row) => row.slice(size))
}
