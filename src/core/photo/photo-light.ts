import { finiteAll } from '../check'
import { colourTemperature } from '../colour/cct'
import { daylightSpectrum } from '../colour/daylight'
import { ledSpectrum } from '../colour/led'
import { mixLights } from '../colour/mix-lights'
import { xyzOfSpectrum } from '../colour/observer'
import { planckianSpectrum } from '../colour/planckian'
import type { Spectrum } from '../colour/spectrum'
import { xyzFromLinearRgb, type LinearRgb } from '../colour/srgb'
import { CardError } from './card'

/** How a camera left the light in a photo: it took its colour out, left it in, or took out a part. */
export type Balance = 'balanced' | 'as the light fell' | 'partly balanced'

/** The light of a photo, from what is known of it and how the white card looks in the picture. */
export interface PhotoLight {
  readonly balance: Balance
  /** The light that is known; null where nothing is. */
  readonly known: { readonly cctK: number } | null
  /** What the card's own colour in the picture would say of the light, had the camera not balanced, kelvin. */
  readonly shownK: number
  /** The card looks as it cannot in the known light, whatever the balance. */
  readonly contradicts: boolean
  /** The light, or where it is not known the lights it may have been. */
  readonly lights: readonly Spectrum[]
}

// sRGB's white is what a balanced card shows.
const NEUTRAL_MIRED = 1e6 / 6504
// A camera that means to balance ends within this of neutral, and of the light one that does not: a sixth off in red
// over blue is about 45 mired.
const BALANCE_MIRED = 50
// Further off the locus than this no lamp and no sky is, and no balance leaves it.
const FARTHEST_DUV = 0.03

/**
 * @param whiteShown mean linear sRGB of the card's white in the picture
 * @param known the light it was taken in, 81 values; null where that is not known
 * @throws CardError for what no white looks like
 */
export function photoLight(whiteShown: LinearRgb, known: Spectrum | null): PhotoLight {
  finiteAll(whiteShown, 'the white as it is shown')
  if (known) finiteAll(known, 'a light')
  const { cctK: shownK, duv } = colourTemperature(xyzFromLinearRgb(whiteShown))
  if (!(Math.abs(duv) <= FARTHEST_DUV))
    throw new CardError('That is no white card: no light makes white look so. Tap the card itself.')
  const warmth = 1e6 / shownK - NEUTRAL_MIRED
  const neutral = Math.abs(warmth) < BALANCE_MIRED
  if (!known)
    return {
      balance: neutral ? 'balanced' : 'as the light fell',
      known: null,
      shownK,
      contradicts: false,
      lights: neutral ? anyLight() : lightsOf(shownK),
    }
  const { cctK } = colourTemperature(xyzOfSpectrum(known))
  const full = 1e6 / cctK - NEUTRAL_MIRED
  const [least, most] = [Math.min(0, full) - BALANCE_MIRED, Math.max(0, full) + BALANCE_MIRED]
  return {
    balance: neutral
      ? 'balanced'
      : Math.abs(warmth - full) < BALANCE_MIRED
        ? 'as the light fell'
        : 'partly balanced',
    known: { cctK },
    shownK,
    contradicts: warmth < least || warmth > most,
    lights: [known],
  }
}

// Houses by day and by night, common practice: mostly windows, else warm lamps, or both.
const anyLight = (): readonly Spectrum[] => [
  daylightSpectrum(5000),
  daylightSpectrum(5700),
  daylightSpectrum(6500),
  daylightSpectrum(7500),
  ledSpectrum(2700, 83),
  ledSpectrum(3000, 88),
  planckianSpectrum(2750),
  mixLights([
    { spectrum: daylightSpectrum(6000), illuminanceLux: 1 },
    { spectrum: ledSpectrum(2700, 83), illuminanceLux: 1 },
  ]),
]

const LAMPS_BELOW_K = 3600
const DAYLIGHT_FROM_K = 4600

/** Lights of a colour temperature: lamps of several makes where it is warm, daylight where it is not. */
function lightsOf(cctK: number): readonly Spectrum[] {
  const lamp = Math.min(6500, Math.max(2200, cctK))
  const leds = [ledSpectrum(lamp, 80), ledSpectrum(lamp, 90)]
  if (cctK < LAMPS_BELOW_K) return [...leds, planckianSpectrum(Math.max(1500, cctK))]
  const daylight = daylightSpectrum(Math.min(25_000, Math.max(4000, cctK)))
  return cctK < DAYLIGHT_FROM_K ? [...leds, daylight] : [daylight]
}
