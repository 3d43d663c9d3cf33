import { Matrix, solve } from 'ml-matrix'
import { CONSTANT, WEIGHTS } from '../../src/core/pairing/score'
import reasons from '../../src/core/pairing/reasons.json'
import { DIRECTIONS, REASONS_AGAINST, REASONS_FOR } from '../../src/core/pairing/said-of-pair'
import { likeliest } from '../../src/core/pairing/softmax'
import { TERM_NAMES, TERMS } from '../../src/core/pairing/terms'
import fitted from '../../src/core/pairing/fitted.json'
import inRoom from '../../src/core/ranking/fitted.json'
import anchors from '../../src/core/undertone/anchors.json'
import { seededRandom } from '../../src/core/seeded-random'
import { correlationFigure, meanFigure, rankCorrelation } from './figures'
import { judgeRatings, type Judged } from './judged'
import { addRow, fit, noSums, predicted } from './least-squares'
import { isSure, NAMED_FILES, namedColours } from './ratings'
import { rounded } from './rounded'
import { fitSoftmax } from './softmax'

let judged: Judged
beforeAll(() => {
  judged = judgeRatings()
})

test('what is shipped is what the ratings give, every term with its sign', () => {
  expect(CONSTANT).toBe(rounded(judged.fitted.constant))
  expect([...WEIGHTS]).toEqual([...judged.fitted.weights].map(rounded))
  expect(fitted.chance).toEqual(judged.step)
  expect(inRoom.terms).toEqual(
    Object.fromEntries(
      Object.entries(judged.rooms.weights).map(([name, weight]) => [name, rounded(weight)]),
    ),
  )
  // What is told by name is what was fitted by name.
  expect(reasons.reasons.classes).toEqual([...REASONS_FOR, ...REASONS_AGAINST].sort())
  expect(reasons.directions.classes).toEqual([...DIRECTIONS].sort())
  expect(anchors).toHaveLength(NAMED_FILES.flatMap(namedColours).length)
  for (const [i, name] of TERM_NAMES.entries())
    expect(WEIGHTS[i]! * TERMS[name]).toBeGreaterThanOrEqual(0)
})

// Own ratings of common practice, see ratings/README.md. The floors lie under what was measured (docs/model.md) by what another
// machine's last digits may do, not more.
test('what was not seen is said as the raters say it', () => {
  const { pairs, says, chances, rooms, names } = judged
  const ordinary = pairs.filter(({ of }) => of.set === 'ordinary')
  const near = pairs.filter(({ of }) => of.set === 'near neutrals')
  expect(
    correlationFigure(
      ordinary.map(({ leftOut }) => leftOut),
      ordinary.map(({ score }) => score),
    ).value,
  ).toBeGreaterThan(0.77)
  const alike = (rows: readonly Judged['pairs'][number][]): number => {
    const sure = rows.filter(({ of }) => isSure(of))
    return sure.filter(({ leftOut, score }) => leftOut > 5 === score > 5).length / sure.length
  }
  expect(alike(ordinary)).toBeGreaterThan(0.95)
  expect(alike(near)).toBeGreaterThan(0.9)
  expect(alike(pairs.filter(({ score }) => score < 5))).toBeGreaterThan(0.88)
  expect(
    says.filter(({ of, said }) => said > 5 === (of.expect === 'works')).length / says.length,
  ).toBeGreaterThan(0.83)
  expect(chances.worst).toBeLessThan(0.12)
  expect(chances.mean).toBeLessThan(0.04)
  expect(chances.unsure / chances.sure).toBeLessThan(0.08)
  expect(meanFigure(rooms.correlations).value).toBeGreaterThan(0.7)
  expect(rooms.firstNearBest / rooms.correlations.length).toBeGreaterThan(0.62)
  expect(rooms.firstUnderFive / rooms.withGood).toBeLessThan(0.1)
  expect(names.accepted / names.of).toBeGreaterThan(0.95)
  expect(names.commonest / names.of).toBeGreaterThan(0.55)
})

test('without signs and ridge it is plain least squares, as a matrix library solves it', () => {
  const random = seededRandom(7)
  const rows = Array.from({ length: 60 }, () => [random(), random() * 3, random() - 0.5])
  const aims = rows.map(([x, y, z]) => 2 + x! - 0.7 * y! + 3 * z! + 0.1 * random())
  const sums = noSums(3)
  rows.forEach((row, i) => addRow(sums, row, aims[i]!))
  const own = fit(sums, [0, 0, 0], 0, 0)
  const by = solve(
    new Matrix(rows.map((row) => [1, ...row])),
    Matrix.columnVector(aims),
  ).to1DArray()
  expect([own.constant, ...own.weights]).toEqual(
    by.map((each) => expect.closeTo(each, 6) as number),
  )
  // A held sign stays at nothing, where the free one would cross it; a row taken away leaves what was before.
  expect(fit(sums, [1, 1, 1], 0, 0).weights[1]).toBe(0)
  addRow(sums, [9, 9, 9], 50)
  addRow(sums, [9, 9, 9], 50, -1)
  expect(predicted(fit(sums, [0, 0, 0], 0, 0), [0.5, 1, 0])).toBeCloseTo(
    predicted(own, [0.5, 1, 0]),
    6,
  )
})

test('three corners are told apart; ranks share their places', () => {
  const corners = { a: [2, 0], b: [-2, 1], c: [0, -3] } as const
  const rows = Object.entries(corners).flatMap(([label, [x, y]]) =>
    [0, 0.4, -0.4].map((off) => ({
      labels: [label, label],
      features: Float64Array.of(x + off, y - off),
    })),
  )
  const told = fitSoftmax(rows, ['a', 'b', 'c'], 2, 0.1)
  for (const { labels, features } of rows) expect(likeliest(told, features)).toBe(labels[0])
  // Spearman's own way: 1 − 6 Σd² / (n (n² − 1)), ranks 1 2 3 4 5 against 2 1 4 3 5.
  expect(rankCorrelation([10, 20, 30, 40, 50], [2, 1, 4, 3, 9])).toBeCloseTo(1 - 24 / 120, 9)
  expect(rankCorrelation([1, 1, 2], [5, 5, 9])).toBeCloseTo(1, 9)
})
