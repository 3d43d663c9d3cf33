import { PLAIN_WINDOW } from './room'
import { roomLight } from './room-light'

// What the trade says of aspects (common practice), for three latitudes, both hemispheres, solstices and equinox,
// under a clear sky, by the sun's own clock: the colour temperature on the walls in the middle of the day, the hour of
// the warmest light. "Sunny" is the side towards the equator, "shady" the side away from it.
type Side = 'shady' | 'sunny' | 'east' | 'west'

const PLACES = [
  ['35° N', 35],
  ['52° N', 52],
  ['60° N', 60],
  ['35° S', -35],
  ['45° S', -45],
] as const
const DAYS = ['2026-03-20', '2026-06-21', '2026-12-21'] as const

// Half an hour is as near as the trade names an hour.
const STEP_MINUTES = 30

interface Step {
  readonly minute: number
  readonly cctK: number
  readonly illuminanceLux: number
}

function dayOf(latitudeDeg: number, side: Side, date: string) {
  const bearingDeg = {
    shady: latitudeDeg > 0 ? 0 : 180,
    sunny: latitudeDeg > 0 ? 180 : 0,
    east: 90,
    west: 270,
  }[side]
  const room = {
    northSouthMm: 4500,
    eastWestMm: 4000,
    heightMm: 2600,
    windows: [{ ...PLAIN_WINDOW, bearingDeg, widthMm: 1600 }],
    lamps: [],
  }
  const startUtcMs = Date.parse(`${date}T00:00:00Z`)
  const lit: Step[] = []
  for (let minute = 0; minute < 1440; minute += STEP_MINUTES) {
    const moment = { utcMs: startUtcMs + minute * 60_000, sky: 'clear', lampsOn: false } as const
    const light = roomLight(room, { latitudeDeg, longitudeDeg: 0 }, moment)
    if (light && light.illuminanceLux >= 20)
      lit.push({ minute, cctK: light.cctK, illuminanceLux: light.illuminanceLux })
  }
  const near = (minute: number) =>
    lit.reduce((p, q) => (Math.abs(q.minute - minute) < Math.abs(p.minute - minute) ? q : p))
  const warmest = lit.reduce((p, q) => (q.cctK < p.cctK ? q : p))
  return {
    lit,
    noonK: near(720).cctK,
    morningK: near(lit[0]!.minute + 90).cctK,
    warmestMinute: warmest.minute,
  }
}

const rows = PLACES.flatMap(([name, latitude]) =>
  DAYS.map((date) => [name, date, latitude] as const),
)

test.each(rows)('%s on %s', (_, date, latitude) => {
  const [shady, sunny, east, west] = (['shady', 'sunny', 'east', 'west'] as const).map((side) =>
    dayOf(latitude, side, date),
  )
  // The shady side cool: 6,000 to 12,000 K at noon. With the midsummer sun past its zenith bearing it warms a little.
  expect(shady!.noonK).toBeGreaterThan(6000)
  expect(shady!.noonK).toBeLessThan(12_000)
  // The sunny side warmer than the shady one at noon, 4,000 to 6,500 K.
  expect(sunny!.noonK).toBeLessThan(shady!.noonK)
  expect(sunny!.noonK).toBeGreaterThan(4000)
  expect(sunny!.noonK).toBeLessThan(6500)
  // East is warmest before noon, west after it, and after noon an east room is as cool as any.
  expect(east!.warmestMinute).toBeLessThan(12 * 60)
  expect(west!.warmestMinute).toBeGreaterThan(12 * 60)
  const eastLate = east!.lit.filter(({ minute }) => minute > 13 * 60 && minute < 15 * 60)
  for (const { cctK } of eastLate) expect(cctK).toBeGreaterThan(6000)
})

test('a west room is subdued before noon and bright late, wherever it stands', () => {
  for (const [, latitude] of PLACES) {
    const { lit } = dayOf(latitude, 'west', '2026-03-20')
    const at = (minute: number) => lit.find((step) => step.minute === minute)!.illuminanceLux
    expect(at(15.5 * 60)).toBeGreaterThan(2 * at(9 * 60))
  }
})
