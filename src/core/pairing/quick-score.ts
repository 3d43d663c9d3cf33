import { B, between, measureBetween } from './between'
import { CONSTANT, WEIGHTS } from './score'
import type { StaysSide, WallSide } from './sides'
import { TERM_NAMES, type Term } from './terms'
import type { Traits } from './traits'

// The score of a pair in one go, for a ranking that asks for millions: the same sum as `scoreOf(fillTerms(…))`, which says what it
// is made of, with everything folded together that hangs on one side. It takes two thirds of the time (`npm run bench`), and a test
// holds the two to each other.

const P = Object.fromEntries(TERM_NAMES.map((name, at) => [name, at])) as Record<Term, number>

/** A thing that stays with its weights folded in; see {@link foldStays}. */
export type FoldedStays = ReturnType<typeof emptyFolded>

// Halves, so that every place holds a number with a fraction from the beginning.
export const emptyFolded = () => ({
  j: 0.5,
  a: 0.5,
  b: 0.5,
  c: 0.5,
  own: 0.5,
  middling: 0.5,
  strong: 0.5,
  violetGrey: 0.5,
  pinkOrBlue: 0.5,
  blue: 0.5,
  towardPink: 0.5,
  towardGreen: 0.5,
  towardBlue: 0.5,
  greyish: 0.5,
  icy: 0.5,
  neutral: 0.5,
  neutralsQuarrel: 0.5,
  lighter: 0.5,
  quarrel: 0.5,
  strongOpposite: 0.5,
  setOff: 0.5,
  pinker: 0.5,
  bluer: 0.5,
  along: 0.5,
  relative: 0.5,
  noRelief: 0.5,
  carriedOn: 0.5,
  miss: 0.5,
  creamier: 0.5,
  apart: 0.5,
  farApart: 0.5,
  close: 0.5,
})

/** Folds the weights of a pair into what stays, once for any number of walls. */
export function foldStays(
  f: StaysSide,
  is: Traits,
  weights: Float64Array,
  k = emptyFolded(),
): FoldedStays {
  const of = (term: Term): number => weights[P[term]]!
  k.j = f.j
  k.a = f.a
  k.b = f.b
  k.c = f.c
  k.own =
    CONSTANT +
    is.metal * of('small and bright') +
    is.soft * of('can be carried out') +
    f.white * (of('white finish') + is.trim * of('white trim')) +
    f.pink * of('pink finish')
  k.middling = f.middling * of('both middling')
  k.strong = f.strong * of('both strong')
  k.violetGrey = f.green * of('violet grey by green') + f.warmish * of('violet grey by warm')
  k.pinkOrBlue = f.strongOrange * of('pink by orange')
  k.blue = f.strongOrange * of('blue beside orange')
  k.towardPink = f.towardGreen * of('pink by green')
  k.towardGreen = f.wood * of('green by wood')
  k.towardBlue = f.towardBlue * of('both cool')
  k.greyish = f.cream * of('cream beside a grey')
  k.icy = f.warm * of('icy white by a warm deep finish')
  k.neutral = f.yellow * of('neutral by a yellow finish')
  k.neutralsQuarrel = f.neutral * of('neutrals quarrel')
  k.lighter = of('neutral lighter than what stays')
  k.quarrel =
    is.hard * of('quarrel with stone or tile') +
    is.paint * of('quarrel with paintwork') +
    is.carpet * of('quarrel with carpet') +
    is.wood * of('quarrel with a wood floor') +
    is.soft * of('quarrel excused in soft goods')
  k.strongOpposite = of('strong against its opposite')
  k.setOff = of('a colour set off by its opposite')
  k.pinker = of('pinker than what stays')
  k.bluer = of('bluer than what stays')
  k.along = of('shares the lean')
  k.relative = of('quiet relative')
  k.noRelief = (1 - is.paint) * of('no relief')
  k.carriedOn = is.trim * of('the same carried on')
  k.miss = of('near miss') + is.paint * of('near miss with paintwork')
  k.creamier =
    f.light *
    (is.paint * of('ages creamed paintwork') +
      (is.hard + is.carpet) * of('ages creamed stone, tile or carpet'))
  k.apart = of('apart in depth')
  k.farApart = of('far apart in depth')
  k.close = of('same depth')
  return k
}

const own = (term: Term): number => WEIGHTS[P[term]]!

/** What hangs on the wall alone, put where `quickScore` finds it; no rule and no eye changes it. */
export function fillOwn(w: WallSide): void {
  w.own =
    own('wall too strong for its depth') * w.tooStrong +
    own('strong green wall') * w.strongGreen +
    own('strong violet wall') * w.strongViolet +
    own('violet lean') * w.violet +
    own('orange lean') * w.orange +
    own('clear pale wall') * w.clearPale +
    own('pale wall') * w.pale +
    own('drab wall') * w.drab
}

/** Of ten good consultants, how many would say that a pair works. */
export function quickScore(w: WallSide, f: FoldedStays): number {
  measureBetween(w, f)
  const measured = 1 - w.tooStrong
  const bySide =
    w.middling * f.middling +
    w.strong * (f.strong + between[B.opposite]! * f.strongOpposite) +
    w.violetGrey * f.violetGrey +
    w.pinkOrBlue * f.pinkOrBlue +
    w.blue * f.blue +
    w.towardPink * f.towardPink
  const byHue =
    w.towardGreen * f.towardGreen +
    w.towardBlue * f.towardBlue +
    w.greyish * f.greyish +
    w.icy * f.icy +
    w.neutral *
      (f.neutral + between[B.lighter]! * f.lighter + between[B.neutralQuarrel]! * f.neutralsQuarrel)
  const byDepth =
    between[B.apart]! * f.apart +
    between[B.farApart]! * f.farApart +
    between[B.close]! * f.close +
    between[B.quarrel]! * f.quarrel
  const byLean =
    w.colour * measured * between[B.opposite]! * f.setOff +
    between[B.along]! * (1 - w.strong) * f.along +
    between[B.same]! * (between[B.far]! * measured * f.relative + between[B.close]! * f.noRelief)
  const byTurn =
    w.muted * between[B.wide]! * (between[B.pinker]! * f.pinker + between[B.bluer]! * f.bluer)
  const byNearness =
    between[B.carriedOn]! * f.carriedOn +
    between[B.miss]! * f.miss +
    between[B.creamier]! * w.clean * f.creamier
  return w.own + f.own + (bySide + byHue) + (byDepth + byLean) + (byTurn + byNearness)
}
