import Color from 'colorjs.io'
import { prepareLight } from '../colour/appearance'
import { ILLUMINANT_SPECTRA } from '../colour/illuminant'
import type { Lab } from '../colour/lab'
import { lrvPercent } from '../paint/lrv'
import { reflectanceOfReading } from '../paint/reading'
import { atStrength } from '../paint/strength'
import { seededRandom } from '../seeded-random'
import { undertoneOf } from '../undertone/undertone'
import { LEAN_NAMES, likeThis, type LikeThis, type SeenRow } from './like-this'

// A deck of invented colours at real strengths, and the same read a second time through colorjs.io.
const daylight = prepareLight(ILLUMINANT_SPECTRA.D65, 500)
const white = reflectanceOfReading({ kind: 'lab', lab: [96.2, -0.2, 1.5] })
const random = seededRandom(11)
const labs: Lab[] = Array.from({ length: 900 }, () => [
  42 + 50 * random(),
  16 * random() - 7,
  22 * random() - 8,
])
const surfaces = labs.flatMap((lab, place) => {
  const full = reflectanceOfReading({ kind: 'lab', lab })
  return [100, 75, 50].map((percent) => ({ place, reflectance: atStrength(full, white, percent) }))
})
const rows: SeenRow[] = surfaces.map(({ place, reflectance }) => ({
  place,
  undertone: undertoneOf(daylight, reflectance),
  lrvPercent: lrvPercent(reflectance),
}))

/** CAM16-UCS a′ and b′ by colorjs.io, from the L*a*b* (D65) of the surface: its own model, its own viewing conditions. */
function second(row: number): { readonly a: number; readonly b: number; readonly lrv: number } {
  const [x, y, z] = xyzOf(surfaces[row]!.reflectance)
  const color = new Color('xyz-d65', [x / 100, y / 100, z / 100])
  const { M, h } = Object.fromEntries(
    ['J', 'M', 'h'].map((name, i) => [name, color.to('cam16-jmh').coords[i]]),
  ) as { M: number; h: number }
  const m = Math.log1p(0.0228 * M) / 0.0228
  const angle = (h * Math.PI) / 180
  return { a: m * Math.cos(angle), b: m * Math.sin(angle), lrv: y }
}
function xyzOf(reflectance: Float64Array): [number, number, number] {
  const { weights } = daylight
  const sum: [number, number, number] = [0, 0, 0]
  reflectance.forEach((share, band) => {
    for (let k = 0; k < 3; k++) sum[k]! += share * weights[band * 3 + k]!
  })
  return sum
}

const froms = [120, 451, 702, 1503, 2400]
// The two libraries differ by their viewing conditions: so much is left open.
const BETWEEN_LIBRARIES = 0.5
const ANGLES = { pink: 0, yellow: 84, green: 150, blue: 252 } as const

test.each(Object.entries(ANGLES))(
  'less and more %s: at least 1.5 units, LRV within 4, the other axis within 1.5, by a second library',
  (of, degrees) => {
    const angle = (degrees * Math.PI) / 180
    let answers = 0
    for (const from of froms)
      for (const kind of ['less', 'more'] as const) {
        const found = likeThis({ kind, of: of as keyof typeof ANGLES }, rows[from]!, rows, 6)
        for (const { row } of found) {
          answers++
          const [p, q] = [second(from), second(row)]
          const along =
            (kind === 'more' ? 1 : -1) *
            ((q.a - p.a) * Math.cos(angle) + (q.b - p.b) * Math.sin(angle))
          const across = -(q.a - p.a) * Math.sin(angle) + (q.b - p.b) * Math.cos(angle)
          expect(along).toBeGreaterThan(1.5 - BETWEEN_LIBRARIES)
          expect(Math.abs(across)).toBeLessThan(1.5 + BETWEEN_LIBRARIES)
          expect(Math.abs(q.lrv - p.lrv)).toBeLessThanOrEqual(4.01)
        }
      }
    expect(answers).toBeGreaterThan(20)
  },
)

test('lighter and deeper keep the lean, quieter and cleaner its direction, by a second library', () => {
  const turned = (p: { a: number; b: number }, q: { a: number; b: number }): number => {
    const apart = Math.abs(Math.atan2(p.b, p.a) - Math.atan2(q.b, q.a)) * (180 / Math.PI)
    return Math.min(apart, 360 - apart)
  }
  const strength = ({ a, b }: { a: number; b: number }): number => Math.hypot(a, b)
  let answers = 0
  for (const from of froms)
    for (const kind of ['lighter', 'deeper', 'quieter', 'cleaner'] as const)
      for (const { row } of likeThis({ kind }, rows[from]!, rows, 6)) {
        answers++
        const [p, q] = [second(from), second(row)]
        if (kind === 'lighter') expect(q.lrv).toBeGreaterThan(p.lrv)
        if (kind === 'deeper') expect(q.lrv).toBeLessThan(p.lrv)
        if (kind === 'quieter') expect(strength(q)).toBeLessThan(strength(p))
        if (kind === 'cleaner') expect(strength(q)).toBeGreaterThan(strength(p))
        if (kind === 'lighter' || kind === 'deeper') {
          expect(Math.abs(q.a - p.a)).toBeLessThan(1.5 + BETWEEN_LIBRARIES)
          expect(Math.abs(q.b - p.b)).toBeLessThan(1.5 + BETWEEN_LIBRARIES)
        }
        // Half a unit turns a short lean far.
        if (strength(p) > 4 && strength(q) > 4) expect(turned(p, q)).toBeLessThan(25)
      }
  expect(answers).toBeGreaterThan(30)
})

test('answers are other colours, a strip step away, each once, and say what else they change', () => {
  const wishes: LikeThis[] = [
    { kind: 'lighter' },
    ...LEAN_NAMES.map((of): LikeThis => ({ kind: 'more', of })),
    { kind: 'halfway', to: rows[33]!.undertone },
  ]
  const said = new Set<string>()
  for (const wish of wishes) {
    const from = rows[451]!
    const found = likeThis(wish, from, rows, 5)
    expect(new Set(found.map(({ row }) => rows[row]!.place)).size).toBe(found.length)
    for (const { row, besides } of found) {
      const { j, a, b } = rows[row]!.undertone
      const own = from.undertone
      expect(Math.hypot(j - own.j, a - own.a, b - own.b)).toBeGreaterThanOrEqual(4)
      said.add(besides)
    }
  }
  expect(said.size).toBeGreaterThan(3)
})

test('halfway to a finish lies between the two', () => {
  const from = rows[451]!
  const to = rows[33]!.undertone
  for (const { row } of likeThis({ kind: 'halfway', to }, from, rows, 4)) {
    const { j, a, b } = rows[row]!.undertone
    const own = from.undertone
    const off = Math.hypot(j - (own.j + to.j) / 2, a - (own.a + to.a) / 2, b - (own.b + to.b) / 2)
    expect(off).toBeLessThanOrEqual(4)
  }
})
