import { prepareLight } from '@/core/colour/appearance'
import { daylightSpectrum } from '@/core/colour/daylight'
import type { Lab } from '@/core/colour/lab'
import { PLAIN_LAMP, PLAIN_WINDOW } from '@/core/light/room'
import { reflectanceOfReading } from '@/core/paint/reading'
import { roseMarks, rosePlace, roseTrails } from './rose-model'
import { utcDay } from '@/core/light/utc-day.fixture'

const roomDay = {
  place: { latitudeDeg: 52, longitudeDeg: 0 },
  day: utcDay('2026-09-22'),
  room: {
    northSouthMm: 4000,
    eastWestMm: 4000,
    heightMm: 2500,
    windows: [{ ...PLAIN_WINDOW, bearingDeg: 270 }],
    lamps: [PLAIN_LAMP],
  },
}
const thing = (id: string, lab: Lab) => ({
  id,
  name: id,
  kind: 'keeper' as const,
  reflectance: reflectanceOfReading({ kind: 'lab', lab }),
})

test('marks stand where they lean: pink right, yellow up, green left, a grey in the middle', () => {
  const now = prepareLight(daylightSpectrum(6504), 500)
  const things = [
    thing('pink', [70, 10, 0]),
    thing('yellow', [80, 0, 14]),
    thing('green', [60, -12, 2]),
    thing('grey', [60, 0, 0]),
    thing('coral', [62, 40, 28]),
  ]
  const trails = roseTrails(things, roomDay, 'clear')
  const [pink, yellow, green, grey, coral] = things.map(({ reflectance }) =>
    rosePlace(now, reflectance),
  )
  expect(pink![0]).toBeGreaterThan(0.4)
  expect(yellow![1]).toBeLessThan(-0.4)
  expect(green![0]).toBeLessThan(-0.4)
  expect(Math.hypot(...grey!)).toBeLessThan(0.1)
  // Nothing stands outside the rim.
  expect(Math.hypot(...coral!)).toBeLessThanOrEqual(1.0001)
  expect(roseMarks(things, now, trails)[0]!.trail.length).toBeGreaterThan(8)
})
