import Color from 'colorjs.io'
import { environment, toCam16 } from 'colorjs.io/src/spaces/cam16.js'
import type { PreparedLight } from '../../src/core/colour/appearance'
import { D65_WHITE } from '../../src/core/colour/illuminant'
import type { Undertone } from '../../src/core/undertone/undertone'

// The same formulas written plainly on colorjs.io: what the flat core is measured against. CAM16 under
// our viewing conditions is a colour space of the library's own making, as its guide shows, and every
// appearance is a colour object converted to it.

const white = D65_WHITE.map((value) => value / 100) as [number, number, number]
const viewing = environment(white, 20, 20, 'average', true)

type Vector = [number, number, number]

const cam16Space = new Color.Space({
  id: 'elm-cam16',
  name: 'CAM16 as the undertones are compared under',
  coords: { j: { name: 'J' }, m: { name: 'M' }, h: { name: 'h' } },
  base: 'xyz-d65',
  fromBase: (xyz) => {
    const { J, M, h } = toCam16(xyz as Vector, viewing)
    return [J, M, h]
  },
  toBase: () => {
    throw new Error('the way back is not needed')
  },
})
Color.Space.register(cam16Space)

function xyzUnder(weights: readonly number[], reflectance: readonly number[]): Vector {
  return [0, 1, 2].map((channel) =>
    reflectance.reduce((sum, share, band) => sum + share * weights[band * 3 + channel]!, 0),
  ) as Vector
}

const toD65 = (matrix: readonly number[], xyz: Vector): Vector =>
  [0, 1, 2].map((row) =>
    xyz.reduce((sum, value, column) => sum + matrix[row * 3 + column]! * value, 0),
  ) as Vector

function ucs(xyzD65: Vector): Vector {
  const seen = new Color('xyz-d65', xyzD65.map((value) => value / 100) as Vector)
  const [J, M, h] = seen.to(cam16Space).coords as Vector
  const m = Math.log(1 + 0.0228 * M) / 0.0228
  const hue = (h * Math.PI) / 180
  return [(1.7 * J) / (1 + 0.007 * J), m * Math.cos(hue), m * Math.sin(hue)]
}

/** A light whose tables are plain arrays. */
export interface PlainLight {
  readonly weights: readonly number[]
  readonly matrix: readonly number[]
}

export const plainLight = (light: PreparedLight): PlainLight => ({
  weights: [...light.weights],
  matrix: [...light.toD65],
})

export function plainUndertone(light: PlainLight, reflectance: readonly number[]): Undertone {
  const xyz = xyzUnder(light.weights, reflectance)
  const card = xyzUnder(light.weights, new Array<number>(36).fill(0.9))
  const grey = ucs(toD65(light.matrix, card.map((value) => (value * xyz[1]) / card[1]) as Vector))
  const [j, aSeen, bSeen] = ucs(toD65(light.matrix, xyz))
  const [a, b] = [aSeen - grey[1], bSeen - grey[2]]
  const hueDeg = ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360
  return { j, a, b, c: Math.hypot(a, b), hueDeg }
}

/** A swatch on screen, plainly: reflectance × light, adapted, dimmed like the card, in sRGB by the library. */
export function plainScreenHex(light: PreparedLight, reflectance: readonly number[]): string {
  const { weights, matrix } = plainLight(light)
  const xyz = toD65(matrix, xyzUnder(weights, reflectance)).map(
    (value) => (value / 100) * light.exposure,
  ) as Vector
  const srgb = new Color('xyz-d65', xyz).to('srgb').toGamut({ method: 'clip' })
  return srgb.toString({ format: 'hex', collapse: false })
}
