import type { Lab } from '../colour/lab'
import { seededRandom } from '../seeded-random'
import { isBad, isGood } from './chance'
import type { PairJudgement } from './judge-pair'
import type { KeeperKind } from './keeper-kind'
import { statedLabPair, type TradeCase } from './trade-cases.fixture'

// What the trade says of pairs (common practice, no source), each with several invented colours. All of these were looked
// at while the numbers of the judge were set; what was not stands in held-out.fixture.ts.

type Expected = (pair: PairJudgement) => boolean
const WORKS: Expected = ({ chanceIfExact }) => isGood(chanceIfExact)
const REJECTED: Expected = ({ chanceIfExact }) => isBad(chanceIfExact)
const NOT_WELL: Expected = ({ chanceIfExact }) => !isGood(chanceIfExact)
const CONTRASTS: Expected = ({ pairing, chanceIfExact }) =>
  pairing === 'sets off' && isGood(chanceIfExact)

interface Rule {
  readonly says: string
  readonly kind: KeeperKind
  readonly walls: readonly Lab[]
  readonly finishes: readonly Lab[]
  readonly expected: Expected
}

const RULES: readonly Rule[] = [
  {
    says: 'an orange-pink stone takes a pink beige',
    kind: 'stone',
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
    kind: 'stone',
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
    kind: 'trim',
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
    kind: 'stone',
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
    kind: 'tile',
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
    kind: 'trim',
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
    says: 'a washed-out off-white looks empty beside cream',
    kind: 'cabinets',
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
    kind: 'curtain',
    walls: [
      [66, 34, 24],
      [70, 30, 22],
      [62, 36, 26],
    ],
    finishes: [
      [48, -22, -12],
      [52, -20, -14],
    ],
    expected: CONTRASTS,
  },
  {
    says: 'terracotta sets off a clear blue',
    kind: 'curtain',
    walls: [
      [52, 28, 28],
      [56, 26, 26],
    ],
    finishes: [
      [46, -8, -28],
      [50, -10, -26],
    ],
    expected: CONTRASTS,
  },
  {
    says: 'a finish is stretched lighter and softer',
    kind: 'stone',
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
    kind: 'floor',
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
    kind: 'stone',
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
    kind: 'stone',
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
    kind: 'floor',
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
    kind: 'trim',
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
    kind: 'floor',
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
    kind: 'tile',
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
    kind: 'art',
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
    kind: 'stone',
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
    kind: 'stone',
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
    says: 'a deep navy takes a cream trim: too far apart to quarrel',
    kind: 'trim',
    walls: [
      [22, 2, -18],
      [26, 0, -16],
    ],
    finishes: [
      [91, 0, 9],
      [93, 0, 7],
    ],
    expected: WORKS,
  },
  {
    says: 'a dark blue slate takes a cream wall: too far apart to quarrel',
    kind: 'stone',
    walls: [
      [91, 0, 10],
      [89, 1, 12],
    ],
    finishes: [
      [30, -2, -9],
      [26, -1, -8],
    ],
    expected: WORKS,
  },
  {
    says: 'grey-taupe tile takes a soft off-white',
    kind: 'tile',
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

/** Every colour moved by ΔE 1 in a random direction. */
export function jittered(): (lab: Lab) => Lab {
  const random = seededRandom(17)
  return ([l, a, b]) => {
    const [x, y, z] = [random() - 0.5, random() - 0.5, random() - 0.5]
    const length = Math.hypot(x, y, z)
    return [l + x / length, a + y / length, b + z / length]
  }
}

/** Our own rules as cases, every wall of a rule with every finish of it. */
export function ownRuleCases(moved: (lab: Lab) => Lab = (lab) => lab): TradeCase[] {
  return RULES.flatMap((rule) =>
    rule.walls.flatMap((wall) =>
      rule.finishes.map((finish) => {
        const judged = statedLabPair(moved(wall), moved(finish), rule.kind)
        return {
          says: rule.says,
          family: rule.kind,
          holds: rule.expected(judged),
          said: `${judged.pairing}, ${judged.chanceIfExact.toFixed(2)}`,
        }
      }),
    ),
  )
}
