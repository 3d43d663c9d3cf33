import { ILLUMINANT_D50, ILLUMINANT_D65 } from '../colour/tables/illuminants'
import * as samples from '../colour/tables/test-colour-samples'
import { X_BAR_2, Y_BAR_2, Z_BAR_2 } from '../colour/tables/observers'
import { seededRandom } from '../seeded-random'
import type { Finish } from './photographed-finishes.fixture'

/*
 * Cameras and lights to test the reader with. They share no code, no curve and no matrix with it: published tables (CIE
 * illuminants and observer) are all both know. Sensitivities are drawn by hand, every 20 nm from 380 to 780, after the
 * shapes that are published for cameras (common practice): no camera has just these.
 */

type Triple = readonly [number, number, number]
/** Power by place in the 81 values from 380 to 780 nm. */
export type TestLight = readonly number[]

export const PLACES = Array.from({ length: 81 }, (_, i) => i)
export const nmAt = (i: number): number => 380 + 5 * i

const lognormal = (nm: number, peakNm: number, width: number): number =>
  Math.exp(-((Math.log(nm / peakNm) / width) ** 2))

/** A blue die and a phosphor or two, skewed as they are; not how the core makes its lamps. */
const led = (blueNm: number, blue: number, parts: readonly Triple[]): TestLight =>
  PLACES.map((i) => {
    const nm = nmAt(i)
    const die = blue * Math.exp(-(Math.abs((nm - blueNm) / 13) ** 1.7))
    return (
      die +
      parts.reduce((sum, [peak, width, amount]) => sum + amount * lognormal(nm, peak, width), 0)
    )
  })

const filament: TestLight = PLACES.map((i) => {
  const metres = nmAt(i) * 1e-9
  // Planck's law at 2,750 K, scaled to about 1 at 700 nm.
  return 1e-30 / (metres ** 5 * (Math.exp(0.0143877 / (metres * 2750)) - 1)) / 0.0034
})

const led80 = led(451, 0.494, [
  [611, 0.129, 1],
  [528.6, 0.075, 0.186],
])
const led95 = led(447, 0.451, [
  [651, 0.096, 0.95],
  [576, 0.12, 0.535],
  [520, 0.07, 0.261],
])
export const lux = (light: TestLight): number =>
  light.reduce((sum, power, i) => sum + power * Y_BAR_2[i]!, 0)
const mixed: TestLight = PLACES.map(
  (i) => (0.6 * ILLUMINANT_D65[i]!) / lux(ILLUMINANT_D65) + (0.4 * led80[i]!) / lux(led80),
)

export const TEST_LIGHTS = {
  D65: ILLUMINANT_D65 as TestLight,
  '5000 K': ILLUMINANT_D50 as TestLight,
  'LED 2700 K, Ra 80': led80,
  'LED 2700 K, Ra 95': led95,
  filament,
  mixed,
} as const
export type TestLightName = keyof typeof TEST_LIGHTS

// prettier-ignore
const SKEWED = [
  [0, 1, 3, 4, 3, 2, 3, 5, 8, 16, 55, 92, 100, 86, 62, 40, 16, 3, 0.5, 0, 0],
  [0, 1, 3, 7, 13, 28, 66, 95, 100, 90, 62, 34, 17, 10, 7, 5, 2, 0.5, 0, 0, 0],
  [1, 12, 55, 90, 100, 82, 45, 16, 6, 3, 2, 1.5, 1, 1, 1, 1, 0.5, 0, 0, 0, 0],
] as const
// prettier-ignore
const INFRARED = [
  [0, 1, 2, 2, 2, 2, 3, 6, 11, 20, 62, 100, 95, 78, 56, 36, 22, 14, 9, 6, 4],
  [0, 2, 4, 8, 16, 40, 80, 100, 97, 84, 55, 28, 14, 9, 6, 5, 5, 5, 4, 3, 2],
  [1, 15, 60, 95, 100, 75, 36, 13, 5, 3, 2, 2, 2, 2, 2, 3, 4, 4, 4, 3, 2],
] as const
// prettier-ignore
const NARROW = [
  [0, 0, 1, 1, 1, 1, 2, 3, 5, 12, 45, 90, 100, 82, 50, 22, 6, 1, 0, 0, 0],
  [0, 0, 2, 4, 9, 22, 62, 98, 100, 80, 42, 16, 6, 3, 2, 1, 0, 0, 0, 0, 0],
  [0, 6, 40, 85, 100, 80, 35, 10, 3, 1, 1, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0],
] as const
// prettier-ignore
const BROAD = [
  [0, 2, 5, 6, 5, 4, 5, 8, 14, 30, 70, 98, 100, 88, 70, 48, 22, 6, 1, 0, 0],
  [0, 3, 6, 12, 24, 48, 80, 100, 100, 93, 72, 45, 25, 14, 9, 6, 3, 1, 0, 0, 0],
  [2, 20, 62, 95, 100, 86, 52, 24, 11, 6, 4, 3, 3, 2, 2, 2, 1, 0, 0, 0, 0],
] as const

const sampled = (table: readonly number[], i: number): number => {
  const [left, part] = [Math.floor(i / 4), (i % 4) / 4]
  return table[left]! * (1 - part) + (table[Math.min(20, left + 1)] ?? 0) * part
}

/** How a camera's picture is made of its linear colours, 0 to 1 in and out. */
type Tone = (linear: number) => number
export const gamma: Tone = (x) => (x <= 0.0031308 ? 12.92 * x : 1.055 * x ** (1 / 2.4) - 0.055)
/** The standard curve with a printer's S on it: darks down, lights up. */
export const sCurve =
  (strength: number): Tone =>
  (x) => {
    const v = gamma(x)
    return v - (strength * Math.sin(2 * Math.PI * v)) / (2 * Math.PI)
  }
/** A film's shoulder and toe, a rational curve. */
const filmic: Tone = (x) => {
  const y = x * 1.15
  const shoulder = (y: number): number => (y * (2.51 * y + 0.03)) / (y * (2.43 * y + 0.59) + 0.14)
  return gamma((0.75 * x + 0.25 * (shoulder(y * 0.62) / shoulder(1.15 * 0.62))) ** 1.02)
}

export interface TestCamera {
  readonly name: string
  readonly sensor: readonly (readonly number[])[]
  readonly tone: Tone
  /** Chroma added after the matrix. */
  readonly saturation: number
  /** What the maker's matrix was found under: one light for all, or each light by itself. */
  readonly matrixFor: 'D65' | 'the light'
  /** What its own balance makes of red and blue beside right. */
  readonly balanceOff: readonly [red: number, blue: number]
  /** One standard deviation of a pixel at full light, a share. */
  readonly noise: number
  /** Loss from the middle of the picture to its corner, a share; none where left out. */
  readonly vignetting?: number
}

export const TEST_CAMERAS: readonly TestCamera[] = [
  // prettier-ignore
  { name: 'skewed', sensor: SKEWED, tone: gamma, saturation: 1, matrixFor: 'the light', balanceOff: [1, 1], noise: 0.02 },
  // prettier-ignore
  { name: 'infrared leak', sensor: INFRARED, tone: sCurve(0.12), saturation: 1.05, matrixFor: 'D65', balanceOff: [1, 1], noise: 0.02 },
  // prettier-ignore
  { name: 'S-curve', sensor: NARROW, tone: sCurve(0.3), saturation: 1.1, matrixFor: 'the light', balanceOff: [1.02, 0.98], noise: 0.02 },
  // prettier-ignore
  { name: 'noise and vignetting', sensor: BROAD, tone: filmic, saturation: 1, matrixFor: 'D65', balanceOff: [1, 1], noise: 0.06, vignetting: 0.1 },
  // prettier-ignore
  { name: 'balance 15 % off', sensor: SKEWED, tone: sCurve(0.18), saturation: 1.05, matrixFor: 'the light', balanceOff: [1.15, 0.87], noise: 0.03 },
]

// What makers tune by is a chart of greys, skin, leaves, sky and a few strong colours: the published CIE test colour
// samples with greys and two strong edges.
const CHART: readonly Finish[] = [
  () => 0.9,
  () => 0.36,
  () => 0.09,
  ...Object.values(samples).map(
    (sample): Finish =>
      (nm) =>
        sample[Math.round((nm - 380) / 5)]!,
  ),
  (nm) => 0.05 + 0.6 / (1 + Math.exp(-(nm - 585) / 15)),
  (nm) => 0.05 + 0.65 / (1 + Math.exp(-(nm - 505) / 15)),
]

/** Takes pictures in a light. */
export interface Shot {
  /** Red, green and blue, 0 to 255, the mean of `pixels` of them; unevenness: light on it beside that on the card. */
  readonly of: (finish: Finish, unevenness?: number, pixels?: number) => Triple
}

/**
 * A camera before a scene.
 *
 * @param exposure where a perfect white comes to lie, linear
 * @param fixedTo balanced for this light whatever the room's; left out, for the room's own
 */
export function testShot(
  make: TestCamera,
  light: TestLight,
  { exposure = 0.8, fixedTo = null as TestLight | null, seed = 1 } = {},
): Shot {
  const random = seededRandom(seed)
  const bell = (): number =>
    Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
  const rawOf = (finish: Finish, under: TestLight): number[] =>
    make.sensor.map((table) =>
      PLACES.reduce((sum, i) => sum + under[i]! * sampled(table, i) * finish(nmAt(i)), 0),
    )
  const white: Finish = () => 1
  const balance = rawOf(white, fixedTo ?? light).map(
    (channel, k) => (k === 0 ? make.balanceOff[0] : k === 2 ? make.balanceOff[1] : 1) / channel,
  )
  const matrix = makersMatrix(make, fixedTo ?? light, rawOf)
  const scale = exposure / Math.max(...developed(rawOf(white, light), balance, matrix))
  return {
    of(finish, unevenness = 1, pixels = 100) {
      const raw = rawOf(finish, light)
      const sum = [0, 0, 0]
      for (let n = 0; n < pixels; n++) {
        const noisy = raw.map((value) => {
          const level = value * unevenness * scale
          return level * (1 + make.noise * bell())
        })
        developed(noisy, balance, matrix)
          .map((x, _, all) => {
            const grey = 0.2126 * all[0]! + 0.7152 * all[1]! + 0.0722 * all[2]!
            return grey + make.saturation * (x - grey)
          })
          .forEach((x, k) => {
            sum[k]! += Math.round(255 * make.tone(Math.min(1, Math.max(0, x))))
          })
      }
      return sum.map((each) => each / pixels) as unknown as Triple
    },
  }
}

const developed = (raw: readonly number[], balance: readonly number[], matrix: readonly Triple[]) =>
  matrix.map((row) => row.reduce((sum, m, k) => sum + m * raw[k]! * balance[k]!, 0))

/** Least squares from balanced raw to the sRGB of the chart by daylight; rows that sum to one. */
function makersMatrix(
  make: TestCamera,
  light: TestLight,
  rawOf: (finish: Finish, light: TestLight) => number[],
): readonly Triple[] {
  const under = make.matrixFor === 'D65' ? TEST_LIGHTS.D65 : light
  const white = rawOf(() => 1, under)
  const raws = CHART.map((finish) => rawOf(finish, under).map((value, k) => value / white[k]!))
  const wanted = CHART.map(srgbByDaylight)
  // Rows that sum to one have two free numbers: value − green of each against the differences to green.
  return [0, 1, 2].map((channel): Triple => {
    let [rr, rb, bb, ry, by] = [0, 0, 0, 0, 0]
    raws.forEach(([r, g, b], n) => {
      const [x, z, y] = [r! - g!, b! - g!, wanted[n]![channel]! - g!]
      rr += x * x
      rb += x * z
      bb += z * z
      ry += x * y
      by += z * y
    })
    const det = rr * bb - rb * rb
    const [p, q] = [(ry * bb - by * rb) / det, (by * rr - ry * rb) / det]
    return [p, 1 - p - q, q]
  })
}

// IEC 61966-2-1, from XYZ to linear sRGB.
const SRGB = [
  [3.2406, -1.5372, -0.4986],
  [-0.9689, 1.8758, 0.0415],
  [0.0557, -0.204, 1.057],
] as const

function srgbByDaylight(finish: Finish): number[] {
  const y = lux(ILLUMINANT_D65)
  const xyz = [X_BAR_2, Y_BAR_2, Z_BAR_2].map(
    (bar) => PLACES.reduce((sum, i) => sum + ILLUMINANT_D65[i]! * bar[i]! * finish(nmAt(i)), 0) / y,
  )
  return SRGB.map((row) => row.reduce((sum, m, k) => sum + m * xyz[k]!, 0))
}
