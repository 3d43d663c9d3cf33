import { DEFAULT_HOUSE_RULES } from '../advice/house-rules'
import { seededBell, seededRandom } from '../seeded-random'
import { roomForColour } from '../undertone/undertone'
import type { KeeperKind } from './keeper-kind'
import { LIMITS } from './limits'
import { roleOf } from './role'
import { emptyStrengths, pairStrengths, type PairStrengths } from './strengths'
import { emptySurface, fillSurface } from './surface'

// A chance says how often a condition holds, over all that two readings may be. Here each is counted: the readings are drawn
// from their spread (Metropolis and Ulam 1949), and the condition is asked of every draw as the trade says it, yes or no.

interface Drawn {
  readonly j: number
  readonly a: number
  readonly b: number
  readonly c: number
}

const drawn = (j: number, a: number, b: number): Drawn => ({ j, a, b, c: Math.hypot(a, b) })

const turnDeg = (wall: Drawn, finish: Drawn): number => {
  const cos = (wall.a * finish.a + wall.b * finish.b) / (wall.c * finish.c)
  return (Math.acos(Math.min(1, Math.max(-1, cos))) * 180) / Math.PI
}
const felt = ({ j, c }: Drawn): boolean => c > LIMITS.feltLean * roomForColour(j)
const cleanness = ({ j, c }: Drawn): number => c / roomForColour(j)
const isLight = ({ j }: Drawn): boolean => j > LIMITS.lightFrom
const isSlight = ({ c }: Drawn): boolean => c < LIMITS.bridge.leanBelow
const isFar = (one: Drawn, other: Drawn): boolean =>
  Math.abs(one.j - other.j) > LIMITS.bridge.apart + LIMITS.bridge.perLean * other.c
const conflict = (wall: Drawn, finish: Drawn): number =>
  ((4 * wall.c * finish.c) / (wall.c + finish.c)) *
  Math.sin((turnDeg(wall, finish) * Math.PI) / 360) *
  Math.exp(-(((wall.j - finish.j) / LIMITS.lightnessScale) ** 2))
const contrast = (wall: Drawn, finish: Drawn): boolean =>
  turnDeg(wall, finish) > LIMITS.contrast.hueDeg &&
  Math.min(wall.c, finish.c) > LIMITS.contrast.weaker &&
  Math.max(wall.c, finish.c) > LIMITS.contrast.stronger
const isBlack = ({ j, c }: Drawn): boolean => j < LIMITS.black.jBelow && c < LIMITS.black.leanBelow
const nearInHue = (wall: Drawn, finish: Drawn): boolean =>
  !(isLight(wall) && isLight(finish)) &&
  turnDeg(wall, finish) < LIMITS.dirty.hueDeg &&
  Math.abs(wall.j - finish.j) < LIMITS.dirty.lightness

interface Condition {
  readonly name: keyof PairStrengths
  readonly kind: KeeperKind
  /** Where walls lie, J′ and lean, and how far from them finishes. */
  readonly j: readonly [number, number]
  readonly lean: number
  readonly apart: number
  readonly holds: (wall: Drawn, finish: Drawn) => boolean
  /** How far from the count its chance may be, on the mean over pairs: conditions that hang together are multiplied. */
  readonly miss: number
}

const CONDITIONS: readonly Condition[] = [
  {
    name: 'quiet',
    kind: 'stone',
    j: [45, 85],
    lean: 14,
    apart: 8,
    miss: 0.0195,
    holds: (wall, finish) =>
      turnDeg(wall, finish) < LIMITS.quiet.hueDeg &&
      wall.j - finish.j > LIMITS.quiet.lighter &&
      wall.c < finish.c &&
      felt(wall) &&
      felt(finish),
  },
  {
    name: 'contrasts',
    kind: 'stone',
    j: [45, 80],
    lean: 26,
    apart: 20,
    miss: 0.0233,
    holds: contrast,
  },
  {
    name: 'contrasts',
    kind: 'curtain',
    j: [30, 85],
    lean: 12,
    apart: 40,
    miss: 0.0703,
    holds: (wall, finish) => {
      const { hueDeg, strong, perLightness } = LIMITS.setOff
      const stretch = 1 + Math.abs(wall.j - finish.j) / perLightness
      return (
        contrast(wall, finish) ||
        (felt(finish) &&
          turnDeg(wall, finish) > hueDeg &&
          Math.max(wall.c, finish.c) * stretch > strong)
      )
    },
  },
  {
    name: 'contrasts',
    kind: 'trim',
    j: [50, 90],
    lean: 12,
    apart: 40,
    miss: 0.0294,
    holds: (wall, finish) => {
      const { hueDeg, darker, lean } = LIMITS.deepTrim
      return (
        contrast(wall, finish) ||
        (turnDeg(wall, finish) > hueDeg && wall.j - finish.j > darker && finish.c > lean)
      )
    },
  },
  {
    name: 'clashes',
    kind: 'stone',
    j: [20, 85],
    lean: 14,
    apart: 40,
    miss: 0.0765,
    holds: (wall, finish) =>
      conflict(wall, finish) > LIMITS.conflict &&
      felt(wall) &&
      felt(finish) &&
      !contrast(wall, finish) &&
      !(isSlight(wall) && isFar(wall, finish)) &&
      !isBlack(wall) &&
      !isBlack(finish),
  },
  {
    name: 'nearMiss',
    kind: 'metal',
    j: [20, 95],
    lean: 10,
    apart: 6,
    miss: 0.074,
    holds: (wall, finish) => {
      const near = LIMITS.nearMiss
      const dj = Math.abs(wall.j - finish.j)
      const e = Math.hypot(dj, wall.a - finish.a, wall.b - finish.b)
      return (
        e > near.fromE &&
        e < near.belowE &&
        (conflict(wall, finish) > near.conflict || dj < near.lightness) &&
        !(turnDeg(wall, finish) < near.sameHueDeg && dj > near.apart)
      )
    },
  },
  {
    name: 'bridges',
    kind: 'stone',
    j: [45, 85],
    lean: 9,
    apart: 40,
    miss: 0.0402,
    holds: (wall, finish) => isSlight(wall) && isFar(wall, finish),
  },
  {
    name: 'bridges',
    kind: 'trim',
    j: [40, 85],
    lean: 9,
    apart: 40,
    miss: 0.0593,
    holds: (wall, finish) =>
      (isSlight(wall) && isFar(wall, finish)) || (isSlight(finish) && isFar(finish, wall)),
  },
  {
    name: 'washesOut',
    kind: 'cabinets',
    j: [86, 98],
    lean: 10,
    apart: 6,
    miss: 0.0475,
    holds: (wall, finish) => {
      const pale = LIMITS.washesOut
      return (
        isLight(wall) &&
        isLight(finish) &&
        finish.c > pale.finishLean &&
        wall.c < pale.share * finish.c &&
        wall.j > finish.j - pale.darker &&
        (turnDeg(wall, finish) < pale.hueDeg || wall.c < pale.paleBelow)
      )
    },
  },
  {
    name: 'dirties',
    kind: 'tile',
    j: [86, 98],
    lean: 10,
    apart: 8,
    miss: 0.054,
    holds: (wall, finish) => {
      const light = LIMITS.dirtyLight
      return (
        isLight(wall) &&
        isLight(finish) &&
        wall.b - finish.b > light.yellower &&
        finish.j - wall.j > light.darkerFrom &&
        finish.j - wall.j < light.darkerTo &&
        finish.c < light.finishLeanBelow
      )
    },
  },
  {
    name: 'dirties',
    kind: 'stone',
    j: [40, 78],
    lean: 16,
    apart: 24,
    miss: 0.0401,
    holds: (wall, finish) =>
      nearInHue(wall, finish) &&
      wall.c > LIMITS.dirty.leanFrom &&
      cleanness(finish) > LIMITS.dirty.cleaner * cleanness(wall),
  },
  {
    name: 'ages',
    kind: 'stone',
    j: [40, 78],
    lean: 16,
    apart: 24,
    miss: 0.0409,
    holds: (wall, finish) =>
      nearInHue(wall, finish) &&
      finish.c > LIMITS.dirty.leanFrom &&
      cleanness(wall) > LIMITS.dirty.cleanerWall * cleanness(finish),
  },
]

const DRAWS = 120
const PAIRS = 60

test.each(CONDITIONS)('$name beside a $kind: so often as it is counted', (condition) => {
  const { name, kind, j, lean, apart, holds, miss } = condition
  const role = roleOf(kind, DEFAULT_HOUSE_RULES)
  const random = seededRandom(3)
  const bell = seededBell(5)
  const between = (least: number, most: number): number => least + (most - least) * random()
  let missed = 0
  let pairs = 0
  while (pairs < PAIRS) {
    const place = (from: readonly [number, number]): Drawn => {
      const [angle, c] = [between(0, 2 * Math.PI), between(0, lean)]
      return drawn(between(...from), c * Math.cos(angle), c * Math.sin(angle))
    }
    const wall = place(j)
    const finish = place([wall.j - apart, wall.j + apart])
    const spreads = [between(0, 2), between(0, 2)] as const
    const surfaces = [wall, finish].map((each, i) =>
      fillSurface(emptySurface(), each.j, each.a, each.b, spreads[i]!, spreads[i]!),
    )
    const said = pairStrengths(surfaces[0]!, surfaces[1]!, role, emptyStrengths())[name]
    // What hardly ever holds teaches nothing.
    if (said < 0.02) continue
    let count = 0
    for (let n = 0; n < DRAWS; n++) {
      const [one, other] = surfaces.map(({ j, a, b, varJ, varLean }) =>
        drawn(
          j + bell() * Math.sqrt(varJ),
          a + bell() * Math.sqrt(varLean),
          b + bell() * Math.sqrt(varLean),
        ),
      )
      if (holds(one!, other!)) count++
    }
    missed += Math.abs(said - count / DRAWS)
    pairs++
  }
  expect(missed / PAIRS).toBeLessThan(miss)
})
