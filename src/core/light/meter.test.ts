import { plainRoomDay } from './plain-room-day.fixture'
import { modelledLight, lightOf, type MeterReading } from './light-choice'
import { questionOf } from './meter'

const bare = plainRoomDay('2026-09-22', 0)
const noon = {
  source: 'room',
  minute: 720,
  sky: 'clear',
  lampsOn: false,
  spot: 'east-middle',
} as const
const night = { ...noon, minute: 1380, lampsOn: true } as const
const readingAt = (
  { minute, sky, lampsOn, spot }: typeof noon | typeof night,
  lux: number,
  cctK: number,
): MeterReading => ({ minute, sky, lampsOn, spot, lux, cctK })

test('pinned to a reading, the model says what the meter said, there and then', () => {
  const model = modelledLight(bare, noon)!
  const pinnedDay = { ...bare, readings: [readingAt(noon, model.illuminanceLux * 1.6, 5200)] }
  const light = lightOf(pinnedDay, noon)!
  expect(light.illuminanceLux / (model.illuminanceLux * 1.6)).toBeCloseTo(1, 6)
  expect(Math.abs(light.cctK - 5200)).toBeLessThan(10)
  const { sky, sun, ground, bounce, lamp } = light.parts
  expect((sky + sun + ground + bounce + lamp) / light.illuminanceLux).toBeCloseTo(1, 6)
})

test('a daylight reading corrects other hours alike and leaves the lamps alone', () => {
  const model = modelledLight(bare, noon)!
  const pinnedDay = { ...bare, readings: [readingAt(noon, model.illuminanceLux / 2, model.cctK)] }
  const later = { ...noon, minute: 900 } as const
  const ratio =
    lightOf(pinnedDay, later)!.illuminanceLux / modelledLight(bare, later)!.illuminanceLux
  expect(ratio).toBeCloseTo(0.5, 6)
  expect(lightOf(pinnedDay, night)!.illuminanceLux).toBeCloseTo(
    modelledLight(bare, night)!.illuminanceLux,
    6,
  )
})

test('several readings are averaged by ratio', () => {
  const model = modelledLight(bare, noon)!
  const readings = [
    readingAt(noon, model.illuminanceLux * 2, model.cctK),
    readingAt(noon, model.illuminanceLux / 2, model.cctK),
  ]
  expect(lightOf({ ...bare, readings }, noon)!.illuminanceLux).toBeCloseTo(model.illuminanceLux, 6)
})

test('a reading over four times off, or 1,500 K, is questioned in words', () => {
  const model = modelledLight(bare, noon)!
  const ask = (lux: number, cctK: number) => questionOf({ figures: { lux, cctK }, model })
  expect(ask(model.illuminanceLux * 3.9, model.cctK + 1400)).toBeNull()
  expect(ask(model.illuminanceLux * 4.2, model.cctK)).toMatch(/lamp on/)
  expect(ask(model.illuminanceLux / 4.2, model.cctK)).toMatch(/curtain/)
  expect(ask(model.illuminanceLux, model.cctK - 1600)).toMatch(/warmer than expected/)
})
