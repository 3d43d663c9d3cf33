import { prepareLight } from '../colour/appearance'
import { daylightSpectrum } from '../colour/daylight'
import { ledSpectrum } from '../colour/led'
import { planckianSpectrum } from '../colour/planckian'
import { BANDS } from '../colour/spectrum'
import { reflectanceOfReading } from '../paint/reading'
import { seededRandom } from '../seeded-random'
import { emptyUndertones, flatUndertones } from './flat-undertones'
import { undertoneOf } from './undertone'

test('the flat undertones are those of the plain form', () => {
  const random = seededRandom(3)
  const surfaces = Array.from({ length: 300 }, () =>
    reflectanceOfReading({
      kind: 'lab',
      lab: [30 + 65 * random(), 24 * random() - 10, 34 * random() - 12],
    }),
  )
  const rows = new Float64Array(surfaces.length * BANDS)
  surfaces.forEach((surface, i) => rows.set(surface, i * BANDS))
  const flat = emptyUndertones(surfaces.length)
  for (const light of [
    prepareLight(daylightSpectrum(8500), 400),
    prepareLight(planckianSpectrum(2700), 50),
    prepareLight(ledSpectrum(3000, 82), 120),
  ]) {
    flatUndertones(light, rows, flat)
    surfaces.forEach((surface, i) => {
      const plain = undertoneOf(light, surface)
      for (const axis of ['j', 'a', 'b', 'c'] as const)
        expect(Math.abs(flat[axis][i]! - plain[axis])).toBeLessThan(1e-6)
    })
  }
})
