import { labD65, reflectanceOfReading } from '@/core/paint/reading'
import { ciede2000 } from '@/core/colour/ciede2000'
import type { Reflectance } from '@/core/colour/spectrum'
import { seededRandom } from '@/core/seeded-random'

/** Reflectances, 0 to 1, every 10 nm from 400 to 700. */
export interface ReaderAnswer {
  readonly wavelengthsNm: readonly number[]
  readonly reflectance: readonly number[]
}

/** The reader cannot answer; the message says what to do. */
export class ReaderError extends Error {
  override name = 'ReaderError'
}

/** A handheld colour reader (spectrophotometer), whatever it is connected by. */
export interface ColourReader {
  /** What it is called on screen; a stand-in says that it is one. */
  readonly name: string
  /** Whether it was set on its white tile since it was switched on. */
  readonly isCalibrated: boolean
  /** @throws ReaderError when it is out of reach */
  connect(): Promise<void>
  /**
   * Sets it on its white tile.
   *
   * @throws ReaderError when it is out of reach
   */
  calibrate(): Promise<void>
  /**
   * @returns what it reads where it is held; off where it was not calibrated
   * @throws ReaderError when it is out of reach
   */
  read(): Promise<ReaderAnswer>
}

export const READER_NM: readonly number[] = Array.from({ length: 31 }, (_, i) => 400 + 10 * i)
/** Readings that are averaged into one. */
export const READINGS_AVERAGED = 3

/** The mean of several readings of one finish, and how far they lie from it. */
export interface AveragedReading extends ReaderAnswer {
  /** Mean CIEDE2000 of the readings from their mean, D65, 2°. */
  readonly spread: number
}

/** @throws RangeError without a reading */
export function averaged(answers: readonly ReaderAnswer[]): AveragedReading {
  const [first] = answers
  if (!first) throw new RangeError('expected at least one reading, got none')
  const { wavelengthsNm } = first
  const reflectance = wavelengthsNm.map(
    (_, i) => answers.reduce((sum, answer) => sum + answer.reflectance[i]!, 0) / answers.length,
  )
  const lab = (values: readonly number[]) =>
    labD65(reflectanceOfReading({ kind: 'spectral', wavelengthsNm, reflectance: values }))
  const mean = lab(reflectance)
  const away = answers.map((answer) => ciede2000(lab(answer.reflectance), mean))
  return {
    wavelengthsNm,
    reflectance,
    spread: away.reduce((sum, each) => sum + each, 0) / away.length,
  }
}

// An ordinary handheld of its class, common practice: 0.2 % from reading to reading, and some per cent of drift in the
// lamp between calibrations, more at the blue end.
const NOISE = 0.002
const DRIFT = 0.05
const BLUE_DRIFT = 0.06
const DROPS = 0.06

/**
 * A stand-in: reads the surface it is told it is held against, with a reader's noise, the grain of the finish, the
 * drift of a lamp that was not set on its tile, and a connection that is lost now and then.
 *
 * @param held the surface under it, and how much the finish varies from place to place, as a share
 * @param seed makes the noise the same in every run
 */
export function simulatedColourReader(
  held: () => { readonly surface: Reflectance; readonly grain: number },
  seed: number,
): ColourReader {
  const random = seededRandom(seed)
  const spread = (size: number): number => size * (random() + random() - 1)
  let connected = false
  let calibrated = false
  const reach = (): void => {
    if (!connected) throw new ReaderError('The reader is not connected. Connect it first.')
    if (random() >= DROPS) return
    connected = false
    throw new ReaderError('The connection was lost. Connect the reader again; nothing was kept.')
  }
  return {
    name: 'Simulated colour reader',
    get isCalibrated() {
      return calibrated
    },
    connect: async () => {
      connected = true
    },
    calibrate: async () => {
      reach()
      calibrated = true
    },
    read: async () => {
      reach()
      const { surface, grain } = held()
      const level = 1 + spread(grain)
      return {
        wavelengthsNm: READER_NM,
        reflectance: READER_NM.map((nm) => {
          const drift = calibrated ? 1 : 1 - DRIFT - (BLUE_DRIFT * (700 - nm)) / 300
          const value = surface[(nm - 380) / 10]! * level * drift + spread(NOISE)
          return Math.min(1, Math.max(0, value))
        }),
      }
    },
  }
}
