import { DEFAULT_HOUSE_RULES } from '../advice/house-rules'
import { prepareLight } from '../colour/appearance'
import { daylightSpectrum } from '../colour/daylight'
import { ledSpectrum } from '../colour/led'
import type { Lab } from '../colour/lab'
import { isFixed, type KeeperKind } from '../pairing/keeper-kind'
import { roleOf } from '../pairing/role'
import { reflectanceOfReading } from '../paint/reading'
import { tryRound, type TriedCandidate, type TriedKeeper } from './simulated-eye.fixture'

const LIGHTS = {
  byDay: [prepareLight(daylightSpectrum(6500), 400), prepareLight(daylightSpectrum(4000), 300)],
  lamps: prepareLight(ledSpectrum(2700, 82), 120),
}
const surface = (lab: Lab) => reflectanceOfReading({ kind: 'lab', lab })

// An invented living room: an oak floor, an orange-pink stone, cream cabinets, a linen sofa and curtains.
const KEEPERS = (
  [
    ['floor', [55, 9, 24]],
    ['stone', [72, 9, 15]],
    ['cabinets', [88, 1, 11]],
    ['upholstery', [70, 3, 8]],
    ['curtain', [80, 2, 9]],
  ] as const satisfies readonly (readonly [KeeperKind, Lab])[]
).map(([kind, lab]): TriedKeeper => ({
  id: kind,
  settles: isFixed(kind),
  name: kind,
  varies: false,
  role: roleOf(kind, DEFAULT_HOUSE_RULES),
  colours: [{ part: 'ground', sharePercent: 100, reflectance: surface(lab), source: 'reader' }],
}))

/** Ten that a consultant might carry in: beiges, greiges, greens, a blue, a clay, a white. */
const CANDIDATES = (
  [
    [80, 5, 10],
    [76, 2, 9],
    [74, -2, 12],
    [70, -6, 9],
    [66, -3, -8],
    [62, 16, 20],
    [90, 0, 5],
    [58, -9, 14],
    [84, 7, 8],
    [52, 3, 6],
  ] as const satisfies readonly Lab[]
).map((lab, i): TriedCandidate => ({
  id: `candidate ${i}`,
  paint: { strengthPercent: 100, reflectance: surface(lab), source: 'maker' },
}))

test.each([1, 2, 3])(
  'an eye whose limits are 15 %% off comes to the same rulings with a third fewer pairs, seed %d',
  (seed) => {
    const { asked, all, rulings, rulingsOfAll } = tryRound(LIGHTS, KEEPERS, CANDIDATES, 0.15, seed)
    expect(all).toBe(150)
    expect(rulings).toEqual(rulingsOfAll)
    expect(new Set(Object.values(rulings)).size).toBeGreaterThan(1)
    expect(asked).toBeLessThanOrEqual(0.7 * all)
  },
)
