import { prepareLight, screenColour, UCS_VIEWING } from '../colour/appearance'
import { cam16, ucsOf } from '../colour/cam16'
import { ciede2000 } from '../colour/ciede2000'
import { daylightSpectrum } from '../colour/daylight'
import { D65_WHITE } from '../colour/illuminant'
import { labFromXyz, xyzFromLab, type Lab } from '../colour/lab'
import { ledSpectrum } from '../colour/led'
import { mixLights } from '../colour/mix-lights'
import { planckianSpectrum } from '../colour/planckian'
import type { Spectrum } from '../colour/spectrum'
import {
  decode,
  hexFromLinearRgb,
  linearRgbFromHex,
  xyzFromLinearRgb,
  type LinearRgb,
} from '../colour/srgb'
import { labD65 } from '../paint/reading'
import { seededRandom } from '../seeded-random'
import { CARDS, type CardKind } from './card'
import { correctedPicture } from './corrected-picture'
import { KEPT_ASIDE_CAMERAS, KEPT_ASIDE_FINISHES, KEPT_ASIDE_LIGHTS } from './kept-aside.fixture'
import { photoLight } from './photo-light'
import { bandsOf, PHOTOGRAPHED, type Finish } from './photographed-finishes.fixture'
import type { PhotoBytes } from './pixels'
import { colourOfShown, readablePhoto, type ReadablePhoto, type Shown } from './read-photo'
import { relitPatch } from './relit-patch'
import {
  TEST_CAMERAS,
  TEST_LIGHTS,
  testShot,
  type TestCamera,
  type TestLight,
} from './test-cameras.fixture'

/** A light of the tests: what it is, and what the consultant says of it: near it, never the light itself. */
interface TestScene {
  readonly power: TestLight
  readonly said: Spectrum
  readonly kind: 'daylight' | 'warm LED' | 'other'
}

/** Cameras, lights and finishes to try the reader with. */
export interface TrialSet {
  readonly cameras: readonly TestCamera[]
  readonly scenes: Readonly<Record<string, TestScene>>
  readonly finishes: readonly Finish[]
}

const lamplit = (daylightK: number, share: number, lampK: number): Spectrum =>
  mixLights([
    { spectrum: daylightSpectrum(daylightK), illuminanceLux: 100 * share },
    { spectrum: ledSpectrum(lampK, 80), illuminanceLux: 100 * (1 - share) },
  ])
const scene = (power: TestLight, kind: TestScene['kind'], said: Spectrum): TestScene => ({
  power,
  kind,
  said,
})

/** What the reader was tuned by. */
export const LOOKED_AT: TrialSet = {
  cameras: TEST_CAMERAS,
  scenes: {
    D65: scene(TEST_LIGHTS.D65, 'daylight', daylightSpectrum(6300)),
    '5000 K': scene(TEST_LIGHTS['5000 K'], 'daylight', daylightSpectrum(5200)),
    'LED 2700 K, Ra 80': scene(TEST_LIGHTS['LED 2700 K, Ra 80'], 'warm LED', ledSpectrum(2700, 80)),
    'LED 2700 K, Ra 95': scene(TEST_LIGHTS['LED 2700 K, Ra 95'], 'warm LED', ledSpectrum(2700, 94)),
    filament: scene(TEST_LIGHTS.filament, 'other', planckianSpectrum(2700)),
    mixed: scene(TEST_LIGHTS.mixed, 'other', lamplit(6500, 0.55, 2700)),
  },
  finishes: PHOTOGRAPHED,
}

/** What it was not. */
export const KEPT_ASIDE: TrialSet = {
  cameras: KEPT_ASIDE_CAMERAS,
  scenes: {
    D55: scene(KEPT_ASIDE_LIGHTS.D55, 'daylight', daylightSpectrum(5300)),
    'north sky': scene(KEPT_ASIDE_LIGHTS['north sky, 7500 K'], 'daylight', daylightSpectrum(7100)),
    'LED 3000 K, Ra 82': scene(
      KEPT_ASIDE_LIGHTS['LED 3000 K, Ra 82'],
      'warm LED',
      ledSpectrum(3000, 80),
    ),
    'LED 2700 K, Ra 95': scene(
      KEPT_ASIDE_LIGHTS['LED 2700 K, Ra 95, other'],
      'warm LED',
      ledSpectrum(2700, 92),
    ),
    'illuminant A': scene(KEPT_ASIDE_LIGHTS['illuminant A'], 'other', planckianSpectrum(2800)),
    'mostly lamp': scene(KEPT_ASIDE_LIGHTS['mostly lamp'], 'other', lamplit(5500, 0.4, 3000)),
  },
  finishes: KEPT_ASIDE_FINISHES,
}

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
  readonly light: string
  readonly kind: TestScene['kind']
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

/** A photo of the finishes of a set, one pixel each, and how its card lets it be read. */
export function photographed(
  set: TrialSet,
  make: TestCamera,
  light: string,
  card: CardKind,
): { readonly photo: PhotoBytes; readonly readable: ReadablePhoto } {
  const { power, said } = set.scenes[light]!
  const shot = testShot(make, power)
  const shown = FLAT[card].map((share) => encodedOf(shot.of(() => share)))
  const readable = readablePhoto(
    photoLight(linearOf(shown[0]!), said),
    card,
    shown,
    MOST_UNEVEN / Math.sqrt(3),
  )
  const bytes = Uint8ClampedArray.from(
    set.finishes.flatMap((finish) => [...shot.of(finish), 255].map(Math.round)),
  )
  return { photo: { bytes, width: set.finishes.length, height: 1 }, readable }
}

const SEEN_IN = [
  prepareLight(daylightSpectrum(7500), 300),
  prepareLight(daylightSpectrum(4300), 900),
  prepareLight(ledSpectrum(2700, 85), 120),
]

/**
 * How far a patch of each finish, photographed in one light, corrected and relit into three others, lies from what its
 * spectrum is seen as there: ΔE00 of what the screen shows.
 *
 * @param corrected the picture that is relit, another than the corrected one to try what that is worth
 */
export function relitMisses(
  set: TrialSet,
  make: TestCamera,
  light: string,
  corrected?: () => PhotoBytes,
  relighter: typeof relitPatch = relitPatch,
): number[] {
  const { photo, readable } = photographed(set, make, light, 'steps')
  const relit = relighter(corrected ? corrected() : correctedPicture(photo, readable))
  const labOf = (hex: string): Lab => labFromXyz(xyzFromLinearRgb(linearRgbFromHex(hex)), D65_WHITE)
  return SEEN_IN.flatMap((to) => {
    const { bytes } = relit(to)
    return set.finishes.map((finish, i) => {
      const shown = hexFromLinearRgb(
        [...bytes.slice(4 * i, 4 * i + 3)].map((v) => decode(v / 255)) as unknown as LinearRgb,
      )
      return ciede2000(labOf(screenColour(to, bandsOf(finish)).hex), labOf(shown))
    })
  })
}

/** Photographs the finishes of a set and reads them; the light on each differs by up to 2 % from that on the card. */
export function photoTrials(
  set: TrialSet,
  make: TestCamera,
  light: string,
  card: CardKind,
  { fixedTo = null as TestLight | null, said = undefined as Spectrum | null | undefined } = {},
): readonly Trial[] {
  const { power, kind, said: usually } = set.scenes[light]!
  const shot = testShot(make, power, { fixedTo })
  const shown = FLAT[card].map((share) => encodedOf(shot.of(() => share)))
  const found = photoLight(linearOf(shown[0]!), said === undefined ? usually : said)
  const photo = readablePhoto(found, card, shown, MOST_UNEVEN / Math.sqrt(3))
  const random = seededRandom(3)
  return set.finishes.map((finish) => {
    const truth = labD65(bandsOf(finish))
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
      kind,
      card,
      truth,
      found: lab,
      miss: ciede2000(truth, alike),
      ...uncertainty,
      within,
    }
  })
}

/** Every camera of a set in every light, or in those of some kinds, with a kind of card. */
export const allTrials = (
  set: TrialSet,
  card: CardKind,
  kinds: readonly TestScene['kind'][] = ['daylight', 'warm LED', 'other'],
): readonly Trial[] =>
  set.cameras.flatMap((make) =>
    Object.keys(set.scenes)
      .filter((light) => kinds.includes(set.scenes[light]!.kind))
      .flatMap((light) => photoTrials(set, make, light, card)),
  )

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
