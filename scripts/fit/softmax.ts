import { sharesOf, type Softmax } from '../../src/core/pairing/softmax'

/** What was seen, and what each rater called it. */
export interface Labelled {
  readonly features: Float64Array
  readonly labels: readonly string[]
}

/**
 * Maximum likelihood with ridge, by gradient descent with momentum from nothing: convex, so that it goes one way; deterministic.
 *
 * @param features how many; each should spread by about one
 */
export function fitSoftmax(
  rows: readonly Labelled[],
  classes: readonly string[],
  features: number,
  ridge: number,
  rounds = 160,
): Softmax {
  const wide = features + 1
  const weights = classes.map(() => new Float64Array(wide))
  const moving = classes.map(() => new Float64Array(wide))
  const place = new Map(classes.map((name, at) => [name, at]))
  const called = rows.map(({ labels }) => {
    const counts = new Float64Array(classes.length)
    for (const label of labels) counts[place.get(label)!]! += 1
    return counts
  })
  const gradient = classes.map(() => new Float64Array(wide))
  const shares = new Float64Array(classes.length)
  for (let round = 0; round < rounds; round++) {
    for (const each of gradient) each.fill(0)
    rows.forEach(({ features: x }, row) => {
      sharesOf({ weights }, x, shares)
      for (let k = 0; k < shares.length; k++) {
        const off = shares[k]! * rows[row]!.labels.length - called[row]![k]!
        const own = gradient[k]!
        for (let i = 0; i < features; i++) own[i]! += off * x[i]!
        own[features]! += off
      }
    })
    for (const [k, own] of weights.entries())
      for (let i = 0; i < wide; i++) {
        const held = i < features ? ridge * own[i]! : 0
        moving[k]![i] = MOMENTUM * moving[k]![i]! - (RATE * (gradient[k]![i]! + held)) / rows.length
        own[i]! += moving[k]![i]!
      }
  }
  return { classes, weights }
}

const MOMENTUM = 0.9
const RATE = 0.25
