import type { Lab } from '../colour/lab'
import { PLAIN_LAMP, type LitRoom, type RoomLamp } from '../light/room'
import { reflectanceOfReading } from '../paint/reading'
import { betterLamps } from './better-lamp'

const place = { latitudeDeg: 52, longitudeDeg: 0 }
// 21 March 2026, 21:00 UTC.
const EVENING = 1_774_126_800_000
const room = (...lamps: readonly Partial<RoomLamp>[]): LitRoom => ({
  northSouthMm: 4000,
  eastWestMm: 4000,
  heightMm: 2500,
  windows: [],
  lamps: lamps.map((lamp) => ({ ...PLAIN_LAMP, ...lamp })),
})
const colour = (name: string, lab: Lab) => ({
  name,
  reflectance: reflectanceOfReading({ kind: 'lab', lab }),
})
const COLOURS = [
  colour('white', [96, 0, 0]),
  colour('red', [42, 45, 25]),
  colour('grey', [60, 0, 0]),
]

test('better bulbs render better, and change a red more than a grey', () => {
  const better = betterLamps(room({ bulb: 'led-80' }), place, EVENING, COLOURS)!
  // Ra of the bulbs by name, as makers state it.
  expect(better.raNow).toBeGreaterThan(78)
  expect(better.raNow).toBeLessThan(84)
  expect(better.raThen).toBeGreaterThan(88)
  expect(better.changes[0]).toMatchObject({ name: 'red' })
  expect(better.changes.map(({ size }) => size)).toEqual(
    better.changes.map(({ size }) => size).sort((p, q) => q - p),
  )
  expect(better.changes.find(({ name }) => name === 'grey')!.size).toBeLessThan(0.5)
  // Poor reds are what a lamp of Ra 80 is known for (CIE 13.3: R9 is not in Ra).
  expect(better.changes[0]!.words).toMatch(/redder|stronger|pinker|orange/)
})

test('a filament needs no better, and no lamp has none', () => {
  expect(betterLamps(room({ bulb: 'filament' }), place, EVENING, COLOURS)).toBeNull()
  expect(betterLamps(room(), place, EVENING, COLOURS)).toBeNull()
  expect(
    betterLamps(room({ bulb: 'filament' }, { bulb: 'led-80' }), place, EVENING, COLOURS),
  ).not.toBeNull()
})
