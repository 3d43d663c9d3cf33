import { prepareLight } from '../colour/appearance'
import { daylightSpectrum } from '../colour/daylight'
import { ledSpectrum } from '../colour/led'
import { planckianSpectrum } from '../colour/planckian'
import { BANDS, flatReflectance } from '../colour/spectrum'
import { reflectanceOfReading } from '../paint/reading'
import { seededRandom } from '../seeded-random'
import { emptyUndertones, flatUndertones } from '../undertone/flat-undertones'
import { pairingOf } from '../pairing/pairing'
import { fitToRoom } from './rank'
import { undertoneOf } from '../undertone/undertone'
import { gradeOf, verdictOfGrade } from '../pairing/pair-grade'

const random = seededRandom(3)
const surfaces = Array.from({ length: 300 }, () =>
  reflectanceOfReading({
    kind: 'lab',
    lab: [30 + 65 * random(), 24 * random() - 10, 34 * random() - 12],
  }),
)
const rowsOf = (list: readonly Float64Array[]): Float64Array => {
  const rows = new Float64Array(list.length * BANDS)
  list.forEach((surface, i) => rows.set(surface, i * BANDS))
  return rows
}
const rows = rowsOf(surfaces)
const lights = [
  { light: prepareLight(daylightSpectrum(8500), 400), weight: 2 },
  { light: prepareLight(planckianSpectrum(2700), 50), weight: 1 },
  { light: prepareLight(ledSpectrum(3000, 82), 120), weight: 1 },
]
const finishes = surfaces
  .slice(0, 6)
  .map((reflectance, i) => ({ reflectance, weight: i + 1, mayBeSetOff: true }))

test('the flat undertones are those of the plain form', () => {
  const flat = emptyUndertones(surfaces.length)
  for (const { light } of lights) {
    flatUndertones(light, rows, flat)
    surfaces.forEach((surface, i) => {
      const plain = undertoneOf(light, surface)
      for (const axis of ['j', 'a', 'b', 'c'] as const)
        expect(Math.abs(flat[axis][i]! - plain[axis])).toBeLessThan(1e-6)
    })
  }
})

test('pair by pair it says what the readable table says', () => {
  const seen = new Set<string>()
  for (const one of lights)
    for (const finish of finishes) {
      const { worst } = fitToRoom(rows, [one], [finish])
      surfaces.forEach((surface, i) => {
        const [wall, stays] = [
          undertoneOf(one.light, surface),
          undertoneOf(one.light, finish.reflectance),
        ]
        const pairing = pairingOf(wall, stays)
        seen.add(pairing)
        expect(Math.abs(worst[i]! - gradeOf(pairing, wall, stays))).toBeLessThan(1e-6)
      })
    }
  // The random surfaces try most of the table.
  expect(seen.size).toBeGreaterThanOrEqual(6)
})

test('the ranking does not depend on the order of the deck', () => {
  const names = (order: Uint32Array, of: readonly Float64Array[]) =>
    [...order].map((i) => of[i]!.join(' '))
  const shuffled = [...surfaces].reverse()
  const there = fitToRoom(rows, lights, finishes)
  const back = fitToRoom(rowsOf(shuffled), lights, finishes)
  expect(names(back.order, shuffled)).toEqual(names(there.order, surfaces))
})

test('the worst pair is named, and no number is ever NaN', () => {
  const greys = rowsOf([flatReflectance(0.5), flatReflectance(0.02), ...surfaces.slice(0, 20)])
  const fit = fitToRoom(greys, lights, finishes)
  expect([...fit.worst, ...fit.mean].every(Number.isFinite)).toBe(true)
  const i = fit.order.at(-1)!
  const alone = fitToRoom(
    greys.slice(i * BANDS, (i + 1) * BANDS),
    [lights[fit.worstLight[i]!]!],
    [finishes[fit.worstFinish[i]!]!],
  )
  expect(alone.worst[0]).toBe(fit.worst[i])
  expect(() => fitToRoom(greys, [], finishes)).toThrow(/at least one light/)
  expect(() => fitToRoom(greys, lights, [])).toThrow(/at least one finish/)
})

test('a shared undertone ranks before none: an orange-pink stone has its beige before any grey', () => {
  // Common practice: shared undertones connect fixed finishes; a grey of black and white alone looks
  // like concrete.
  const of = (l: number, a: number, b: number) =>
    reflectanceOfReading({ kind: 'lab', lab: [l, a, b] })
  const walls = [of(80, 0, 0), of(82, 4, 8), of(78, -4, 13), of(30, 0, 0)]
  const { order, worst } = fitToRoom(rowsOf(walls), lights.slice(0, 1), [
    { reflectance: of(66, 9, 14), weight: 1, mayBeSetOff: true },
  ])
  expect(order[0]).toBe(1)
  expect(order.at(-1)).toBe(2)
  expect(verdictOfGrade(worst[2]!)).toBe('no')
})
