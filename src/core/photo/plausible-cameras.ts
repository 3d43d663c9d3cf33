import { SPECTRUM_LENGTH, wavelengthNm } from '../colour/spectrum'
import { seededBell, seededRandom } from '../seeded-random'

/**
 * One camera among those that may have taken a photo, and one throw of what else about it is not known. Which camera it
 * was, nobody says; its white balance is done on the sensor's own three channels, before the maker's matrix.
 */
export interface PlausibleCamera {
  /** Red, green and blue, 81 values each, any scale. */
  readonly sensor: readonly [Float64Array, Float64Array, Float64Array]
  /** Whether its maker has found its matrix for every light or for daylight alone. */
  readonly matrixFor: 'the light' | 'daylight'
  /** Chroma that the maker adds. */
  readonly saturation: number
  /** Standard normal numbers for what else is not known; every second camera has those of the one before, the signs turned. */
  readonly thrown: readonly number[]
}

const PAIRS = 64

/** What each thrown number stands for. */
export const THROWN = {
  toneFirst: 0,
  toneSecond: 1,
  unevenness: 2,
  lightTilt: 3,
  lightWaves: 4,
  lightPhases: 6,
} as const
const THROWN_COUNT = 8

// Where camera channels peak, how far their flanks reach on either side, and what leaks; the spread of published
// sensitivities of still cameras and telephones (common practice; no table is at hand).
interface Channel {
  readonly peakNm: readonly [mean: number, spread: number]
  readonly leftNm: readonly [mean: number, spread: number]
  readonly rightNm: readonly [mean: number, spread: number]
}
const CHANNELS: readonly [Channel, Channel, Channel] = [
  { peakNm: [604, 7], leftNm: [28, 7], rightNm: [46, 11] },
  { peakNm: [533, 7], leftNm: [40, 7], rightNm: [46, 8] },
  { peakNm: [458, 6], leftNm: [30, 5], rightNm: [34, 6] },
]
const MOST_CROSSTALK = 0.09
const MOST_INFRARED = 0.06
// Filters cut what eyes do not see: half gone at about these wavelengths.
const CUT_NM = [415, 685] as const
const MOST_SATURATION = 1.1

let cameras: readonly PlausibleCamera[] | undefined

/** Twice `PAIRS` cameras of the usual kind, always the same ones. */
export function plausibleCameras(): readonly PlausibleCamera[] {
  if (cameras) return cameras
  const [random, bell] = [seededRandom(7), seededBell(11)]
  return (cameras = Array.from({ length: PAIRS }, () => {
    const thrown = Array.from({ length: THROWN_COUNT }, bell)
    return [thrown, thrown.map((z) => -z)].map((thrown) => ({
      thrown,
      sensor: CHANNELS.map((channel) => sensitivity(channel, random, bell)) as unknown as [
        Float64Array,
        Float64Array,
        Float64Array,
      ],
      matrixFor: random() < 0.68 ? ('the light' as const) : ('daylight' as const),
      saturation: 1 + (MOST_SATURATION - 1) * random(),
    }))
  }).flat())
}

function sensitivity(
  { peakNm, leftNm, rightNm }: Channel,
  random: () => number,
  bell: () => number,
): Float64Array {
  const about = ([mean, spread]: readonly [number, number]): number => mean + spread * bell()
  const [peak, left, right] = [about(peakNm), about(leftNm), about(rightNm)]
  const crosstalk = MOST_CROSSTALK * random()
  const infrared = MOST_INFRARED * random() ** 2
  const cut = CUT_NM[1] + 12 * bell()
  return Float64Array.from({ length: SPECTRUM_LENGTH }, (_, i) => {
    const nm = wavelengthNm(i)
    const off = (nm - peak) / (nm < peak ? left : right)
    const filter =
      1 / (1 + Math.exp((nm - cut) / 9)) / (1 + Math.exp((CUT_NM[0] - nm) / 7)) + infrared
    return (Math.exp(-0.5 * off * off) + crosstalk) * filter
  })
}
