import { D65_WHITE } from '../colour/illuminant'
import { xyOf } from '../colour/observer'
import type { Xyz } from '../colour/spectrum'
import { hexFromLinearRgb, linearRgbFromXyz } from '../colour/srgb'

export const CONFUSIONS = ['protan', 'deutan', 'tritan'] as const
/** Which kind of cone would be missing where colours along a line are taken for one another. */
export type Confusion = (typeof CONFUSIONS)[number]

/**
 * Where the lines of confusion of each meet, CIE 1931 x and y: of somebody without the cones of long, middle and short
 * waves. Smith and Pokorny, "Spectral sensitivity of the foveal cone photopigments between 400 and 500 nm", Vision
 * Research 15 (1975), 161; tabled in Wyszecki and Stiles, Color Science (1982), table 1(5.14.2).
 */
export const COPUNCTAL: Readonly<Record<Confusion, readonly [x: number, y: number]>> = {
  protan: [0.7465, 0.2535],
  deutan: [1.4, -0.4],
  tritan: [0.1748, 0],
}

const uvOf = (x: number, y: number): readonly [number, number] => {
  const share = -2 * x + 12 * y + 3
  return [(4 * x) / share, (9 * y) / share]
}
const xyOfUv = (u: number, v: number): readonly [number, number] => {
  const share = 6 * u - 16 * v + 12
  return [(9 * u) / share, (4 * v) / share]
}

/**
 * A colour that lies off the grey of daylight along a line of confusion.
 *
 * @param by CIE 1976 u′v′, towards where the lines meet or, below 0, away from it
 * @param yPercent its luminance, 0 to 100
 * @returns XYZ under D65
 */
export function offGrey(confusion: Confusion, by: number, yPercent: number): Xyz {
  const [u, v] = uvOf(...xyOf(D65_WHITE))
  const [toU, toV] = uvOf(...COPUNCTAL[confusion])
  const away = Math.hypot(toU - u, toV - v)
  const [x, y] = xyOfUv(u + (by * (toU - u)) / away, v + (by * (toV - v)) / away)
  return [(yPercent * x) / y, yPercent, (yPercent * (1 - x - y)) / y]
}

/** Whether a screen can show it. */
export const isOnScreen = (xyz: Xyz): boolean =>
  linearRgbFromXyz(xyz).every((channel) => channel >= 0 && channel <= 1)

export const hexOfXyz = (xyz: Xyz): string => hexFromLinearRgb(linearRgbFromXyz(xyz))
