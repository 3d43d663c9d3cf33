import { hump, step } from './shapes'
import type { StaysSide, WallSide } from './sides'
import type { Traits } from './traits'

/**
 * The terms of a judgement, each with what it does to a score: for the pair (1) or against it (−1). The fit holds to these signs, so
 * that a term means what it is called.
 */
export const TERMS = {
  'wall too strong for its depth': -1,
  'strong green wall': -1,
  'strong violet wall': -1,
  'violet lean': -1,
  'orange lean': -1,
  'clear pale wall': -1,
  'pale wall': 1,
  'drab wall': -1,
  'small and bright': 1,
  'can be carried out': 1,
  'white finish': 1,
  'white trim': 1,
  'pink finish': -1,
  'apart in depth': 1,
  'far apart in depth': 1,
  'same depth': -1,
  'both middling': -1,
  'neutral lighter than what stays': 1,
  'neutrals quarrel': -1,
  'quarrel with stone or tile': -1,
  'quarrel with paintwork': -1,
  'quarrel with carpet': -1,
  'quarrel with a wood floor': -1,
  'quarrel excused in soft goods': 1,
  'strong against its opposite': -1,
  'both strong': -1,
  'pinker than what stays': -1,
  'bluer than what stays': -1,
  'violet grey by green': -1,
  'violet grey by warm': -1,
  'pink by orange': -1,
  'blue beside orange': 1,
  'pink by green': -1,
  'a colour set off by its opposite': 1,
  'green by wood': 1,
  'both cool': 1,
  'shares the lean': 1,
  'quiet relative': 1,
  'the same carried on': 1,
  'no relief': -1,
  'near miss': -1,
  'near miss with paintwork': -1,
  'ages creamed paintwork': -1,
  'ages creamed stone, tile or carpet': -1,
  'cream beside a grey': -1,
  'icy white by a warm deep finish': -1,
  'neutral by a yellow finish': -1,
} as const satisfies Record<string, 1 | -1>
export type Term = keyof typeof TERMS
export const TERM_NAMES = Object.keys(TERMS) as Term[]

/**
 * How much of each term a pair has, in the order of `TERM_NAMES`. Nothing is allocated.
 *
 * @param into as many places as there are terms
 */
export function fillTerms(w: WallSide, f: StaysSide, is: Traits, into: Float64Array): void {
  const dj = w.j - f.j
  const ad = Math.sqrt(dj * dj + 4) - 2
  const [da, db] = [w.a - f.a, w.b - f.b]
  const d2 = da * da + db * db
  const e = Math.sqrt(dj * dj + d2 + 1)
  const dot = (w.a * f.a + w.b * f.b) / ((w.c + 2) * (f.c + 2))
  const same = step(dot, 0.72, 0.08)
  const opposite = step(-dot, 0.45, 0.12)
  const near = hump(dj, 16)
  const wide = hump(dj, 24)
  const lengths = w.c - f.c
  // The chord of the hues, damped where one lean is short.
  const q =
    ((Math.sqrt(Math.max(0, d2 - lengths * lengths) + 1) - 1) * 2 * Math.sqrt(w.c * f.c + 1)) /
    (w.c + f.c + 2)
  const quarrel = (near * q) / (q + 6)
  const miss = hump(e - 6, 4.5)
  const creamier = step(-db, 4, 1.5) * w.clean * f.light
  const measured = 1 - w.tooStrong
  let at = 0
  into[at++] = w.tooStrong
  into[at++] = w.strongGreen
  into[at++] = w.strongViolet
  into[at++] = w.violet
  into[at++] = w.orange
  into[at++] = w.clearPale
  into[at++] = w.pale
  into[at++] = w.drab
  into[at++] = is.metal
  into[at++] = is.soft
  into[at++] = f.white
  into[at++] = is.trim * f.white
  into[at++] = f.pink
  into[at++] = depthApart(ad)
  into[at++] = step(ad, 45, 6)
  into[at++] = hump(dj, 9)
  into[at++] = w.middling * f.middling
  into[at++] = w.neutral * step(dj, 10, 3)
  into[at++] = (w.neutral * f.neutral * q) / (q + 4)
  into[at++] = is.hard * quarrel
  into[at++] = is.paint * quarrel
  into[at++] = is.carpet * quarrel
  into[at++] = is.wood * quarrel
  into[at++] = is.soft * quarrel
  into[at++] = w.strong * opposite
  into[at++] = w.strong * f.strong
  into[at++] = w.muted * step(da - 0.3 * db, 2.5, 1) * wide
  into[at++] = w.muted * step(-db, 7, 1.5) * wide
  into[at++] = w.violetGrey * f.green
  into[at++] = w.violetGrey * f.warmish
  into[at++] = f.strongOrange * w.pinkOrBlue
  into[at++] = f.strongOrange * w.blue
  into[at++] = w.towardPink * f.towardGreen
  into[at++] = w.colour * measured * opposite
  into[at++] = w.towardGreen * f.wood
  into[at++] = w.towardBlue * f.towardBlue
  into[at++] = ((dot + Math.sqrt(dot * dot + 0.01)) / 2) * (1 - w.strong)
  into[at++] = same * step(ad, 20, 4) * measured
  into[at++] = is.trim * hump(e - 1, 1.5)
  into[at++] = (1 - is.paint) * same * hump(dj, 9)
  into[at++] = miss
  into[at++] = is.paint * miss
  into[at++] = is.paint * creamier
  into[at++] = (is.hard + is.carpet) * creamier
  into[at++] = f.cream * w.greyish
  into[at++] = w.icy * f.warm
  into[at++] = f.yellow * w.neutral
}

// Beyond this nothing more is gained.
const FULLY_APART = 60

/** Up to one and a half at sixty units apart, with no corner. */
function depthApart(ad: number): number {
  const over = FULLY_APART - ad
  return (FULLY_APART - (over + Math.sqrt(over * over + 16)) / 2) / 40
}
