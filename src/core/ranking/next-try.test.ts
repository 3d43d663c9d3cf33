import fc from 'fast-check'
import { prepareLight } from '../colour/appearance'
import { daylightSpectrum } from '../colour/daylight'
import { planckianSpectrum } from '../colour/planckian'
import { BANDS } from '../colour/spectrum'
import type { Lab } from '../colour/lab'
import { reflectanceOfReading } from '../paint/reading'
import { happyMedium } from './best-compromise'
import { likeThisBut, nextTries, sharesLean, WISHES, type SeenColour } from './next-try'
import { bestFirst, fitToRoom } from './rank'
import { leaning } from '../undertone/undertone'

const at = (place: number, j: number, a: number, b: number): SeenColour => ({
  place,
  undertone: leaning(j, a, b),
})

test('the next try is the nearest that works, a strip step away at least, each place once', () => {
  const from = at(0, 70, 0, 8)
  const colours = [
    at(0, 74, 0, 8),
    at(1, 71, 0, 8),
    at(2, 75, 1, 6),
    at(2, 77, 1, 5),
    at(3, 60, 2, 2),
    at(4, 76, 0, 7),
  ]
  const tries = nextTries(from, colours, [0, 0, 0.3, 0.1, 0.2, 2.5], 5)
  // The first is its own place, the second too near to tell apart, the last does not work.
  expect(tries.map(({ place }) => place)).toEqual([2, 3])
  expect(tries[0]!.words).toMatch(/lighter.*greyer|greyer.*lighter/)
})

test('"like this but": what is found goes the wished way', () => {
  const deck = Array.from({ length: 400 }, (_, i) =>
    at(
      i,
      30 + 3 * (i % 20),
      12 * Math.cos(i / 9) * ((i % 5) / 5),
      12 * Math.sin(i / 9) * ((i % 5) / 5),
    ),
  )
  const from = at(999, 60, 3, 4)
  const going = {
    lighter: (u: SeenColour) => u.undertone.j > 60,
    deeper: (u: SeenColour) => u.undertone.j < 60,
    quieter: (u: SeenColour) => u.undertone.c < 5,
    stronger: (u: SeenColour) => u.undertone.c > 5,
    warmer: (u: SeenColour) => u.undertone.a + u.undertone.b > 7,
    cooler: (u: SeenColour) => u.undertone.a + u.undertone.b < 7,
  }
  for (const wish of WISHES) {
    const found = likeThisBut(wish, from, deck, 3)
    expect(found.length).toBeGreaterThan(0)
    expect(found.every(going[wish])).toBe(true)
  }
})

test('no to a whole lean takes its siblings and nothing else', () => {
  const pinkBeige = leaning(80, 4, 5)
  expect(sharesLean(pinkBeige, leaning(60, 3, 3.5))).toBe(true)
  expect(sharesLean(pinkBeige, leaning(80, -1, 6))).toBe(false)
  expect(sharesLean(pinkBeige, leaning(80, 0.2, 0.2))).toBe(false)
  expect(sharesLean(leaning(80, 0.1, 0), leaning(60, 3, 3.5))).toBe(false)
  // A strong pink is a colour, not a sibling of a neutral.
  expect(sharesLean(pinkBeige, leaning(60, 20, 22))).toBe(false)
})

const surface = (lab: Lab) => reflectanceOfReading({ kind: 'lab', lab })
const rowsOf = (...labs: readonly Lab[]): Float64Array => {
  const rows = new Float64Array(labs.length * BANDS)
  labs.forEach((lab, i) => rows.set(surface(lab), i * BANDS))
  return rows
}
const lights = [
  { light: prepareLight(daylightSpectrum(6504), 400), weight: 1 },
  { light: prepareLight(planckianSpectrum(2700), 60), weight: 1 },
]
const finish = (keeperId: string, lab: Lab) => ({
  keeperId,
  reflectance: surface(lab),
  weight: 1,
  mayBeSetOff: false,
})

test('the happy medium names its weakest keeper, and the one whose change would lift it', () => {
  const finishes = [
    finish('stone', [66, 9, 14]),
    finish('tile', [70, -6, 6]),
    finish('floor', [55, 9, 24]),
  ]
  const rows = rowsOf([80, 5, 9], [72, -5, 9])
  const fit = fitToRoom(rows, lights, finishes)
  const medium = happyMedium(rows, lights, finishes, fit)!
  expect(medium.grade).toBe(fit.worst[medium.row])
  // The pink beige suits stone and floor; the green tile is in its way.
  expect(medium.row).toBe(0)
  expect(finishes[medium.finish]!.keeperId).toBe('tile')
  expect(medium.lift).toMatchObject({ keeperId: 'tile' })
  expect(medium.lift!.grade).toBeLessThan(medium.grade)
})

test('where everything works no keeper has to go, and nothing to rank has no medium', () => {
  const finishes = [finish('stone', [66, 9, 14]), finish('floor', [60, 9, 15])]
  const rows = rowsOf([82, 4, 8])
  const fit = fitToRoom(rows, lights, finishes)
  expect(happyMedium(rows, lights, finishes, fit)).toMatchObject({ row: 0, lift: null })
  const none = new Float64Array(0)
  expect(happyMedium(none, lights, finishes, fitToRoom(none, lights, finishes))).toBeNull()
})

test('best first is the order of a plain sort', () => {
  const grade = fc.double({ min: 0, max: 3, noNaN: true }).map((x) => Math.round(x * 20) / 20)
  fc.assert(
    fc.property(fc.array(fc.tuple(grade, grade, grade), { maxLength: 60 }), (triples) => {
      const [worst, mean, against] = [0, 1, 2].map((k) =>
        Float64Array.from(triples, (each) => each[k]!),
      )
      const plain = triples
        .map((_, i) => i)
        .sort(
          (p, q) =>
            worst![p]! + against![p]! - worst![q]! - against![q]! || mean![p]! - mean![q]! || p - q,
        )
      // Sums that agree in all but rounding are one grade.
      const sum = (i: number) => Math.round((worst![i]! + against![i]!) * 1e6)
      const got = [...bestFirst({ worst: worst!, mean: mean! }, against)]
      expect(got.map((i) => [sum(i), mean![i]])).toEqual(plain.map((i) => [sum(i), mean![i]]))
    }),
    { numRuns: 200 },
  )
})
