import { finite, finiteAll } from '../check'
import { linearRgbFromOklab, oklab, type Oklab } from '../colour/oklab'
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
 * @param grain how far pixels of one colour lie apart by grain alone, Oklab
 * @param onRound told the share of the work done, 0 to 1
 * @returns largest share first
 */
export function paletteOf(
  pixels: Pixels,
  grain = 0,
  onRound: (done: number) => void = () => undefined,
): PaletteColour[] {
  finiteAll(pixels, 'pixels')
  finite(grain, 'grain')
  const count = pixels.length / 3
  if (count === 0) return []
  const stride = Math.max(1, Math.floor(count / MOST_SAMPLES))
  const samples: Oklab[] = []
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
    centres = sums.flatMap(([l, a, b, n]): Oklab[] => (n! > 0 ? [[l! / n!, a! / n!, b! / n!]] : []))
    onRound((round + 1) / ROUNDS)
  }
  const clusters = centres.map((centre) => ({ centre, members: [] as Oklab[] }))
  for (const sample of samples) clusters[nearestOf(centres, sample)]!.members.push(sample)
  return merged(
    clusters.filter(({ members }) => members.length > 0),
    { surelyOne: Math.max(SURELY_ONE, 3 * grain), oneColour: Math.max(ONE_COLOUR, 7 * grain) },
  )
    .map(({ centre, members }) => ({
      rgb: linearRgbFromOklab(centre),
      sharePercent: (100 * members.length) / samples.length,
    }))
    .filter(({ sharePercent }) => sharePercent >= LEAST_SHARE_PERCENT)
    .sort((p, q) => q.sharePercent - p.sharePercent)
}

/** Each seed as far as can be from those before (k-means++ without its dice but for the first). */
function seeds(samples: readonly Oklab[]): Oklab[] {
  const random = seededRandom(1)
  const chosen: Oklab[] = [samples[Math.floor(random() * samples.length)]!]
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

function nearestOf(centres: readonly Oklab[], sample: Oklab): number {
  let best = 0
  let least = Infinity
  for (let k = 0; k < centres.length; k++) {
    const away = distance2(centres[k]!, sample)
    if (away < least) [best, least] = [k, away]
  }
  return best
}

interface Cluster {
  readonly centre: Oklab
  readonly members: readonly Oklab[]
}

/** Clusters that are one colour put together, the nearest first. */
function merged(
  found: readonly Cluster[],
  { surelyOne, oneColour }: { readonly surelyOne: number; readonly oneColour: number },
): readonly Cluster[] {
  let clusters = found
  for (;;) {
    const pair = clusters
      .flatMap((p, i) =>
        clusters.slice(i + 1).map((q) => ({ p, q, away: distance2(p.centre, q.centre) })),
      )
      .filter(({ away }) => away <= oneColour ** 2)
      .sort((x, y) => x.away - y.away)
      .find(({ p, q, away }) => away <= surelyOne ** 2 || !partedByGap(p, q))
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

const distance2 = (p: Oklab, q: Oklab): number =>
  (p[0] - q[0]) ** 2 + (p[1] - q[1]) ** 2 + (p[2] - q[2]) ** 2
