import { D65_WEIGHTS } from '../colour/illuminant'
import { xyzUnder } from '../colour/observer'
import { BANDS, type Reflectance, type Xyz } from '../colour/spectrum'

/** The reading cannot be the colour of a matt surface. */
export class ImpossibleColourError extends RangeError {
  override name = 'ImpossibleColourError'
}

const TOLERANCE_XYZ = 1e-7
const MAX_STEPS = 60
// Lighter or darker than this no dry paint is, and tanh runs flat.
const DARKEST_Y = 0.05
const LIGHTEST_Y = 99.9

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

function solve(
  target: Xyz,
  weights: Float64Array,
  hessian: 'exact' | 'definite',
): Reflectance | 'outside' | null {
  const z = new Float64Array(BANDS).fill(Math.atanh((2 * target[1]) / 100 - 1))
  const multipliers = new Float64Array(3)
  let residual = evaluate(z, multipliers, target, weights)
  for (let step = 0; step < MAX_STEPS; step++) {
    if (residual.colour < TOLERANCE_XYZ && residual.slope < 1e-6) return residual.reflectance
    if (isOutside(target, residual.miss, weights) || isOutside(target, multipliers, weights))
      return 'outside'
    const direction = newtonStep(residual, multipliers, weights, hessian)
    if (!direction) return null
    const next = lineSearch(z, multipliers, direction, residual, target, weights)
    if (!next) return residual.colour < TOLERANCE_XYZ ? residual.reflectance : null
    z.set(next.z)
    multipliers.set(next.multipliers)
    residual = next.residual
  }
  return null
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

interface Residual {
  readonly reflectance: Reflectance
  /** dR/dz and d²R/dz² of each band. */
  readonly first: Float64Array
  readonly second: Float64Array
  /** Gradient of the Lagrangian by band, and the three colour misses in XYZ. */
  readonly gradient: Float64Array
  readonly miss: Xyz
  readonly colour: number
  readonly slope: number
}

function evaluate(
  z: Float64Array,
  multipliers: Float64Array,
  target: Xyz,
  weights: Float64Array,
): Residual {
  const reflectance = new Float64Array(BANDS)
  const first = new Float64Array(BANDS)
  const second = new Float64Array(BANDS)
  const gradient = new Float64Array(BANDS)
  for (let i = 0; i < BANDS; i++) {
    const t = Math.tanh(z[i]!)
    reflectance[i] = (t + 1) / 2
    first[i] = (1 - t * t) / 2
    second[i] = -t * (1 - t * t)
  }
  let slope = 0
  for (let i = 0; i < BANDS; i++) {
    let g = 0
    if (i > 0) g += z[i]! - z[i - 1]!
    if (i < BANDS - 1) g += z[i]! - z[i + 1]!
    g += first[i]! * pull(i, multipliers, weights)
    gradient[i] = g
    slope = Math.max(slope, Math.abs(g))
  }
  const got = xyzUnder(weights, reflectance)
  const miss: Xyz = [got[0] - target[0], got[1] - target[1], got[2] - target[2]]
  const colour = Math.max(...miss.map(Math.abs))
  return { reflectance, first, second, gradient, miss, colour, slope }
}

const pull = (band: number, multipliers: Float64Array, weights: Float64Array): number =>
  multipliers[0]! * weights[band * 3]! +
  multipliers[1]! * weights[band * 3 + 1]! +
  multipliers[2]! * weights[band * 3 + 2]!

interface Direction {
  readonly z: Float64Array
  readonly multipliers: Float64Array
}

// Border: the last band and the three multipliers. The bands before it form a tridiagonal block.
const INNER = BANDS - 1
const BORDER = 4

function newtonStep(
  { first, second, gradient, miss }: Residual,
  multipliers: Float64Array,
  weights: Float64Array,
  hessian: 'exact' | 'definite',
): Direction | null {
  const diagonal = new Float64Array(BANDS)
  for (let i = 0; i < BANDS; i++) {
    const curvature = second[i]! * pull(i, multipliers, weights)
    diagonal[i] =
      (i === 0 || i === BANDS - 1 ? 1 : 2) +
      (hessian === 'exact' ? curvature : Math.max(0, curvature))
  }
  // Columns: the four border columns, then the right-hand side.
  const columns = BORDER + 1
  const block = new Float64Array(INNER * columns)
  for (let i = 0; i < INNER; i++) {
    block[i * columns] = i === INNER - 1 ? -1 : 0
    for (let k = 0; k < 3; k++) block[i * columns + 1 + k] = first[i]! * weights[i * 3 + k]!
    block[i * columns + BORDER] = -gradient[i]!
  }
  // What the border rows see of the inner unknowns, kept before the elimination.
  const coupling = block.slice()
  const pivots = new Float64Array(INNER)
  for (let i = 0; i < INNER; i++) {
    let pivot = diagonal[i]!
    if (i > 0) {
      const factor = -1 / pivots[i - 1]!
      pivot -= factor * -1
      for (let c = 0; c < columns; c++)
        block[i * columns + c]! -= factor * block[(i - 1) * columns + c]!
    }
    if (Math.abs(pivot) < 1e-10) return null
    pivots[i] = pivot
  }
  for (let i = INNER - 1; i >= 0; i--)
    for (let c = 0; c < columns; c++) {
      const above = i < INNER - 1 ? block[(i + 1) * columns + c]! : 0
      block[i * columns + c] = (block[i * columns + c]! + above) / pivots[i]!
    }

  const last = BANDS - 1
  const rows: number[][] = []
  for (let r = 0; r < BORDER; r++) {
    const row = new Array<number>(columns).fill(0)
    if (r === 0) {
      row[0] = diagonal[last]!
      for (let k = 0; k < 3; k++) row[1 + k] = first[last]! * weights[last * 3 + k]!
      row[BORDER] = -gradient[last]!
    } else {
      row[0] = first[last]! * weights[last * 3 + r - 1]!
      row[BORDER] = -miss[r - 1]!
    }
    for (let i = 0; i < INNER; i++) {
      const weight = coupling[i * columns + r]!
      if (weight === 0) continue
      for (let c = 0; c < columns; c++) row[c]! -= weight * block[i * columns + c]!
    }
    rows.push(row)
  }
  const border = solvePivoted(rows)
  if (!border) return null

  const step = new Float64Array(BANDS)
  step[last] = border[0]!
  for (let i = 0; i < INNER; i++) {
    let value = block[i * columns + BORDER]!
    for (let c = 0; c < BORDER; c++) value -= block[i * columns + c]! * border[c]!
    step[i] = value
  }
  return { z: step, multipliers: Float64Array.from(border.slice(1)) }
}

function solvePivoted(rows: number[][]): number[] | null {
  const n = rows.length
  for (let column = 0; column < n; column++) {
    let best = column
    for (let r = column + 1; r < n; r++)
      if (Math.abs(rows[r]![column]!) > Math.abs(rows[best]![column]!)) best = r
    const pivotRow = rows[best]!
    const pivot = pivotRow[column]!
    if (!(Math.abs(pivot) > 1e-14)) return null
    rows[best] = rows[column]!
    rows[column] = pivotRow
    for (let r = column + 1; r < n; r++) {
      const factor = rows[r]![column]! / pivot
      for (let c = column; c <= n; c++) rows[r]![c]! -= factor * pivotRow[c]!
    }
  }
  const x = new Array<number>(n).fill(0)
  for (let r = n - 1; r >= 0; r--) {
    let value = rows[r]![n]!
    for (let c = r + 1; c < n; c++) value -= rows[r]![c]! * x[c]!
    x[r] = value / rows[r]![r]!
  }
  return x
}

function lineSearch(
  z: Float64Array,
  multipliers: Float64Array,
  direction: Direction,
  from: Residual,
  target: Xyz,
  weights: Float64Array,
): { z: Float64Array; multipliers: Float64Array; residual: Residual } | null {
  const longest = direction.z.reduce((most, value) => Math.max(most, Math.abs(value)), 0)
  const before = merit(from)
  for (let share = Math.min(1, 4 / longest); share > 1e-6; share /= 2) {
    const nextZ = z.map((value, i) => value + share * direction.z[i]!)
    const nextMultipliers = multipliers.map((m, i) => m + share * direction.multipliers[i]!)
    const residual = evaluate(nextZ, nextMultipliers, target, weights)
    if (merit(residual) < before * (1 - 1e-4 * share))
      return { z: nextZ, multipliers: nextMultipliers, residual }
  }
  return null
}

function merit({ gradient, miss }: Residual): number {
  let sum = 0
  for (const g of gradient) sum += g * g
  for (const m of miss) sum += m * m
  return Math.sqrt(sum)
}
