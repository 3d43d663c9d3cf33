import { ciede2000 } from '@/core/colour/ciede2000'
import { labD65, reflectanceOfReading } from '@/core/paint/reading'
import {
  averaged,
  ReaderError,
  READER_NM,
  simulatedColourReader,
  type ColourReader,
  type ReaderAnswer,
} from './colour-reader'

const TILE = reflectanceOfReading({ kind: 'lab', lab: [82, -2, 6] })
const labOf = ({ wavelengthsNm, reflectance }: ReaderAnswer) =>
  labD65(reflectanceOfReading({ kind: 'spectral', wavelengthsNm, reflectance }))

/** Reads as a hand would: connects again when the connection is lost. */
async function ask<T>(reader: ColourReader, work: () => Promise<T>): Promise<T> {
  for (;;)
    try {
      return await work()
    } catch (error) {
      if (!(error instanceof ReaderError)) throw error
      await reader.connect()
    }
}

test('calibrated it reads what lies under it, uncalibrated it is off and says so', async () => {
  const reader = simulatedColourReader(() => ({ surface: TILE, grain: 0 }), 3)
  const before = await ask(reader, () => reader.read())
  expect(reader.isCalibrated).toBe(false)
  await ask(reader, () => reader.calibrate())
  expect(reader.isCalibrated).toBe(true)
  const after = await ask(reader, () => reader.read())
  expect(after.wavelengthsNm).toEqual(READER_NM)
  expect(ciede2000(labOf(after), labD65(TILE))).toBeLessThan(0.6)
  expect(ciede2000(labOf(before), labD65(TILE))).toBeGreaterThan(1.5)
})

test('an even finish has no spread to speak of, one with a grain does; the mean lies nearer than most readings', async () => {
  const spreadOf = async (grain: number) => {
    const reader = simulatedColourReader(() => ({ surface: TILE, grain }), 8)
    await ask(reader, () => reader.calibrate())
    const answers = []
    for (let i = 0; i < 12; i++) answers.push(await ask(reader, () => reader.read()))
    return { answers, ...averaged(answers) }
  }
  const even = await spreadOf(0)
  const grained = await spreadOf(0.1)
  expect(even.spread).toBeLessThan(0.3)
  expect(grained.spread).toBeGreaterThan(4 * even.spread)
  const miss = (answer: ReaderAnswer) => ciede2000(labOf(answer), labD65(TILE))
  const closer = grained.answers.filter((answer) => miss(answer) < miss(grained)).length
  expect(closer).toBeLessThan(6)
})

test('it must be connected, loses the connection now and then, and keeps nothing of it', async () => {
  const reader = simulatedColourReader(() => ({ surface: TILE, grain: 0 }), 5)
  await expect(reader.read()).rejects.toThrow(/not connected/)
  await reader.connect()
  let lost = 0
  for (let i = 0; i < 200; i++)
    await reader.read().catch(async (error: unknown) => {
      expect(error).toBeInstanceOf(ReaderError)
      lost++
      await reader.connect()
    })
  // Once in seventeen, give or take.
  expect(lost).toBeGreaterThan(3)
  expect(lost).toBeLessThan(30)
  expect(() => averaged([])).toThrow(RangeError)
})
