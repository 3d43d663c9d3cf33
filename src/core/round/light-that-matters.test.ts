import { DEFAULT_HOUSE_RULES } from '../advice/house-rules'
import { prepareLight } from '../colour/appearance'
import { daylightSpectrum } from '../colour/daylight'
import type { Lab } from '../colour/lab'
import { planckianSpectrum } from '../colour/planckian'
import type { KeeperKind } from '../pairing/keeper-kind'
import { roleOf } from '../pairing/role'
import { reflectanceOfReading } from '../paint/reading'
import { lightThatMatters } from './light-that-matters'

const surface = (lab: Lab) => reflectanceOfReading({ kind: 'lab', lab })
const finish = (kind: KeeperKind, lab: Lab) => ({
  name: kind,
  varies: false,
  role: roleOf(kind, DEFAULT_HOUSE_RULES),
  colours: [
    { part: 'ground', sharePercent: 100, reflectance: surface(lab), source: 'reader' as const },
  ],
})
const paints = (...labs: Lab[]) =>
  labs.map((lab) => ({ strengthPercent: 100, reflectance: surface(lab), source: 'maker' as const }))

const NOON = prepareLight(daylightSpectrum(6500), 400)
const LAMPS = prepareLight(planckianSpectrum(2700), 60)

test('a pale blue-grey slate and warm beiges are harder by day, when the slate leans blue, than under filament lamps', () => {
  // Common practice: warm lamps make a cool stone and a warm wall forgive each other.
  const slate = finish('stone', [70, 0, -5])
  const beiges = paints([80, 5, 12], [76, 2, 9], [84, 3, 9])
  expect(lightThatMatters([NOON, LAMPS], slate, beiges)).toEqual({
    place: 0,
    isAlike: false,
  })
  expect(lightThatMatters([LAMPS, NOON], slate, beiges).place).toBe(1)
})

test('where all lights are alike it is said', () => {
  const oak = finish('floor', [55, 9, 24])
  const whites = paints([92, 1, 8], [88, 2, 10])
  expect(lightThatMatters([NOON, LAMPS], oak, whites).isAlike).toBe(true)
})
