import type { LinearRgb } from '../colour/srgb'
import { seededRandom } from '../seeded-random'

/** Pixels of a photo to find colours in: linear sRGB, three numbers each. */
export type Pixels = Float32Array

export interface PaletteColour {
  readonly rgb: LinearRgb
  /** Share of the pixels, per cent. */
  readonly sharePercent: number
}

const MOST_COLOURS = 16
const ROUNDS = 24
// Clusters nearer than this in Oklab are one colour unless hardly a pixel lies between them; nearer than the second
// they are one whatever lies there. Smaller ones than the share are noise.
const ONE_COLOUR = 0.035
const SURELY_ONE = 0.012
const EMPTY_BETWEEN = 0.04
const LEAST_SHARE_PERCENT = 1
// More pixels than this say nothing new.
const MOST_SAMPLES = 40_000

/**
 * The colours of a photo with their shares: k-means in Oklab from seeds far apart, near clusters merged.
 *
 * @param onRound told the share of the work done, 0 to 1
 * @returns largest share first
 */
export function paletteOf(
  pixels: Pixels,
  onRound: (done: number) => void = () => undefined,
): PaletteColour[] {
  const count = pixels.length / 3
  if (count === 0) return []
  const stride = Math.max(1, Math.floor(count / MOST_SAMPLES))
  const samples: Vec[] = []
  for (let i = 0; i < count; i += stride)
    samples.push(oklab([pixels[i * 3]!, pixels[i * 3 + 1]!, pixels[i * 3 + 2]!]))
  let centres = seeds(samples)
  const member = new Uint8Array(samples.length)
  for (let round = 0; round < ROUNDS; round++) {
    const sums = centres.map(() => [0, 0, 0, 0])
    samples.forEach((sample, i) => {
      const nearest = nearestOf(centres, sample)
      member[i] = nearest
      const sum = sums[nearest]!
      sum[0]! += sample[0]
      sum[1]! += sample[1]
      sum[2]! += sample[2]
      sum[3]!++
    })
    centres = sums.flatMap(([l, a, b, n]): Vec[] => (n! > 0 ? [[l! / n!, a! / n!, b! / n!]] : []))
    onRound((round + 1) / ROUNDS)
  }
  const clusters = centres.map((centre) => ({ centre, members: [] as Vec[] }))
  for (const sample of samples) clusters[nearestOf(centres, sample)]!.members.push(sample)
  return merged(clusters.filter(({ members }) => members.length > 0))
    .map(({ centre, members }) => ({
      rgb: linearOf(centre),
      sharePercent: (100 * members.length) / samples.length,
    }))
    .filter(({ sharePercent }) => sharePercent >= LEAST_SHARE_PERCENT)
    .sort((p, q) => q.sharePercent - p.sharePercent)
}

type Vec = readonly [number, number, number]

/** Each seed as far as can be from those before (k-means++ without its dice but for the first). */
function seeds(samples: readonly Vec[]): Vec[] {
  const random = seededRandom(1)
  const chosen: Vec[] = [samples[Math.floor(random() * samples.length)]!]
  const distances = samples.map((sample) => distance2(sample, chosen[0]!))
  while (chosen.length < Math.min(MOST_COLOURS, samples.length)) {
    const total = distances.reduce((sum, each) => sum + each, 0)
    if (total === 0) break
    let ticket = random() * total
    let at = 0
    while (at < samples.length - 1 && (ticket -= distances[at]!) > 0) at++
    const next = samples[at]!
    chosen.push(next)
    samples.forEach(
      (sample, i) => (distances[i] = Math.min(distances[i]!, distance2(sample, next))),
    )
  }
  return chosen
}

function nearestOf(centres: readonly Vec[], sample: Vec): number {
  let best = 0
  let least = Infinity
  for (let k = 0; k < centres.length; k++) {
    const away = distance2(centres[k]!, sample)
    if (away < least) [best, least] = [k, away]
  }
  return best
}

interface Cluster {
  readonly centre: Vec
  readonly members: readonly Vec[]
}

/** Clusters that are one colour put together, the nearest first. */
function merged(found: readonly Cluster[]): readonly Cluster[] {
  let clusters = found
  for (;;) {
    const pair = clusters
      .flatMap((p, i) =>
        clusters.slice(i + 1).map((q) => ({ p, q, away: distance2(p.centre, q.centre) })),
      )
      .filter(({ away }) => away <= ONE_COLOUR ** 2)
      .sort((x, y) => x.away - y.away)
      .find(({ p, q, away }) => away <= SURELY_ONE ** 2 || !partedByGap(p, q))
    if (!pair) return clusters
    const { p, q } = pair
    const members = [...p.members, ...q.members]
    const centre = [0, 1, 2].map(
      (k) => (p.centre[k]! * p.members.length + q.centre[k]! * q.members.length) / members.length,
    ) as [number, number, number]
    clusters = [...clusters.filter((each) => each !== p && each !== q), { centre, members }]
  }
}

/** Whether hardly a pixel of two clusters lies in the middle third between them: two finishes, not one with a grain. */
function partedByGap(p: Cluster, q: Cluster): boolean {
  const axis = [0, 1, 2].map((k) => q.centre[k]! - p.centre[k]!)
  const length2 = distance2(p.centre, q.centre)
  const between = (cluster: Cluster): number =>
    cluster.members.filter((member) => {
      const t = axis.reduce((sum, step, k) => sum + step * (member[k]! - p.centre[k]!), 0) / length2
      return t > 1 / 3 && t < 2 / 3
    }).length
  const fewer = Math.min(p.members.length, q.members.length)
  return between(p) + between(q) < EMPTY_BETWEEN * fewer
}

const distance2 = (p: Vec, q: Vec): number =>
  (p[0] - q[0]) ** 2 + (p[1] - q[1]) ** 2 + (p[2] - q[2]) ** 2

// Björn Ottosson, "A perceptual color space for image processing" (2020).
function oklab([r, g, b]: LinearRgb): Vec {
  const l = Math.cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b)
  const m = Math.cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b)
  const s = Math.cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b)
  return [
    0.2104542553 * l + 0.793617785 * m - 0.0040720468 * s,
    1.9779984951 * l - 2.428592205 * m + 0.4505937099 * s,
    0.0259040371 * l + 0.7827717662 * m - 0.808675766 * s,
  ]
}

function linearOf([L, a, b]: Vec): LinearRgb {
  const l = (L + 0.3963377774 * a + 0.2158037573 * b) ** 3
  const m = (L - 0.1055613458 * a - 0.0638541728 * b) ** 3
  const s = (L - 0.0894841775 * a - 1.291485548 * b) ** 3
  return [
    4.0767416621 * l - 3.3077115913 * m + 0.2309699292 * s,
    -1.2684380046 * l + 2.6097574011 * m - 0.3413193965 * s,
    -0.0041960863 * l - 0.7034186147 * m + 1.707614701 * s,
  ]
}
