import { hump, placeIn, shapeAt, step, tabled, WIDTH } from './shapes'

/** Where a colour of a pair lies, and the length of its lean. */
interface Place {
  readonly j: number
  readonly a: number
  readonly b: number
  readonly c: number
}

/** What lies between a wall and what stays, as shares of 0 to 1, by its place in `between`. */
export const B = {
  // By how far apart they are in lightness; `lighter`: the wall is; `apart` goes up to one and a half.
  near: 0,
  wide: 1,
  close: 2,
  lighter: 3,
  apart: 4,
  farApart: 5,
  far: 6,
  // By their hues; `along`: how far the leans go one way.
  same: 7,
  opposite: 8,
  along: 9,
  // The chord of the hues, damped where one lean is short, over what it takes to quarrel; two neutrals quarrel sooner.
  quarrel: 10,
  neutralQuarrel: 11,
  // The wall is the pinker; what stays is the yellower, by a little and by much.
  pinker: 12,
  creamier: 13,
  bluer: 14,
  // By how near they are as a whole.
  miss: 15,
  carriedOn: 16,
} as const

/**
 * The pair that was measured last. A number that is handed from function to function is put into a box of its own, which costs more
 * than most of the sums: whoever asks for a measure reads it here at once.
 */
export const between = new Float64Array(Object.keys(B).length)

// Up to one and a half at sixty units apart, with no corner.
function depthApart(ad: number): number {
  const over = 60 - ad
  return (60 - (over + Math.sqrt(over * over + 16)) / 2) / 40
}

// Shapes that hang on one number each, by column of their table.
const byDepth = (of: (ad: number) => number) => (dj: number) => of(Math.sqrt(dj * dj + 4) - 2)
const DEPTH = tabled(-110, 110, 4, [
  (dj) => hump(dj, 16),
  (dj) => hump(dj, 24),
  (dj) => hump(dj, 9),
  (dj) => step(dj, 10, 3),
])
const APART = tabled(-110, 110, 4, [
  byDepth(depthApart),
  byDepth((ad) => step(ad, 45, 6)),
  byDepth((ad) => step(ad, 20, 4)),
])
const DOT = tabled(-1, 1, 128, [
  (dot) => step(dot, 0.72, 0.08),
  (dot) => step(-dot, 0.45, 0.12),
  (dot) => (dot + Math.sqrt(dot * dot + 0.01)) / 2,
])
const YELLOW = tabled(-40, 40, 8, [(db) => step(-db, 4, 1.5), (db) => step(-db, 7, 1.5)])
const PINK = tabled(-30, 30, 8, [(pink) => step(pink, 2.5, 1)])
const DISTANCE = tabled(0, 48, 16, [(e) => hump(e - 6, 4.5), (e) => hump(e - 1, 1.5)])

/** Measures a pair, into `between`. Nothing is allocated. */
export function measureBetween(w: Place, f: Place): void {
  const dj = w.j - f.j
  const da = w.a - f.a
  const db = w.b - f.b
  const d2 = da * da + db * db
  let place = placeIn(DEPTH, dj)
  let row = (place | 0) * WIDTH
  let part = place - (place | 0)
  between[B.near] = shapeAt(DEPTH.rows, row, part)
  between[B.wide] = shapeAt(DEPTH.rows, row + 1, part)
  between[B.close] = shapeAt(DEPTH.rows, row + 2, part)
  between[B.lighter] = shapeAt(DEPTH.rows, row + 3, part)
  between[B.apart] = shapeAt(APART.rows, row, part)
  between[B.farApart] = shapeAt(APART.rows, row + 1, part)
  between[B.far] = shapeAt(APART.rows, row + 2, part)
  place = placeIn(DOT, (w.a * f.a + w.b * f.b) / ((w.c + 2) * (f.c + 2)))
  row = (place | 0) * WIDTH
  part = place - (place | 0)
  between[B.same] = shapeAt(DOT.rows, row, part)
  between[B.opposite] = shapeAt(DOT.rows, row + 1, part)
  between[B.along] = shapeAt(DOT.rows, row + 2, part)
  place = placeIn(YELLOW, db)
  row = (place | 0) * WIDTH
  part = place - (place | 0)
  between[B.creamier] = shapeAt(YELLOW.rows, row, part)
  between[B.bluer] = shapeAt(YELLOW.rows, row + 1, part)
  place = placeIn(PINK, da - 0.3 * db)
  between[B.pinker] = shapeAt(PINK.rows, (place | 0) * WIDTH, place - (place | 0))
  place = placeIn(DISTANCE, Math.sqrt(dj * dj + d2 + 1))
  row = (place | 0) * WIDTH
  part = place - (place | 0)
  between[B.miss] = shapeAt(DISTANCE.rows, row, part)
  between[B.carriedOn] = shapeAt(DISTANCE.rows, row + 1, part)
  const lengths = w.c - f.c
  const turned = d2 - lengths * lengths
  const q =
    ((Math.sqrt((turned > 0 ? turned : 0) + 1) - 1) * 2 * Math.sqrt(w.c * f.c + 1)) /
    (w.c + f.c + 2)
  between[B.quarrel] = (between[B.near]! * q) / (q + 6)
  between[B.neutralQuarrel] = q / (q + 4)
}
