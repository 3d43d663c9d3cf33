/** A class for features: by weights per class, one for each feature and then a constant. */
export interface Softmax {
  readonly classes: readonly string[]
  readonly weights: readonly ArrayLike<number>[]
}

/**
 * The share of each class, together 1.
 *
 * @param into as many places as there are classes
 */
export function sharesOf(
  { weights }: Pick<Softmax, 'weights'>,
  features: ArrayLike<number>,
  into: Float64Array,
): void {
  let most = -Infinity
  for (let k = 0; k < into.length; k++) {
    const own = weights[k]!
    let sum = own[features.length]!
    for (let i = 0; i < features.length; i++) sum += own[i]! * features[i]!
    into[k] = sum
    if (sum > most) most = sum
  }
  let total = 0
  for (let k = 0; k < into.length; k++) total += into[k] = Math.exp(into[k]! - most)
  for (let k = 0; k < into.length; k++) into[k]! /= total
}

/** The likeliest class, of those that may be. */
export function likeliest(
  softmax: Softmax,
  features: ArrayLike<number>,
  may: (name: string) => boolean = () => true,
): string {
  const shares = new Float64Array(softmax.classes.length)
  sharesOf(softmax, features, shares)
  let best = -1
  for (const [k, name] of softmax.classes.entries())
    if (may(name) && (best < 0 || shares[k]! > shares[best]!)) best = k
  return softmax.classes[best]!
}
