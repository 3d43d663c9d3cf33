import { appearanceOfXyz, WHITE_CARD, type PreparedLight } from '../colour/appearance'
import { xyzUnder } from '../colour/observer'
import type { Reflectance, Xyz } from '../colour/spectrum'

/** A surface as the white card shows it in one light; CAM16-UCS units. */
export interface Undertone {
  /** Lightness J′. */
  readonly j: number
  /** Lean away from the grey of the same luminance. */
  readonly a: number
  readonly b: number
  /** Length of the lean. */
  readonly c: number
  /** Its direction in degrees, 0 red-pink, 90 yellow, 180 green, 270 blue. */
  readonly hueDeg: number
}

/**
 * The lean of a surface against the white card in a light: its appearance less that of the card
 * darkened to the same luminance.
 */
export function undertoneOf(light: PreparedLight, reflectance: Reflectance): Undertone {
  return undertoneOfXyz(light, xyzUnder(light.weights, reflectance))
}

const cards = new WeakMap<PreparedLight, Xyz>()

/** The white card in a light, worked out once a light. */
function cardIn(light: PreparedLight): Xyz {
  const known = cards.get(light)
  if (known) return known
  const card = xyzUnder(light.weights, WHITE_CARD)
  cards.set(light, card)
  return card
}

/** The same of an XYZ that reaches an eye adapted to this light, whatever lights the surface. */
export function undertoneOfXyz(light: PreparedLight, xyz: Xyz): Undertone {
  const card = cardIn(light)
  const share = xyz[1] / card[1]
  const grey = appearanceOfXyz(light, [card[0] * share, card[1] * share, card[2] * share]).ucs
  const [j, aSeen, bSeen] = appearanceOfXyz(light, xyz).ucs
  return leaning(j, aSeen - grey[1], bSeen - grey[2])
}

/** An undertone from its coordinates. */
export const leaning = (j: number, a: number, b: number): Undertone => ({
  j,
  a,
  b,
  c: Math.hypot(a, b),
  hueDeg: hueDegOf(a, b),
})

export const hueDegOf = (a: number, b: number): number =>
  ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360

/** Angle between two directions, 0 to 180. */
export function hueApartDeg(p: number, q: number): number {
  const between = Math.abs(p - q) % 360
  return between > 180 ? 360 - between : between
}

/** How much lightness leaves for colour: pale and near-black hold less than the middle. */
export const roomForColour = (j: number): number => Math.sqrt(Math.max(4, 104 - j))
