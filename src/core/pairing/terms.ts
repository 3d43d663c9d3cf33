import { B, between, measureBetween } from './between'
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
  measureBetween(w, f)
  const creamier = between[B.creamier]! * w.clean * f.light
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
  into[at++] = between[B.apart]!
  into[at++] = between[B.farApart]!
  into[at++] = between[B.close]!
  into[at++] = w.middling * f.middling
  into[at++] = w.neutral * between[B.lighter]!
  into[at++] = w.neutral * f.neutral * between[B.neutralQuarrel]!
  into[at++] = is.hard * between[B.quarrel]!
  into[at++] = is.paint * between[B.quarrel]!
  into[at++] = is.carpet * between[B.quarrel]!
  into[at++] = is.wood * between[B.quarrel]!
  into[at++] = is.soft * between[B.quarrel]!
  into[at++] = w.strong * between[B.opposite]!
  into[at++] = w.strong * f.strong
  into[at++] = w.muted * between[B.pinker]! * between[B.wide]!
  into[at++] = w.muted * between[B.bluer]! * between[B.wide]!
  into[at++] = w.violetGrey * f.green
  into[at++] = w.violetGrey * f.warmish
  into[at++] = f.strongOrange * w.pinkOrBlue
  into[at++] = f.strongOrange * w.blue
  into[at++] = w.towardPink * f.towardGreen
  into[at++] = w.colour * measured * between[B.opposite]!
  into[at++] = w.towardGreen * f.wood
  into[at++] = w.towardBlue * f.towardBlue
  into[at++] = between[B.along]! * (1 - w.strong)
  into[at++] = between[B.same]! * between[B.far]! * measured
  into[at++] = is.trim * between[B.carriedOn]!
  into[at++] = (1 - is.paint) * between[B.same]! * between[B.close]!
  into[at++] = between[B.miss]!
  into[at++] = is.paint * between[B.miss]!
  into[at++] = is.paint * creamier
  into[at++] = (is.hard + is.carpet) * creamier
  into[at++] = f.cream * w.greyish
  into[at++] = w.icy * f.warm
  into[at++] = f.yellow * w.neutral
}
