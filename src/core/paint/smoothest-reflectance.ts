import { D65_WEIGHTS } from '../colour/illuminant'
import { BANDS, type Reflectance, type Xyz } from '../colour/spectrum'

/** The reading cannot be the colour of a matt surface. */
export class ImpossibleColourError extends RangeError {
  override name = 'ImpossibleColourError'
}

const TOLERANCE_XYZ = 1e-7
const TOLERANCE_SLOPE = 1e-6
const MAX_STEPS = 60
/** Lighter or darker than this no dry paint is, and tanh runs flat; per cent. */
export const DARKEST_Y = 0.008
export const LIGHTEST_Y = 99.95

/**
 * The smoothest reflectance in (0, 1) that has the given XYZ under a light: the least squared slope
 * of the hyperbolic arctangent of 2R − 1.
 *
 * Method: Burns, "Numerical methods for smoothest reflectance reconstruction", Color Research &
 * Application 45 (2020), solved by Lagrange multipliers. Newton's steps are taken on the exact
 * Hessian first and, where they do not shorten the residual, on its positive definite part; both are
 * damped by halving. The system is tridiagonal but for one smoothness unknown and three
 * multipliers, and is solved as such.
 *
 * @param xyz Y 0 to 100
 * @param weights of the light and observer the XYZ was given for; D65, 2° unless told otherwise
 * @returns 36 bands
 * @throws ImpossibleColourError when no reflectance has that colour
 */
export function smoothestReflectance(xyz: Xyz, weights: Float64Array = D65_WEIGHTS): Reflectance {
  const y = xyz[1]
  if (!xyz.every(Number.isFinite)) throw new ImpossibleColourError('a colour needs three numbers')
  if (y < DARKEST_Y || y > LIGHTEST_Y)
    throw new ImpossibleColourError(
      `a paint's LRV lies between ${DARKEST_Y} and ${LIGHTEST_Y}, this reading's is ${y.toFixed(1)}`,
    )
  const solution = solve(xyz, weights, 'exact') ?? solve(xyz, weights, 'definite')
  if (solution === null || solution === 'outside')
    throw new ImpossibleColourError(
      'no painted surface can have this colour in daylight: it is too strong for its lightness',
    )
  return solution
}

// The search works in these arrays and hands out a copy at the end: it runs for every colour of a deck.
const INNER = BANDS - 1
// Right-hand sides of the tridiagonal solve: the last band, the three multipliers, the residual.
const COLUMNS = 5

interface Point {
  readonly z: Float64Array
  readonly multipliers: Float64Array
  readonly reflectance: Float64Array
  /** dR/dz and d²R/dz² of each band. */
  readonly first: Float64Array
  readonly second: Float64Array
  /** What the multipliers pull at each band. */
  readonly pull: Float64Array
  /** Gradient of the Lagrangian by band, and the three colour misses in XYZ. */
  readonly gradient: Float64Array
  readonly miss: Float64Array
}

const bands = (): Float64Array => new Float64Array(BANDS)
const point = (): Point => ({
  z: bands(),
  multipliers: new Float64Array(3),
  reflectance: bands(),
  first: bands(),
  second: bands(),
  pull: bands(),
  gradient: bands(),
  miss: new Float64Array(3),
})

const pair: [Point, Point] = [point(), point()]
const stepZ = bands()
const stepMultipliers = new Float64Array(3)
const block = new Float64Array(INNER * COLUMNS)
const pivots = new Float64Array(INNER)
const border = new Float64Array(4 * COLUMNS)

function solve(
  target: Xyz,
  weights: Float64Array,
  hessian: 'exact' | 'definite',
): Reflectance | 'outside' | null {
  let [here, there] = pair
  here.z.fill(Math.atanh((2 * target[1]) / 100 - 1))
  here.multipliers.fill(0)
  evaluate(here, target, weights)
  for (let step = 0; step < MAX_STEPS; step++) {
    const colourMiss = largest(here.miss)
    if (colourMiss < TOLERANCE_XYZ && largest(here.gradient) < TOLERANCE_SLOPE)
      return here.reflectance.slice()
    if (isOutside(target, here.miss, weights) || isOutside(target, here.multipliers, weights))
      return 'outside'
    if (!newtonStep(here, weights, hessian)) return null
    if (!lineSearch(here, there, target, weights))
      return colourMiss < TOLERANCE_XYZ ? here.reflectance.slice() : null
    ;[here, there] = [there, here]
  }
  return null
}

function largest(values: Float64Array): number {
  let most = 0
  for (let i = 0; i < values.length; i++) most = Math.max(most, Math.abs(values[i]!))
  return most
}

/**
 * Whether a plane across `direction` parts the target from every colour that a reflectance between
 * 0 and 1 can have: proof that there is no solution. As the steps of a hopeless search diverge, the
 * miss and the multipliers come to point across such a plane.
 */
function isOutside(target: Xyz, direction: ArrayLike<number>, weights: Float64Array): boolean {
  const [nx, ny, nz] = [direction[0]!, direction[1]!, direction[2]!]
  const at = nx * target[0] + ny * target[1] + nz * target[2]
  let [least, most] = [0, 0]
  for (let w = 0; w < weights.length; w += 3) {
    const reach = nx * weights[w]! + ny * weights[w + 1]! + nz * weights[w + 2]!
    if (reach > 0) most += reach
    else least += reach
  }
  return at > most || at < least
}

function evaluate(at: Point, target: Xyz, weights: Float64Array): void {
  const { z, multipliers, reflectance, first, second, pull, gradient, miss } = at
  const [p, q, r] = [multipliers[0]!, multipliers[1]!, multipliers[2]!]
  let [x, y, zSum] = [-target[0], -target[1], -target[2]]
  for (let i = 0, w = 0; i < BANDS; i++, w += 3) {
    // tanh by one exponential; z stays far below where that would overflow.
    const t = 1 - 2 / (Math.exp(2 * z[i]!) + 1)
    const share = (t + 1) / 2
    reflectance[i] = share
    first[i] = (1 - t * t) / 2
    second[i] = -t * (1 - t * t)
    const [wx, wy, wz] = [weights[w]!, weights[w + 1]!, weights[w + 2]!]
    x += share * wx
    y += share * wy
    zSum += share * wz
    pull[i] = p * wx + q * wy + r * wz
  }
  for (let i = 0; i < BANDS; i++) {
    let g = first[i]! * pull[i]!
    if (i > 0) g += z[i]! - z[i - 1]!
    if (i < BANDS - 1) g += z[i]! - z[i + 1]!
    gradient[i] = g
  }
  miss[0] = x
  miss[1] = y
  miss[2] = zSum
}

/**
 * Newton's step from a point, into stepZ and stepMultipliers: the bands before the last form a tridiagonal block
 * that is eliminated, what is left is a 4 × 4 border of the last band and the multipliers.
 *
 * @returns false where the system is singular
 */
function newtonStep(
  { first, second, pull, gradient, miss }: Point,
  weights: Float64Array,
  hessian: 'exact' | 'definite',
): boolean {
  const diagonal = (i: number): number => {
    const curvature = second[i]! * pull[i]!
    const ends = i === 0 || i === BANDS - 1 ? 1 : 2
    return ends + (hessian === 'exact' ? curvature : Math.max(0, curvature))
  }
  for (let i = 0, b = 0, w = 0; i < INNER; i++, b += COLUMNS, w += 3) {
    block[b] = i === INNER - 1 ? -1 : 0
    block[b + 1] = first[i]! * weights[w]!
    block[b + 2] = first[i]! * weights[w + 1]!
    block[b + 3] = first[i]! * weights[w + 2]!
    block[b + 4] = -gradient[i]!
    let pivot = diagonal(i)
    if (i > 0) {
      const factor = 1 / pivots[i - 1]!
      pivot -= factor
      for (let c = 0; c < COLUMNS; c++) block[b + c]! += factor * block[b - COLUMNS + c]!
    }
    if (Math.abs(pivot) < 1e-10) return false
    pivots[i] = pivot
  }
  for (let i = INNER - 1, b = i * COLUMNS; i >= 0; i--, b -= COLUMNS)
    for (let c = 0; c < COLUMNS; c++) {
      const above = i < INNER - 1 ? block[b + COLUMNS + c]! : 0
      block[b + c] = (block[b + c]! + above) / pivots[i]!
    }

  const last = BANDS - 1
  border.fill(0)
  border[0] = diagonal(last)
  for (let k = 0; k < 3; k++) {
    border[1 + k] = first[last]! * weights[last * 3 + k]!
    border[(1 + k) * COLUMNS] = border[1 + k]!
    border[(1 + k) * COLUMNS + 4] = -miss[k]!
  }
  border[4] = -gradient[last]!
  // Only the band before the last touches the last one.
  const end = (INNER - 1) * COLUMNS
  for (let c = 0; c < COLUMNS; c++) border[c]! += block[end + c]!
  for (let i = 0, b = 0, w = 0; i < INNER; i++, b += COLUMNS, w += 3)
    for (let k = 0; k < 3; k++) {
      const coupling = first[i]! * weights[w + k]!
      const row = (1 + k) * COLUMNS
      for (let c = 0; c < COLUMNS; c++) border[row + c]! -= coupling * block[b + c]!
    }
  if (!solveBorder()) return false

  const [zLast, p, q, r] = [border[4]!, border[9]!, border[14]!, border[19]!]
  stepZ[last] = zLast
  stepMultipliers[0] = p
  stepMultipliers[1] = q
  stepMultipliers[2] = r
  for (let i = 0, b = 0; i < INNER; i++, b += COLUMNS)
    stepZ[i] =
      block[b + 4]! - block[b]! * zLast - block[b + 1]! * p - block[b + 2]! * q - block[b + 3]! * r
  return true
}

/** Solves the border in place, with pivoting; the answers stand in its last column. */
function solveBorder(): boolean {
  for (let k = 0; k < 4; k++) {
    let best = k
    for (let row = k + 1; row < 4; row++)
      if (Math.abs(border[row * COLUMNS + k]!) > Math.abs(border[best * COLUMNS + k]!)) best = row
    const pivot = border[best * COLUMNS + k]!
    if (!(Math.abs(pivot) > 1e-14)) return false
    for (let c = 0; c < COLUMNS; c++) {
      const swap = border[k * COLUMNS + c]!
      border[k * COLUMNS + c] = border[best * COLUMNS + c]! / pivot
      if (best !== k) border[best * COLUMNS + c] = swap
    }
    for (let row = 0; row < 4; row++) {
      if (row === k) continue
      const factor = border[row * COLUMNS + k]!
      for (let c = k; c < COLUMNS; c++)
        border[row * COLUMNS + c]! -= factor * border[k * COLUMNS + c]!
    }
  }
  return true
}

/** Goes from one point along the step as far as that shortens the residual; false where nothing does. */
function lineSearch(from: Point, to: Point, target: Xyz, weights: Float64Array): boolean {
  const before = merit(from)
  for (let share = Math.min(1, 4 / largest(stepZ)); share > 1e-6; share /= 2) {
    for (let i = 0; i < BANDS; i++) to.z[i] = from.z[i]! + share * stepZ[i]!
    for (let k = 0; k < 3; k++)
      to.multipliers[k] = from.multipliers[k]! + share * stepMultipliers[k]!
    evaluate(to, target, weights)
    if (merit(to) < before * (1 - 1e-4 * share)) return true
  }
  return false
}

function merit({ gradient, miss }: Point): number {
  let sum = 0
  for (let i = 0; i < BANDS; i++) sum += gradient[i]! ** 2
  for (let k = 0; k < 3; k++) sum += miss[k]! ** 2
  return Math.sqrt(sum)
}
