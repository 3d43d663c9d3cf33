import { prepareLight } from '../colour/appearance'
import { daylightSpectrum } from '../colour/daylight'
import type { Lab } from '../colour/lab'
import { reflectanceOfReading } from '../paint/reading'
import { seededRandom } from '../seeded-random'
import { pairingOf, type Pairing } from './pairing'
import { undertoneOf } from '../undertone/undertone'

// What the trade says of pairs (common practice, no source), each with several invented colours. The
// thresholds came from a trial on paper and are tuned, where they are, to the tuned half only. The
// shares that hold may only rise.

const WORKS: readonly Pairing[] = ['connects', 'quiet stretch', 'contrasts', 'bridges']
const REJECTED: readonly Pairing[] = ['clashes', 'near miss', 'washes out', 'dirties']
const NOT_WELL: readonly Pairing[] = [...REJECTED, 'unsure']

interface Rule {
  readonly says: string
  readonly half: 'tuned' | 'untuned'
  readonly walls: readonly Lab[]
  readonly finishes: readonly Lab[]
  readonly expected: readonly Pairing[]
}

const RULES: readonly Rule[] = [
  {
    says: 'an orange-pink stone takes a pink beige',
    half: 'tuned',
    walls: [
      [80, 5, 9],
      [84, 4, 8],
      [78, 6, 11],
    ],
    finishes: [
      [66, 9, 14],
      [60, 10, 15],
    ],
    expected: WORKS,
  },
  {
    says: 'an orange-pink stone rejects a green-leaning tan',
    half: 'untuned',
    walls: [
      [72, -4, 14],
      [76, -3, 15],
      [70, -5, 12],
    ],
    finishes: [
      [66, 9, 14],
      [60, 10, 15],
    ],
    expected: REJECTED,
  },
  {
    says: 'cream trim takes a yellow-leaning tan',
    half: 'tuned',
    walls: [
      [76, 1, 16],
      [72, 1, 18],
      [80, 0, 14],
    ],
    finishes: [
      [91, 0, 11],
      [92, 0.5, 9],
    ],
    expected: WORKS,
  },
  {
    says: 'a violet-flecked stone rejects yellow-green',
    half: 'tuned',
    walls: [
      [75, -7, 18],
      [80, -6, 16],
      [68, -8, 20],
    ],
    finishes: [
      [60, 5, -7],
      [54, 6, -8],
    ],
    expected: REJECTED,
  },
  {
    says: 'blue-white tile makes a warm off-white look dirty',
    half: 'tuned',
    walls: [
      [90, 1, 8],
      [88, 1, 9],
      [91, 0.5, 10],
    ],
    finishes: [
      [94, -0.5, -3],
      [95, -1, -2],
    ],
    expected: REJECTED,
  },
  {
    says: 'blue-white trim is no friend of a beige',
    half: 'untuned',
    walls: [
      [80, 5, 11],
      [76, 6, 13],
      [84, 4, 10],
    ],
    finishes: [
      [94, -0.5, -3],
      [95, -1, -4],
    ],
    expected: NOT_WELL,
  },
  {
    says: 'a washed-out off-white looks insipid beside cream',
    half: 'untuned',
    walls: [
      [92, 0, 1.5],
      [93, 0, 1],
      [92.5, -0.3, 1.5],
    ],
    finishes: [
      [91, 0, 11],
      [90, 0.5, 13],
    ],
    expected: REJECTED,
  },
  {
    says: 'coral sets off blue-green',
    half: 'tuned',
    walls: [
      [66, 34, 24],
      [70, 30, 22],
      [62, 36, 26],
    ],
    finishes: [
      [48, -22, -12],
      [52, -20, -14],
    ],
    expected: ['contrasts'],
  },
  {
    says: 'terracotta sets off a clear blue',
    half: 'untuned',
    walls: [
      [52, 28, 28],
      [56, 26, 26],
    ],
    finishes: [
      [46, -8, -28],
      [50, -10, -26],
    ],
    expected: ['contrasts'],
  },
  {
    says: 'a finish is stretched lighter and softer',
    half: 'tuned',
    walls: [
      [82, 3, 6],
      [86, 2, 5],
      [78, 4, 8],
    ],
    finishes: [
      [62, 8, 15],
      [58, 8, 16],
    ],
    expected: WORKS,
  },
  {
    says: 'an oak floor takes a warm off-white',
    half: 'untuned',
    walls: [
      [91, 0.5, 6],
      [89, 1, 7],
      [92, 0.5, 5],
    ],
    finishes: [
      [55, 9, 24],
      [60, 8, 22],
    ],
    expected: WORKS,
  },
  {
    says: 'pink veins in a grey reject green',
    half: 'untuned',
    walls: [
      [76, -6, 6],
      [72, -7, 7],
      [80, -5, 5],
    ],
    finishes: [
      [62, 9, 4],
      [58, 10, 3],
    ],
    expected: REJECTED,
  },
  {
    says: 'cool greys sit with cool greys',
    half: 'untuned',
    walls: [
      [74, -1, -3],
      [82, -0.5, -2],
    ],
    finishes: [
      [50, -1, -4],
      [42, -1, -5],
    ],
    expected: WORKS,
  },
  {
    says: 'a blue-grey rejects an orange floor',
    half: 'tuned',
    walls: [
      [70, -2, -5],
      [74, -2, -6],
      [66, -1, -6],
    ],
    finishes: [
      [62, 14, 26],
      [60, 12, 24],
    ],
    expected: NOT_WELL,
  },
  {
    says: 'a pink beige and a yellow cream of one lightness are a near miss or worse',
    half: 'untuned',
    walls: [
      [90, 3.5, 6],
      [89, 4, 6],
    ],
    finishes: [
      [91, -0.5, 12],
      [90, -1, 13],
    ],
    expected: NOT_WELL,
  },
  {
    says: 'dark wood takes a greyed off-white',
    half: 'tuned',
    walls: [
      [88, 0.5, 4],
      [86, 0.5, 5],
      [90, 0, 4],
    ],
    finishes: [
      [30, 8, 10],
      [28, 7, 9],
    ],
    expected: WORKS,
  },
  {
    says: 'a greige bridges to a cool grey',
    half: 'tuned',
    walls: [
      [72, 1, 6],
      [76, 0.5, 5],
    ],
    finishes: [
      [58, -1, -3],
      [50, -0.5, -2],
    ],
    expected: WORKS,
  },
  {
    says: 'deep green sets off brass',
    half: 'tuned',
    walls: [
      [32, -16, 6],
      [28, -18, 8],
    ],
    finishes: [
      [62, 5, 38],
      [58, 6, 34],
    ],
    expected: WORKS,
  },
  {
    says: 'a black ground goes with any clean wall',
    half: 'tuned',
    walls: [
      [80, 5, 10],
      [74, -5, 8],
      [85, 0, 6],
      [70, -2, -6],
    ],
    finishes: [
      [12, 0.5, 1],
      [15, 0, -1.5],
    ],
    expected: WORKS,
  },
  {
    says: 'cream does not suit travertine',
    half: 'untuned',
    walls: [
      [91, -1, 12],
      [90, -0.5, 13],
    ],
    finishes: [
      [82, 4, 11],
      [80, 5, 12],
    ],
    expected: NOT_WELL,
  },
  {
    says: 'grey-taupe tile takes a soft off-white',
    half: 'untuned',
    walls: [
      [91, 1, 3],
      [92, 0.8, 3],
    ],
    finishes: [
      [58, 3, 4],
      [54, 3, 5],
    ],
    expected: WORKS,
  },
]

const noon = prepareLight(daylightSpectrum(6504), 800)
const seen = (lab: Lab) => undertoneOf(noon, reflectanceOfReading({ kind: 'lab', lab }))

interface Case {
  readonly rule: Rule
  readonly wall: Lab
  readonly finish: Lab
}
const casesOf = (half: Rule['half']): Case[] =>
  RULES.filter((rule) => rule.half === half).flatMap((rule) =>
    rule.walls.flatMap((wall) => rule.finishes.map((finish) => ({ rule, wall, finish }))),
  )

/** Share of cases that hold, per cent; prints those that do not. */
function shareThatHolds(name: string, cases: readonly Case[]): number {
  const misses = cases.filter(
    ({ rule, wall, finish }) => !rule.expected.includes(pairingOf(seen(wall), seen(finish))),
  )
  const share = (100 * (cases.length - misses.length)) / cases.length
  const missed = [...new Set(misses.map(({ rule }) => rule.says))].join('; ')
  console.log(
    `trade rules, ${name}: ${share.toFixed(1)} % of ${cases.length} hold${missed && ` (missed in part: ${missed})`}`,
  )
  return share
}

test('the half that the thresholds were tuned on', () => {
  expect(shareThatHolds('tuned half', casesOf('tuned'))).toBeGreaterThanOrEqual(95)
})

test('the half that was never tuned to', () => {
  expect(shareThatHolds('untuned half', casesOf('untuned'))).toBeGreaterThanOrEqual(90)
})

test('both halves with every colour moved by ΔE 1 in a random direction', () => {
  const random = seededRandom(17)
  const jitter = ([l, a, b]: Lab): Lab => {
    const [x, y, z] = [random() - 0.5, random() - 0.5, random() - 0.5]
    const length = Math.hypot(x, y, z)
    return [l + x / length, a + y / length, b + z / length]
  }
  const moved = [...casesOf('tuned'), ...casesOf('untuned')].flatMap((each) =>
    Array.from({ length: 5 }, () => ({
      ...each,
      wall: jitter(each.wall),
      finish: jitter(each.finish),
    })),
  )
  expect(shareThatHolds('under ± 1 ΔE of jitter', moved)).toBeGreaterThanOrEqual(90)
})
