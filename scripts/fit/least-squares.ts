/** Rows of features with what they are to add up to, weighed; sums that another set's can be taken from. */
export interface Sums {
  readonly count: number
  /** Σ w·x·xᵀ, row by row. */
  readonly xx: Float64Array
  readonly xy: Float64Array
  readonly x: Float64Array
  y: number
  weight: number
}

export const noSums = (count: number): Sums => ({
  count,
  xx: new Float64Array(count * count),
  xy: new Float64Array(count),
  x: new Float64Array(count),
  y: 0,
  weight: 0,
})

/** Adds a row, or with a negative weight takes it away. */
export function addRow(to: Sums, features: ArrayLike<number>, target: number, weight = 1): void {
  const { count, xx, xy, x } = to
  for (let i = 0; i < count; i++) {
    const wi = weight * features[i]!
    x[i]! += wi
    xy[i]! += wi * target
    if (wi !== 0) for (let k = 0; k < count; k++) xx[i * count + k]! += wi * features[k]!
  }
  to.y += weight * target
  to.weight += weight
}

export interface Fitted {
  readonly constant: number
  readonly weights: Float64Array
}

/**
 * Least squares with ridge on standardised features and held signs, by coordinate descent: deterministic, and convex, so that it ends
 * where there is one end.
 *
 * @param signs 1: never below nothing, −1: never above, 0: free
 * @param start where to begin: of another fit hardly different, it is sooner at its end
 * @param leastSpread a feature that spreads less is reckoned as if it spread so much: few examples carry no large weight
 */
export function fit(
  { count, xx, xy, x, y, weight }: Sums,
  signs: readonly number[],
  ridge: number,
  leastSpread = 0.03,
  start: Fitted | null = null,
): Fitted {
  const mean = x.map((sum) => sum / weight)
  const gram = new Float64Array(count * count)
  const right = new Float64Array(count)
  const spread = new Float64Array(count)
  for (let i = 0; i < count; i++)
    spread[i] = Math.max(
      leastSpread,
      Math.sqrt(Math.max(0, xx[i * count + i]! / weight - mean[i]! ** 2)),
    )
  for (let i = 0; i < count; i++) {
    right[i] = (xy[i]! - mean[i]! * y) / spread[i]!
    for (let k = 0; k < count; k++)
      gram[i * count + k] =
        (xx[i * count + k]! - weight * mean[i]! * mean[k]!) / (spread[i]! * spread[k]!)
  }
  const own = spread.map((each, i) => (start ? start.weights[i]! * each : 0))
  for (let turn = 0; turn < 2000; turn++) {
    let moved = 0
    for (let i = 0; i < count; i++) {
      let rest = right[i]!
      for (let k = 0; k < count; k++) if (k !== i) rest -= gram[i * count + k]! * own[k]!
      const free = rest / (gram[i * count + i]! + ridge)
      const sign = signs[i]!
      const held = sign === 0 ? free : sign > 0 ? Math.max(0, free) : Math.min(0, free)
      moved = Math.max(moved, Math.abs(held - own[i]!))
      own[i] = held
    }
    if (moved < 1e-8) break
  }
  const weights = own.map((value, i) => value / spread[i]!)
  return {
    weights,
    constant: y / weight - weights.reduce((sum, each, i) => sum + each * mean[i]!, 0),
  }
}

export const predicted = ({ constant, weights }: Fitted, features: ArrayLike<number>): number =>
  weights.reduce((sum, each, i) => sum + each * features[i]!, constant)
