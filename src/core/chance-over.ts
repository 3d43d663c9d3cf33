// Φ, the normal distribution's, tabled every 1/64: linear between, off by less than 1e-5.
const PER_UNIT = 64
const FARTHEST = 6
const TABLE = new Float64Array(2 * FARTHEST * PER_UNIT + 2)
{
  // Marsaglia, "Evaluating the normal distribution", Journal of Statistical Software 11 (2004), 5.
  const phi = (x: number): number => {
    let sum = x
    let term = x
    for (let i = 3; i < 200; i += 2) {
      term *= (x * x) / i
      sum += term
    }
    return 0.5 + (sum * Math.exp(-(x * x) / 2)) / Math.sqrt(2 * Math.PI)
  }
  for (let i = 0; i < TABLE.length; i++)
    TABLE[i] = Math.min(1, Math.max(0, phi(i / PER_UNIT - FARTHEST)))
  TABLE[0] = 0
  TABLE[2 * FARTHEST * PER_UNIT] = 1
  TABLE[2 * FARTHEST * PER_UNIT + 1] = 1
}

/** Φ(x): the chance that what is known as x standard deviations over a limit lies over it. */
export function chanceOver(x: number): number {
  if (!(x > -FARTHEST)) return 0
  if (x >= FARTHEST) return 1
  const at = (x + FARTHEST) * PER_UNIT
  const cell = at | 0
  const left = TABLE[cell]!
  return left + (at - cell) * (TABLE[cell + 1]! - left)
}

/** The other way round: how many standard deviations from even odds a chance is, 0 to 6, whichever side it is on. */
export function spreadsOf(chance: number): number {
  const far = Math.max(chance, 1 - chance)
  let [low, high] = [0, FARTHEST]
  while (high - low > 1e-6) {
    const middle = (low + high) / 2
    if (chanceOver(middle) < far) low = middle
    else high = middle
  }
  return low
}
