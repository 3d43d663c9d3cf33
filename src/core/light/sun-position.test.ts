import { Body, Equator, Horizon, Observer } from 'astronomy-engine'
import { sunPosition } from './sun-position'

const PLACES = [
  ['51° north', 51.5, -0.13],
  ['64° north', 64.15, -21.94],
  ['the equator', 0, 33],
  ['34° south', -33.87, 151.21],
  ['55° south', -54.8, -68.3],
  ['the polar circle', 70.66, 23.68],
] as const

// Against astronomy-engine, a second library; refraction as it models it.
test.each(PLACES)(
  'stands within 0.05° of a second library at %s',
  (_, latitudeDeg, longitudeDeg) => {
    const observer = new Observer(latitudeDeg, longitudeDeg, 0)
    for (const day of ['2026-03-20', '2026-06-21', '2026-11-05', '2027-12-21'])
      for (let hour = 0; hour < 24; hour += 3) {
        const when = new Date(`${day}T${String(hour).padStart(2, '0')}:00:00Z`)
        const { ra, dec } = Equator(Body.Sun, when, observer, true, true)
        const theirs = Horizon(when, observer, ra, dec, 'normal')
        const ours = sunPosition({ latitudeDeg, longitudeDeg }, when.getTime())
        // Under the horizon refraction means nothing and the libraries taper it differently.
        if (theirs.altitude < 0) continue
        expect(Math.abs(ours.altitudeDeg - theirs.altitude)).toBeLessThan(0.05)
        const turn = Math.abs(ours.azimuthDeg - theirs.azimuth) % 360
        const across = Math.min(turn, 360 - turn) * Math.cos((theirs.altitude * Math.PI) / 180)
        expect(across).toBeLessThan(0.05)
      }
  },
)

test('a latitude of 95 is not on earth', () => {
  expect(() => sunPosition({ latitudeDeg: 95, longitudeDeg: 0 }, 0)).toThrow(/−90 to 90, got 95/)
})
