import { readFileSync } from 'node:fs'
import Papa from 'papaparse'
import { DEFAULT_HOUSE_RULES } from '../../src/core/advice/house-rules'
import { prepareLight, withDegree, type PreparedLight } from '../../src/core/colour/appearance'
import { daylightSpectrum } from '../../src/core/colour/daylight'
import { ledSpectrum } from '../../src/core/colour/led'
import type { Lab } from '../../src/core/colour/lab'
import { SPECTRUM_LENGTH, type Reflectance, type Spectrum } from '../../src/core/colour/spectrum'
import {
  labD65,
  READING_UNCERTAINTY,
  reflectanceOfReading,
  type ReadingSource,
} from '../../src/core/paint/reading'
import { judgePair } from '../../src/core/pairing/judge-pair'
import type { KeeperKind } from '../../src/core/pairing/keeper-kind'
import { roleOf } from '../../src/core/pairing/role'
import { seededRandom } from '../../src/core/seeded-random'
import { undertoneOf } from '../../src/core/undertone/undertone'
import { DEMO_VISITS } from '../../demo/scenario'

const random = seededRandom(11)
/** Normal deviate (Box and Muller 1958). */
const normal = (): number =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())

/** What an instrument or a camera does to a reading, physically: one more reading of the same surface. */
const READ_AGAIN: Partial<Record<ReadingSource, (surface: Reflectance) => Reflectance>> = {
  // A spectrometer: its white drifts, its bands are noisy, its wavelengths shift.
  spectral: (surface) => {
    const scale = 1 + 0.004 * normal()
    const shift = 0.05 * normal()
    return surface.map((share, band) => {
      const next = surface[Math.min(surface.length - 1, Math.max(0, band + Math.sign(shift)))]!
      return clamped(scale * (share + Math.abs(shift) * (next - share)) + 0.0015 * normal())
    })
  },
  // A reader of numbers: two instruments of a kind differ by about ΔE 0.7 (common practice), and one number hides the spectrum.
  reader: (surface) => throughLab(surface, [0.35, 0.4, 0.45]),
  maker: (surface) => throughLab(surface, [0.5, 0.5, 0.6]),
  // A camera: its exposure and the gains of its channels are its own choice.
  photo: (surface) => {
    const exposure = 1 + 0.07 * normal()
    const [blue, green, red] = [0.065 * normal(), 0.045 * normal(), 0.065 * normal()]
    return surface.map((share, band) => {
      const gain = band < 12 ? blue : band < 21 ? green : red
      return clamped(share * exposure * (1 + gain))
    })
  },
}
const clamped = (share: number): number => Math.min(0.995, Math.max(0.003, share))

function throughLab(surface: Reflectance, spread: readonly [number, number, number]): Reflectance {
  const lab = labD65(surface).map((v, i) => v + spread[i]! * normal()) as unknown as Lab
  try {
    return reflectanceOfReading({ kind: 'lab', lab: [Math.min(99, lab[0]), lab[1], lab[2]] })
  } catch {
    return surface
  }
}

/** Another observer: an older or younger lens, more or less macular pigment, and another degree of adaptation. */
function anotherObserver(spectrum: Spectrum, lux: number): PreparedLight {
  // CIE 203:2012: lenses differ by about a quarter in density, maculae by a third; the filters' shapes are roughly theirs.
  const lens = 0.25 * normal()
  const macula = 0.12 * normal()
  const seen = new Float64Array(SPECTRUM_LENGTH)
  for (let i = 0; i < SPECTRUM_LENGTH; i++) {
    const nm = 380 + 5 * i
    const density =
      lens * Math.exp(-(((nm - 380) / 60) ** 2)) * 1.5 +
      macula * Math.exp(-(((nm - 460) / 30) ** 2))
    seen[i] = spectrum[i]! * 10 ** -density
  }
  const light = prepareLight(seen, lux)
  return withDegree(light, light.degree + 0.035 * normal())
}

const deck = Papa.parse<{ L: string; a: string; b: string }>(
  readFileSync(new URL('../../demo/deck.csv', import.meta.url), 'utf8'),
  { header: true, skipEmptyLines: true },
).data
const PAIRS_EVERY = 23
const DRAWS = 60

/** Mean chance and frequency in ten-point bins, over physical draws of every pair of the demo. */
export function printChances(): void {
  const lights = [
    ['daylight 6,500 K, 600 lx', daylightSpectrum(6504), 600],
    ['LED 2,700 K, 120 lx', ledSpectrum(2700, 82), 120],
  ] as const
  const finishes = DEMO_VISITS.flatMap(({ rooms }) =>
    rooms.flatMap(({ keepers }) =>
      keepers.flatMap(({ kind, colours }) =>
        colours.map(([, , lab]) => ({ kind: kind as KeeperKind, lab: lab as Lab })),
      ),
    ),
  )
  for (const [wallSource, finishSource] of [
    ['spectral', 'spectral'],
    ['maker', 'reader'],
    ['maker', 'photo'],
  ] as const) {
    const bins = Array.from({ length: 10 }, () => ({ chance: 0, works: 0, count: 0 }))
    let judged = 0
    for (const [, spectrum, lux] of lights) {
      const light = prepareLight(spectrum, lux)
      for (const { kind, lab } of finishes) {
        const role = roleOf(kind, DEFAULT_HOUSE_RULES)
        const finish = reflectanceOfReading({ kind: 'lab', lab })
        for (let i = judged % PAIRS_EVERY; i < deck.length; i += PAIRS_EVERY) {
          const { L, a, b } = deck[i]!
          const wall = reflectanceOfReading({ kind: 'lab', lab: [Number(L), Number(a), Number(b)] })
          const { chance } = judgePair(
            { undertone: undertoneOf(light, wall), source: wallSource },
            { undertone: undertoneOf(light, finish), source: finishSource },
            role,
          )
          judged++
          // Few are in the middle: all of those, and one in eight of the sure ones.
          if ((chance < 0.05 || chance > 0.95) && judged % 8 > 0) continue
          let works = 0
          for (let draw = 0; draw < DRAWS; draw++) {
            const eye = anotherObserver(spectrum, lux)
            works += judgePair(
              { undertone: undertoneOf(eye, READ_AGAIN[wallSource]!(wall)), source: wallSource },
              {
                undertone: undertoneOf(eye, READ_AGAIN[finishSource]!(finish)),
                source: finishSource,
              },
              role,
            ).chanceIfExact
          }
          const bin = bins[Math.min(9, Math.floor(10 * chance))]!
          bin.chance += chance
          bin.works += works / DRAWS
          bin.count++
        }
      }
    }
    printSpread(
      finishSource,
      finishes.map(({ lab }) => lab),
    )
    const off = bins.map(({ chance, works, count }) =>
      count >= 40 ? (100 * (works - chance)) / count : NaN,
    )
    console.log(
      `  ${wallSource} wall, ${finishSource} finish: ` +
        bins
          .map(({ chance, works, count }) =>
            count > 0
              ? `${Math.round((100 * chance) / count)}→${Math.round((100 * works) / count)} (${count})`
              : '–',
          )
          .join('  '),
    )
    console.log(
      `    farthest off ${Math.max(...off.filter(Number.isFinite).map(Math.abs)).toFixed(1)} points, in bins of 40 pairs and more`,
    )
  }
}

/** How wide the physical draws of a reading are, beside the uncertainty that is stated for it, so that neither is set by the other. */
function printSpread(source: ReadingSource, labs: readonly Lab[]): void {
  const light = prepareLight(daylightSpectrum(6504), 600)
  let [lean, lightness, count] = [0, 0, 0]
  for (const lab of labs) {
    const surface = reflectanceOfReading({ kind: 'lab', lab })
    const own = undertoneOf(light, surface)
    for (let draw = 0; draw < DRAWS; draw++) {
      const read = undertoneOf(light, READ_AGAIN[source]!(surface))
      lean += ((read.a - own.a) ** 2 + (read.b - own.b) ** 2) / 2
      lightness += (read.j - own.j) ** 2
      count++
    }
  }
  const stated = READING_UNCERTAINTY[source]
  console.log(
    `  ${source}: draws spread ${Math.sqrt(lean / count).toFixed(2)} units of lean an axis and ${Math.sqrt(lightness / count).toFixed(2)} of lightness; stated, standard, ${(stated.lean / 2).toFixed(2)} and ${(stated.lightness / 2).toFixed(2)}`,
  )
}
