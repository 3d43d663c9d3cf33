import { hump, placeIn, shapeAt, step, tabled, WIDTH } from './shapes'
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

// Up to one and a half at sixty units apart, with no corner.
function depthApart(ad: number): number {
  const over = 60 - ad
  return (60 - (over + Math.sqrt(over * over + 16)) / 2) / 40
}

// Shapes that hang on one number each.
const byDepth = (of: (ad: number) => number) => (dj: number) => of(Math.sqrt(dj * dj + 4) - 2)
export const OF_DEPTH = tabled(-110, 110, 4, [
  (dj) => hump(dj, 16),
  (dj) => hump(dj, 24),
  (dj) => hump(dj, 9),
  (dj) => step(dj, 10, 3),
])
export const OF_APART = tabled(-110, 110, 4, [
  byDepth(depthApart),
  byDepth((ad) => step(ad, 45, 6)),
  byDepth((ad) => step(ad, 20, 4)),
])
export const OF_DOT = tabled(-1, 1, 128, [
  (dot) => step(dot, 0.72, 0.08),
  (dot) => step(-dot, 0.45, 0.12),
  (dot) => (dot + Math.sqrt(dot * dot + 0.01)) / 2,
])
export const OF_YELLOW = tabled(-40, 40, 8, [(db) => step(-db, 4, 1.5), (db) => step(-db, 7, 1.5)])
export const OF_PINK = tabled(-30, 30, 8, [(pink) => step(pink, 2.5, 1)])
export const OF_DISTANCE = tabled(0, 48, 16, [(e) => hump(e - 6, 4.5), (e) => hump(e - 1, 1.5)])

/** Which column of its table each shape is. */
export const SHAPE = {
  ...{ near: 0, wide: 1, close: 2, lighter: 3 },
  ...{ apart: 0, farApart: 1, far: 2 },
  ...{ same: 0, opposite: 1, along: 2 },
  ...{ creamier: 0, bluer: 1 },
  ...{ miss: 0, carriedOn: 1 },
} as const

/**
 * How much of each term a pair has, in the order of `TERM_NAMES`. Nothing is allocated.
 *
 * @param into as many places as there are terms
 */
export function fillTerms(w: WallSide, f: StaysSide, is: Traits, into: Float64Array): void {
  const dj = w.j - f.j
  const da = w.a - f.a
  const db = w.b - f.b
  const d2 = da * da + db * db
  let place = placeIn(OF_DEPTH, dj)
  const depth = (place | 0) * WIDTH
  const ofDepth = place - (place | 0)
  place = placeIn(OF_DOT, (w.a * f.a + w.b * f.b) / ((w.c + 2) * (f.c + 2)))
  const dot = (place | 0) * WIDTH
  const ofDot = place - (place | 0)
  place = placeIn(OF_YELLOW, db)
  const yellow = (place | 0) * WIDTH
  const ofYellow = place - (place | 0)
  place = placeIn(OF_PINK, da - 0.3 * db)
  const pink = (place | 0) * WIDTH
  const ofPink = place - (place | 0)
  place = placeIn(OF_DISTANCE, Math.sqrt(dj * dj + d2 + 1))
  const distance = (place | 0) * WIDTH
  const ofDistance = place - (place | 0)
  const lengths = w.c - f.c
  // The chord of the hues, damped where one lean is short.
  const turned = d2 - lengths * lengths
  const q =
    ((Math.sqrt((turned > 0 ? turned : 0) + 1) - 1) * 2 * Math.sqrt(w.c * f.c + 1)) /
    (w.c + f.c + 2)
  const wide = shapeAt(OF_DEPTH.rows, depth + SHAPE.wide, ofDepth)
  const close = shapeAt(OF_DEPTH.rows, depth + SHAPE.close, ofDepth)
  const same = shapeAt(OF_DOT.rows, dot + SHAPE.same, ofDot)
  const opposite = shapeAt(OF_DOT.rows, dot + SHAPE.opposite, ofDot)
  const miss = shapeAt(OF_DISTANCE.rows, distance + SHAPE.miss, ofDistance)
  const quarrel = (shapeAt(OF_DEPTH.rows, depth + SHAPE.near, ofDepth) * q) / (q + 6)
  const creamier = shapeAt(OF_YELLOW.rows, yellow + SHAPE.creamier, ofYellow) * w.clean * f.light
  const measured = 1 - w.tooStrong
  into[0] = w.tooStrong
  into[1] = w.strongGreen
  into[2] = w.strongViolet
  into[3] = w.violet
  into[4] = w.orange
  into[5] = w.clearPale
  into[6] = w.pale
  into[7] = w.drab
  into[8] = is.metal
  into[9] = is.soft
  into[10] = f.white
  into[11] = is.trim * f.white
  into[12] = f.pink
  into[13] = shapeAt(OF_APART.rows, depth + SHAPE.apart, ofDepth)
  into[14] = shapeAt(OF_APART.rows, depth + SHAPE.farApart, ofDepth)
  into[15] = close
  into[16] = w.middling * f.middling
  into[17] = w.neutral * shapeAt(OF_DEPTH.rows, depth + SHAPE.lighter, ofDepth)
  into[18] = (w.neutral * f.neutral * q) / (q + 4)
  into[19] = is.hard * quarrel
  into[20] = is.paint * quarrel
  into[21] = is.carpet * quarrel
  into[22] = is.wood * quarrel
  into[23] = is.soft * quarrel
  into[24] = w.strong * opposite
  into[25] = w.strong * f.strong
  into[26] = w.muted * shapeAt(OF_PINK.rows, pink, ofPink) * wide
  into[27] = w.muted * shapeAt(OF_YELLOW.rows, yellow + SHAPE.bluer, ofYellow) * wide
  into[28] = w.violetGrey * f.green
  into[29] = w.violetGrey * f.warmish
  into[30] = f.strongOrange * w.pinkOrBlue
  into[31] = f.strongOrange * w.blue
  into[32] = w.towardPink * f.towardGreen
  into[33] = w.colour * measured * opposite
  into[34] = w.towardGreen * f.wood
  into[35] = w.towardBlue * f.towardBlue
  into[36] = shapeAt(OF_DOT.rows, dot + SHAPE.along, ofDot) * (1 - w.strong)
  into[37] = same * shapeAt(OF_APART.rows, depth + SHAPE.far, ofDepth) * measured
  into[38] = is.trim * shapeAt(OF_DISTANCE.rows, distance + SHAPE.carriedOn, ofDistance)
  into[39] = (1 - is.paint) * same * close
  into[40] = miss
  into[41] = is.paint * miss
  into[42] = is.paint * creamier
  into[43] = (is.hard + is.carpet) * creamier
  into[44] = f.cream * w.greyish
  into[45] = w.icy * f.warm
  into[46] = f.yellow * w.neutral
}
