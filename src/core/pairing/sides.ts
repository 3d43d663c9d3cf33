import { atLeastNone, hump, placeIn, shapeAt, step, tabled, WIDTH } from './shapes'

/**
 * The two sides of a pair: where each lies in the light at hand, and every share (0 to 1) that hangs on it alone, so that a
 * ranking works them out once a surface and not once a pair. Numbers are CAM16-UCS: lightness J′ and the lean away from the grey of
 * the same luminance. Filled in place.
 */
interface Placed {
  j: number
  a: number
  b: number
  /** Length of the lean, never quite nothing. */
  c: number
}

/** The wall of a pair. */
export interface WallSide extends Placed {
  /** Points of what hangs on it alone; see `quick-score.ts`. */
  own: number
  tooStrong: number
  strong: number
  strongGreen: number
  strongViolet: number
  violet: number
  orange: number
  clearPale: number
  pale: number
  middling: number
  drab: number
  neutral: number
  muted: number
  colour: number
  violetGrey: number
  pinkOrBlue: number
  blue: number
  towardPink: number
  towardGreen: number
  towardBlue: number
  /** Light enough, and quiet enough, that what is creamier beside it looks aged. */
  clean: number
  greyish: number
  icy: number
}

/** What stays beside it. */
export interface StaysSide extends Placed {
  white: number
  pink: number
  middling: number
  neutral: number
  strong: number
  strongOrange: number
  towardGreen: number
  towardBlue: number
  wood: number
  light: number
  cream: number
  warm: number
  yellow: number
  green: number
  warmish: number
}

// Halves, so that every place holds a number with a fraction from the beginning.
export const emptyWall = (): WallSide => ({
  own: 0.5,
  j: 0.5,
  a: 0.5,
  b: 0.5,
  c: 0.5,
  tooStrong: 0.5,
  strong: 0.5,
  strongGreen: 0.5,
  strongViolet: 0.5,
  violet: 0.5,
  orange: 0.5,
  clearPale: 0.5,
  pale: 0.5,
  middling: 0.5,
  drab: 0.5,
  neutral: 0.5,
  muted: 0.5,
  colour: 0.5,
  violetGrey: 0.5,
  pinkOrBlue: 0.5,
  blue: 0.5,
  towardPink: 0.5,
  towardGreen: 0.5,
  towardBlue: 0.5,
  clean: 0.5,
  greyish: 0.5,
  icy: 0.5,
})

export const emptyStays = (): StaysSide => ({
  j: 0.5,
  a: 0.5,
  b: 0.5,
  c: 0.5,
  white: 0.5,
  pink: 0.5,
  middling: 0.5,
  neutral: 0.5,
  strong: 0.5,
  strongOrange: 0.5,
  towardGreen: 0.5,
  towardBlue: 0.5,
  wood: 0.5,
  light: 0.5,
  cream: 0.5,
  warm: 0.5,
  yellow: 0.5,
  green: 0.5,
  warmish: 0.5,
})

// A lean shorter than about this has no direction to speak of.
const SHORT = 3

interface Hue {
  readonly cos: number
  readonly sin: number
}
const hue = (deg: number): Hue => ({
  cos: Math.cos((deg * Math.PI) / 180),
  sin: Math.sin((deg * Math.PI) / 180),
})
// Directions of the lean: 0 red-pink, 90 yellow, 180 green, 270 blue.
const PINK = hue(15)
const ORANGE = hue(60)
const WOOD = hue(65)
const BEIGE = hue(80)
const CREAM = hue(85)
const YELLOW = hue(88)
const OLIVE = hue(100)
const GREEN = hue(140)
const LEAF = hue(150)
const BLUE = hue(245)
const VIOLET = hue(315)

/** How far the lean at hand goes towards a hue, 0 to 1. */
const along = (of: Placed, { cos, sin }: Hue): number =>
  atLeastNone((of.a * cos + of.b * sin) / (of.c + SHORT), 0.05)

function put(into: Placed, j: number, a: number, b: number): void {
  into.j = j
  into.a = a
  into.b = b
  into.c = Math.sqrt(a * a + b * b + 0.04)
}

// Shapes that hang on a wall’s lean, its lightness, or one axis alone.
const LEAN = tabled(0, 60, 16, [
  (c) => step(c, 5, 1.5),
  (c) => step(c, 9, 1.5),
  (c) => step(c, 19, 2),
  (c) => hump(c - 8, 6),
])
const QUIET = tabled(0, 60, 16, [
  (c) => 1 - step(c, 7, 1.5),
  (c) => step(c, 8, 1.5),
  (c) => 1 - step(c, 12, 2),
  (c) => 1 - step(c, 11, 2),
])
const LIGHTNESS = tabled(0, 108, 4, [
  (j) => 14 + 0.22 * atLeastNone(80 - j, 4),
  (j) => step(j, 74, 3),
  (j) => step(j, 84, 2.5),
  (j) => hump(j - 60, 13),
])
const DEPTH = tabled(0, 108, 4, [
  (j) => step(j, 60, 6),
  (j) => 1 - step(j, 88, 3),
  (j) => step(j, 89, 2),
])
const OVER = tabled(-24, 24, 8, [(over) => step(over, 0, 2)])
const BLUENESS = tabled(-20, 20, 16, [(b) => step(-b, 1, 1), (b) => 1 - step(b, 0, 1)])
const PINKNESS = tabled(-20, 20, 16, [(a) => step(a, 1.5, 1), (pinker) => step(pinker, 2, 1)])
const COLUMN = {
  ...{ leans: 0, clear: 1, strong: 2, drab: 3 },
  ...{ neutral: 0, colour: 1, quiet: 2, calm: 3 },
  ...{ mayLean: 0, light: 1, pale: 2, middling: 3 },
  ...{ notDeep: 0, noWhite: 1, icy: 2 },
  ...{ blue: 0, notWarm: 1, pink: 0, pinker: 1 },
} as const

export function fillWall(w: WallSide, j: number, a: number, b: number): WallSide {
  put(w, j, a, b)
  let place = placeIn(LEAN, w.c)
  const lean = (place | 0) * WIDTH
  const ofLean = place - (place | 0)
  place = placeIn(LIGHTNESS, j)
  const depth = (place | 0) * WIDTH
  const ofDepth = place - (place | 0)
  place = placeIn(BLUENESS, b)
  const blue = (place | 0) * WIDTH
  const ofBlue = place - (place | 0)
  place = placeIn(PINKNESS, a)
  const pink = (place | 0) * WIDTH
  const ofPink = place - (place | 0)
  place = placeIn(PINKNESS, a - 0.5 * b)
  const pinker = (place | 0) * WIDTH
  const ofPinker = place - (place | 0)
  place = placeIn(OVER, w.c - shapeAt(LIGHTNESS.rows, depth + COLUMN.mayLean, ofDepth))
  const leans = shapeAt(LEAN.rows, lean + COLUMN.leans, ofLean)
  const clear = shapeAt(LEAN.rows, lean + COLUMN.clear, ofLean)
  const towardViolet = along(w, VIOLET)
  const leaf = along(w, LEAF)
  const orange = along(w, ORANGE)
  const towardPink = along(w, PINK)
  const towardGreen = along(w, GREEN)
  w.tooStrong = shapeAt(OVER.rows, (place | 0) * WIDTH, place - (place | 0))
  w.strong = shapeAt(LEAN.rows, lean + COLUMN.strong, ofLean)
  w.strongGreen = leaf * leaf * w.strong
  w.violet = towardViolet * towardViolet * leans
  w.strongViolet = towardViolet * towardViolet * w.strong
  w.orange = orange * orange * leans
  w.clearPale = shapeAt(LIGHTNESS.rows, depth + COLUMN.light, ofDepth) * clear
  w.pale = shapeAt(LIGHTNESS.rows, depth + COLUMN.pale, ofDepth)
  w.middling = shapeAt(LIGHTNESS.rows, depth + COLUMN.middling, ofDepth)
  w.drab = w.middling * shapeAt(LEAN.rows, lean + COLUMN.drab, ofLean) * along(w, OLIVE)
  w.neutral = shapeAt(QUIET.rows, lean + COLUMN.neutral, ofLean)
  w.muted = 1 - clear
  w.colour = shapeAt(QUIET.rows, lean + COLUMN.colour, ofLean)
  w.blue = shapeAt(BLUENESS.rows, blue + COLUMN.blue, ofBlue)
  w.violetGrey =
    shapeAt(PINKNESS.rows, pink + COLUMN.pink, ofPink) *
    w.blue *
    shapeAt(QUIET.rows, lean + COLUMN.quiet, ofLean)
  w.pinkOrBlue = shapeAt(PINKNESS.rows, pinker + COLUMN.pinker, ofPinker)
  w.towardPink = towardPink * towardPink
  w.towardGreen = towardGreen * towardGreen
  w.towardBlue = along(w, BLUE)
  w.clean =
    shapeAt(DEPTH.rows, depth + COLUMN.notDeep, ofDepth) *
    shapeAt(QUIET.rows, lean + COLUMN.calm, ofLean)
  w.greyish =
    w.neutral * shapeAt(DEPTH.rows, depth + COLUMN.noWhite, ofDepth) * (1 - along(w, BEIGE))
  w.icy =
    shapeAt(DEPTH.rows, depth + COLUMN.icy, ofDepth) *
    shapeAt(BLUENESS.rows, blue + COLUMN.notWarm, ofBlue)
  return w
}

// What stays is filled once for all walls of a ranking: plainly.
export function fillStays(f: StaysSide, j: number, a: number, b: number): StaysSide {
  put(f, j, a, b)
  const { c } = f
  f.white = step(j, 90, 1.5)
  f.pink = step(a - 0.6 * b, 1, 1) * step(c, 4, 1.2)
  f.middling = hump(j - 60, 13)
  f.neutral = 1 - step(c, 7, 1.5)
  f.strong = step(c, 18, 2)
  f.strongOrange = step(c, 17, 2) * along(f, ORANGE) ** 2
  f.towardGreen = along(f, GREEN) ** 2
  f.towardBlue = along(f, BLUE)
  f.wood = along(f, WOOD) * step(c, 8, 1.5)
  f.light = step(j, 80, 4)
  f.cream = step(j, 82, 3) * step(c, 6, 1.5) * along(f, CREAM)
  f.warm = step(b, 8, 2)
  f.yellow = step(c, 9, 2) * along(f, YELLOW) ** 4
  f.green = step(-a, 2, 1)
  f.warmish = step(b, 7, 2)
  return f
}
