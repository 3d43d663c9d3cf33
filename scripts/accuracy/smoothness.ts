import { DEFAULT_HOUSE_RULES } from '../../src/core/advice/house-rules'
import { prepareLight, appearanceOf } from '../../src/core/colour/appearance'
import { cam16, cam16Viewing, ucsOf } from '../../src/core/colour/cam16'
import { ledSpectrum } from '../../src/core/colour/led'
import { whitePoint, bandWeights, xyzUnder } from '../../src/core/colour/observer'
import type { Lab } from '../../src/core/colour/lab'
import { lightOf } from '../../src/core/light/light-choice'
import { PLAIN_LAMP, PLAIN_WINDOW } from '../../src/core/light/room'
import { reflectanceOfReading } from '../../src/core/paint/reading'
import { KEEPER_KINDS } from '../../src/core/pairing/keeper-kind'
import { pairReading } from '../../src/core/pairing/pair-reading'
import { roleOf } from '../../src/core/pairing/role'
import { chanceOfPair } from '../../src/core/pairing/judge-pair'
import { rankForRoom } from '../../src/core/ranking/rank-for-room'
import { deckOf, finish as finishOf } from '../../src/core/ranking/ranking-scenes.fixture'
import { ORDINARY_ROOM } from '../../src/core/advice/ordinary-room.fixture'
import { seededRandom } from '../../src/core/seeded-random'
import { leaning, undertoneOf } from '../../src/core/undertone/undertone'
import { utcDay } from '../../src/core/light/utc-day.fixture'

const surface = (lab: Lab) => reflectanceOfReading({ kind: 'lab', lab })

/** The largest change of a chance for the smallest steps: 0.1 unit, 1 % of share, one minute of light. */
export function printSmoothness(): void {
  const random = seededRandom(4)
  const spread = (): number => 2 * random() - 1
  let worst = 0
  const PAIRS = 200_000
  for (let i = 0; i < PAIRS; i++) {
    const wall = [10 + 88 * random(), 26 * spread() * random(), 26 * spread() * random()] as const
    const finish =
      random() < 0.4
        ? ([wall[0] + 15 * spread(), wall[1] + 6 * spread(), wall[2] + 6 * spread()] as const)
        : ([10 + 88 * random(), 28 * spread() * random(), 28 * spread() * random()] as const)
    const way = [spread(), spread(), spread()]
    const length = 10 * Math.hypot(...way)
    const moved = wall.map((x, k) => x + way[k]! / length) as [number, number, number]
    const role = roleOf(KEEPER_KINDS[i % KEEPER_KINDS.length]!, DEFAULT_HOUSE_RULES)
    const works = (at: readonly [number, number, number]): number =>
      chanceOfPair(
        { undertone: leaning(...at), source: 'spectral' },
        { undertone: leaning(...finish), source: 'spectral' },
        role,
      )
    worst = Math.max(worst, Math.abs(works(moved) - works(wall)))
  }
  console.log(`  0.1 unit: at most ${worst.toFixed(3)} over ${PAIRS.toLocaleString('en-GB')} pairs`)
  const [chance, worth] = minuteByMinute()
  console.log(`  one minute of light: at most ${chance.toFixed(3)}, of a worth ${worth.toFixed(4)}`)
}

/** The largest change of a chance and of a worth from one minute of a west room's day to the next. */
function minuteByMinute(): readonly [chance: number, worth: number] {
  // A west room with its sun.
  const roomDay = {
    place: { latitudeDeg: 52, longitudeDeg: 0 },
    day: utcDay('2026-03-21'),
    room: {
      northSouthMm: 4500,
      eastWestMm: 4000,
      heightMm: 2600,
      windows: [{ ...PLAIN_WINDOW, bearingDeg: 270 }],
      lamps: [PLAIN_LAMP],
    },
  }
  const pairs: readonly (readonly [Lab, Lab])[] = [
    [
      [82, 5, 11],
      [66, 9, 14],
    ],
    [
      [76, 1, 9],
      [66, 9, 14],
    ],
    [
      [90, 1, 6],
      [93, -1, -2],
    ],
  ]
  let worst = 0
  let worstWorth = 0
  for (const [wall, finish] of pairs) {
    let last: number | null = null
    let lastWorth: number | null = null
    for (let minute = 6 * 60; minute <= 20 * 60; minute++) {
      const choice = {
        source: 'room',
        minute,
        sky: 'clear',
        lampsOn: false,
        spot: 'walls',
      } as const
      const light = lightOf(roomDay, choice)
      // Lamps that come on at dusk are a switch, not a minute.
      if (!light || light.parts.lamp > 0) continue
      const { chance } = pairReading(
        prepareLight(light.spectrum, light.illuminanceLux),
        { strengthPercent: 100, reflectance: surface(wall), source: 'maker' },
        {
          name: 'stone',
          role: roleOf('stone', DEFAULT_HOUSE_RULES),
          varies: false,
          colours: [
            { part: 'all', sharePercent: 100, reflectance: surface(finish), source: 'reader' },
          ],
        },
      )
      if (last !== null) worst = Math.max(worst, Math.abs(chance - last))
      last = chance
      const [ranked] = rankForRoom(
        deckOf([wall]),
        {
          lights: [{ light: prepareLight(light.spectrum, light.illuminanceLux), matters: 1 }],
          finishes: [finishOf('stone', finish)],
          character: ORDINARY_ROOM,
          rules: DEFAULT_HOUSE_RULES,
        },
        1,
      )
      if (lastWorth !== null) worstWorth = Math.max(worstWorth, Math.abs(ranked!.worth - lastWorth))
      lastWorth = ranked!.worth
    }
  }
  return [worst, worstWorth]
}

const FIVE: readonly (readonly [string, Lab])[] = [
  ['grey', [72, 0, 0]],
  ['blue', [80, -1.5, -9]],
  ['taupe', [84.5, 3, 1]],
  ['green-grey', [68, -5, 5]],
  ['beige', [80, 5, 14]],
]
const LUX = 150

/** How far yellowish lamps move five colours as they are drawn, beside CAM16's own incomplete adaptation. */
export function printAdaptation(): void {
  const spectrum = ledSpectrum(2700, 82)
  const light = prepareLight(spectrum, LUX)
  const white = whitePoint(spectrum)
  const weights = bandWeights(spectrum)
  // CAM16 as published (Li et al. 2017): its own D, anchored on equal-energy white.
  const own = cam16Viewing(white, (LUX / Math.PI) * 0.2, light.degree)
  for (const [name, lab] of FIVE) {
    const card = undertoneOf(light, surface(lab))
    const [, a, b] = appearanceOf(light, surface(lab)).ucs
    const [, ownA, ownB] = ucsOf(cam16(xyzUnder(weights, surface(lab)), own))
    console.log(
      `  ${name}: drawn ${Math.hypot(a - card.a, b - card.b).toFixed(1)} units off its lean on the card (a′ ${signed(a - card.a)}, b′ ${signed(b - card.b)}); CAM16 by itself ${Math.hypot(ownA - card.a, ownB - card.b).toFixed(1)} (a′ ${signed(ownA - card.a)}, b′ ${signed(ownB - card.b)})`,
    )
  }
}

const signed = (value: number): string => `${value < 0 ? '−' : '+'}${Math.abs(value).toFixed(1)}`
