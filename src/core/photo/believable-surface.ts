import { screenColour, type PreparedLight } from '../colour/appearance'
import type { Reflectance } from '../colour/spectrum'
import { bytesOfHex } from '../colour/srgb'
import { finiteAll } from '../check'
import { seededRandom } from '../seeded-random'
import type { PhotoBytes } from './pixels'

/** A colour of a finish and how much of it shows. */
export interface SharedSurface {
  readonly sharePercent: number
  readonly reflectance: Reflectance
}

const [WIDTH, HEIGHT] = [256, 192] as const
// As broad as the flecks of a stone are on a swatch of it.
const BLOT_PX = 13

/** Smooth noise over the surface: random values on a grid, blended between them, and once more at a finer one. */
function noise(random: () => number): Float64Array {
  const field = new Float64Array(WIDTH * HEIGHT)
  for (const [size, weight] of [
    [BLOT_PX, 1],
    [BLOT_PX / 2.6, 0.45],
  ] as const) {
    const columns = Math.ceil(WIDTH / size) + 2
    const grid = Array.from({ length: columns * (Math.ceil(HEIGHT / size) + 2) }, random)
    const ease = (t: number): number => t * t * (3 - 2 * t)
    for (let y = 0; y < HEIGHT; y++)
      for (let x = 0; x < WIDTH; x++) {
        const [i, j] = [Math.floor(x / size), Math.floor(y / size)]
        const [s, t] = [ease(x / size - i), ease(y / size - j)]
        const at = (di: number, dj: number): number => grid[(j + dj) * columns + i + di]!
        field[y * WIDTH + x]! +=
          weight *
          ((at(0, 0) * (1 - s) + at(1, 0) * s) * (1 - t) + (at(0, 1) * (1 - s) + at(1, 1) * s) * t)
      }
  }
  return field
}

/**
 * A surface with the colours of a finish in their shares, for a finish that no photo shows: the least colours lie as blots
 * in the largest. It is the same in every run.
 *
 * @param seed which surface of that kind
 * @returns for each pixel the place of its colour
 */
export function blotsOf(sharesPercent: readonly number[], seed: number): Uint8Array {
  finiteAll(sharesPercent, 'shares')
  const total = sharesPercent.reduce((sum, share) => sum + share, 0)
  if (!(total > 0) || sharesPercent.some((share) => share < 0))
    throw new RangeError(`shares must be above 0 together, got ${sharesPercent.join(', ')}`)
  const largestFirst = sharesPercent
    .map((share, place) => ({ share, place }))
    .sort((p, q) => q.share - p.share)
  const ground = largestFirst[0]!.place
  const surface = new Uint8Array(WIDTH * HEIGHT).fill(ground)
  const random = seededRandom(seed)
  for (const { share, place } of largestFirst.slice(1).toReversed()) {
    const field = noise(random)
    // Where the noise is highest, over as much of the ground as it has a share of the whole.
    const free = field.filter((_, pixel) => surface[pixel] === ground).sort()
    const wanted = Math.round((share / total) * surface.length)
    const from = free[free.length - wanted] ?? Infinity
    for (let pixel = 0; pixel < surface.length; pixel++)
      if (surface[pixel] === ground && field[pixel]! >= from) surface[pixel] = place
  }
  return surface
}

/** The same in a light: each of its colours lit and seen as every swatch is. */
export function believableSurface(
  colours: readonly SharedSurface[],
  seed: number,
): (light: PreparedLight) => PhotoBytes {
  const places = blotsOf(
    colours.map(({ sharePercent }) => sharePercent),
    seed,
  )
  return (light) => {
    const seen = colours.map(({ reflectance }) => bytesOfHex(screenColour(light, reflectance).hex))
    const bytes = new Uint8ClampedArray(4 * places.length).fill(255)
    places.forEach((place, pixel) => bytes.set(seen[place]!, 4 * pixel))
    return { bytes, width: WIDTH, height: HEIGHT }
  }
}
