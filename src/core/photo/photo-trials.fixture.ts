import { UCS_VIEWING } from '../colour/appearance'
import { cam16, ucsOf } from '../colour/cam16'
import { ciede2000 } from '../colour/ciede2000'
import { daylightSpectrum } from '../colour/daylight'
import { xyzFromLab, type Lab } from '../colour/lab'
import { ledSpectrum } from '../colour/led'
import { mixLights } from '../colour/mix-lights'
import { planckianSpectrum } from '../colour/planckian'
import type { Spectrum } from '../colour/spectrum'
import { linearRgbFromHex } from '../colour/srgb'
import { labD65 } from '../paint/reading'
import { seededRandom } from '../seeded-random'
import { CARDS, type CardKind } from './card'
import { photoLight } from './photo-light'
import { PHOTOGRAPHED, PHOTOGRAPHED_FINISHES } from './photographed-finishes.fixture'
import { colourOfShown, readablePhoto, type Shown } from './read-photo'
import {
  TEST_CAMERAS,
  TEST_LIGHTS,
  testShot,
  type TestCamera,
  type TestLightName,
} from './test-cameras.fixture'

/** What the consultant says of the light: near it, never the light itself. */
export const SAID: Record<TestLightName, Spectrum> = {
  D65: daylightSpectrum(6300),
  '5000 K': daylightSpectrum(5200),
  'LED 2700 K, Ra 80': ledSpectrum(2700, 80),
  'LED 2700 K, Ra 95': ledSpectrum(2700, 94),
  filament: planckianSpectrum(2700),
  mixed: mixLights([
    { spectrum: daylightSpectrum(6500), illuminanceLux: 55 },
    { spectrum: ledSpectrum(2700, 80), illuminanceLux: 45 },
  ]),
}
export const DAYLIGHTS: readonly TestLightName[] = ['D65', '5000 K']
export const WARM_LEDS: readonly TestLightName[] = ['LED 2700 K, Ra 80', 'LED 2700 K, Ra 95']

const FLAT: Record<CardKind, readonly number[]> = {
  steps: [0.9, 0.18, 0.04],
  'card-and-cloth': [0.9, 0.03],
  card: [0.9],
  paper: [],
}
const MOST_UNEVEN = 0.02

/** One finish of one photo. */
export interface Trial {
  readonly camera: string
  readonly light: TestLightName
  readonly card: CardKind
  readonly truth: Lab
  readonly found: Lab
  /** ΔE00 to the truth; with one white card at the truth's own lightness, for hue and chroma alone. */
  readonly miss: number
  readonly lean: number
  readonly lightness: number
  readonly within: boolean
}

const encodedOf = (bytes: readonly number[]): Shown => bytes.map((v) => v / 255) as unknown as Shown
const linearOf = (shown: Shown) =>
  linearRgbFromHex(
    `#${shown
      .map((v) =>
        Math.round(255 * v)
          .toString(16)
          .padStart(2, '0'),
      )
      .join('')}`,
  )

/** Photographs the twenty-four finishes and reads them; the light on each differs by up to 2 % from that on the card. */
export function photoTrials(
  make: TestCamera,
  light: TestLightName,
  card: CardKind,
  { fixedTo = null as TestLightName | null, said = SAID[light] as Spectrum | null } = {},
): readonly Trial[] {
  const shot = testShot(make, TEST_LIGHTS[light], { fixedTo: fixedTo && TEST_LIGHTS[fixedTo] })
  const shown = FLAT[card].map((share) => encodedOf(shot.of(() => share)))
  const found = photoLight(linearOf(shown[0]!), said)
  const photo = readablePhoto(found, card, shown, MOST_UNEVEN / Math.sqrt(3))
  const random = seededRandom(3)
  return PHOTOGRAPHED.map((finish, i) => {
    const truth = labD65(PHOTOGRAPHED_FINISHES[i]!)
    const uneven = 1 + MOST_UNEVEN * (2 * random() - 1)
    const { lab, uncertainty } = colourOfShown(photo, encodedOf(shot.of(finish, uneven)))
    const [p, q] = [truth, lab].map((each) => ucsOf(cam16(xyzFromLab(each), UCS_VIEWING)))
    const within =
      Math.hypot(p![1] - q![1], p![2] - q![2]) <= uncertainty.lean &&
      Math.abs(p![0] - q![0]) <= uncertainty.lightness
    const alike: Lab = photo.saysLightness ? lab : [truth[0], lab[1], lab[2]]
    return {
      camera: make.name,
      light,
      card,
      truth,
      found: lab,
      miss: ciede2000(truth, alike),
      ...uncertainty,
      within,
    }
  })
}

/** Every camera in every light, or in some, with a kind of card. */
export const allTrials = (
  card: CardKind,
  lights: readonly TestLightName[] = Object.keys(TEST_LIGHTS) as TestLightName[],
): readonly Trial[] =>
  TEST_CAMERAS.flatMap((make) => lights.flatMap((light) => photoTrials(make, light, card)))

/** The value that a share of them does not exceed. */
export function quantile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((p, q) => p - q)
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!
}
export const shareWithin = (trials: readonly Trial[]): number =>
  trials.filter(({ within }) => within).length / trials.length

// A patch is known by its place in the card; a fixture that names another would test nothing.
for (const [kind, flat] of Object.entries(FLAT))
  if (kind !== 'paper' && CARDS[kind as CardKind].patches.length !== flat.length)
    throw new Error(`the fixture has ${flat.length} patches for ${kind}`)
