import { seededRandom } from '../seeded-random'
import type { Xyz } from '../colour/spectrum'
import { CONFUSIONS, COPUNCTAL, isOnScreen, offGrey, type Confusion } from './confusion'
import {
  brickWall,
  nextLine,
  screened,
  toldOf,
  type BrickAnswer,
  type BrickWall,
} from './screening'

// Cones of Smith and Pokorny (1975) from XYZ, as in Wyszecki and Stiles (1982), section 8.2: long, middle, short.
const cones = ([x, y, z]: Xyz): readonly [l: number, m: number, s: number] => [
  0.15514 * x + 0.54312 * y - 0.03286 * z,
  -0.15514 * x + 0.45684 * y + 0.03286 * z,
  0.00801 * z,
]
const LACKS: Readonly<Record<Confusion, number>> = { protan: 0, deutan: 1, tritan: 2 }

test.each(CONFUSIONS)('where the lines of %s meet only the missing cone is left', (confusion) => {
  const [x, y] = COPUNCTAL[confusion]
  cones([x, y, 1 - x - y]).forEach((response, cone) => {
    if (cone !== LACKS[confusion]) expect(Math.abs(response)).toBeLessThan(2e-4)
  })
})

/** Somebody who goes by the ratios of the cones that they have, each seen within a little error. */
function answersTo(wall: BrickWall, lacks: Confusion | null, random: () => number): number {
  const ratio = (brick: Xyz): readonly number[] => {
    const left = cones(brick).filter((_, cone) => lacks === null || cone !== LACKS[lacks])
    const grey = cones(offGrey('protan', 0, brick[1])).filter(
      (_, cone) => lacks === null || cone !== LACKS[lacks],
    )
    return left.slice(1).map((each, i) => Math.log(each / left[i]! / (grey[i + 1]! / grey[i]!)))
  }
  const oddness = wall.courses.map((course) => {
    const means = ratio(course[0]!).map(
      (_, i) => course.reduce((sum, brick) => sum + ratio(brick)[i]!, 0) / course.length,
    )
    return Math.hypot(...means) + 0.004 * random()
  })
  return oddness.indexOf(Math.max(...oddness))
}

function screening(lacks: Confusion | null, seed: number): readonly BrickAnswer[] {
  const random = seededRandom(seed)
  const answers: BrickAnswer[] = []
  for (let line = nextLine(answers); line; line = nextLine(answers)) {
    const wall = brickWall(line, Math.floor(random() * 1e9))
    answers.push({ confusion: line, isRight: answersTo(wall, lacks, random) === wall.odd })
  }
  return answers
}

test.each([1, 2, 3, 4, 5])('all cones tell every line, in few walls, seed %d', (seed) => {
  const answers = screening(null, seed)
  expect(screened(answers).isPlain).toBe(true)
  expect(answers.length).toBeLessThanOrEqual(15)
})

test.each(CONFUSIONS.flatMap((lacks) => [1, 2, 3].map((seed) => [lacks, seed] as const)))(
  'somebody without the cones of %s misses that line and is told when to ask another, seed %d',
  (lacks, seed) => {
    const answers = screening(lacks, seed)
    expect(toldOf(answers, lacks)).not.toBe('told')
    const { isPlain, second } = screened(answers)
    expect(isPlain).toBe(false)
    expect(second).toContain(lacks === 'tritan' ? 'cream beside a white' : 'pink beside green')
  },
)

test('every brick can be shown, and depth tells nothing of the course', () => {
  for (const confusion of CONFUSIONS)
    for (let seed = 0; seed < 40; seed++) {
      const { courses, odd } = brickWall(confusion, seed)
      expect(courses.flat().every(isOnScreen)).toBe(true)
      const depths = courses.map((course) => course.map(([, y]) => y))
      const rest = depths.filter((_, i) => i !== odd).flat()
      expect(Math.min(...depths[odd]!)).toBeLessThan(Math.max(...rest))
      expect(Math.max(...depths[odd]!)).toBeGreaterThan(Math.min(...rest))
    }
})

test('slips are forgiven; guesses all along are not', () => {
  const of = (right: string): BrickAnswer[] =>
    [...right].map((each) => ({ confusion: 'deutan', isRight: each === 'r' }))
  expect(toldOf(of('rrrr'), 'deutan')).toBe('told')
  expect(toldOf(of('rrwrrrr'), 'deutan')).toBe('told')
  expect(toldOf(of('ww'), 'deutan')).toBe('missed')
  expect(toldOf(of('rw'), 'deutan')).toBe('unsure')
})
