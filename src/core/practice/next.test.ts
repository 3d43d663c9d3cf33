import { toAskAgain } from './again'
import { answered, onDay } from './answer.fixture'
import { questionName } from './answer'
import { beliefOfKind, beliefOfStrand } from './belief'
import { PRACTICE_KINDS } from './kinds'
import { A_ROUND, nextOf, type Next } from './next'
import { AT_FIRST } from './staircase'

const ROUND = { kinds: [], seed: 11 }
const wanted = (next: Next) => {
  if (next.as !== 'new') throw new Error('asked again')
  return next.wanted
}

test('what was missed comes again within minutes, then after days that grow; what was right at once never does', () => {
  expect(toAskAgain([answered(1, true)])).toEqual([])
  const missed = [answered(1, false)]
  const [first] = toAskAgain(missed)
  expect(first!.dueMs - Date.parse(missed[0]!.at)).toBeLessThan(15 * 60_000)
  const later = [0.01, 0.02].reduce(
    (answers, day) => [...answers, answered(1, true, { day })],
    missed,
  )
  const gap = (answers: typeof missed): number =>
    toAskAgain(answers)[0]!.dueMs - Date.parse(answers.at(-1)!.at)
  const longer = [...later, answered(1, true, { day: 5 })]
  expect(gap(later)).toBeGreaterThanOrEqual(86_400_000)
  expect(gap(longer)).toBeGreaterThan(gap(later))
  // Missed once more it comes soon.
  expect(gap([...longer, answered(1, false, { day: 20 })])).toBeLessThan(gap(longer))
})

test('what is known for months is not asked for any more', () => {
  const days = [0, 1, 4, 20, 90, 250]
  const answers = days.map((day) => answered(1, day > 0, { day }))
  expect(toAskAgain(answers)).toEqual([])
})

test('laid out in another order it is the same question', () => {
  const { spec } = answered(1, false)
  const two = { ...spec, paints: [{ invented: 1 }, { invented: 2 }] }
  expect(questionName({ ...two, paints: two.paints.toReversed(), turn: 9 })).toBe(questionName(two))
  expect(questionName({ ...two, light: 'low sun' })).not.toBe(questionName(two))
})

test('every third question of a round is one that is due, once a round, and of the kinds that were chosen', () => {
  const before = [answered(1, false), answered(2, false), answered(3, true)]
  const asked: Next[] = []
  for (let n = 0; n < A_ROUND; n++) {
    const given = asked.map((next, i) =>
      next.as === 'again'
        ? { ...answered(90 + i, true, { day: 2 }), spec: next.spec }
        : answered(50 + i, true, { day: 2 }),
    )
    asked.push(nextOf(ROUND, [...before, ...given], n, [], onDay(2)))
  }
  const again = asked.flatMap((next, n) => (next.as === 'again' ? [n] : []))
  expect(again).toEqual([2, 5])
  const other = nextOf({ ...ROUND, kinds: ['how light'] }, before, 2, [], onDay(2))
  expect(wanted(other).kind).toBe('how light')
})

test('a round goes through its kinds in turn, the same round alike and another otherwise', () => {
  const kindsOf = (seed: number): string[] =>
    Array.from(
      { length: PRACTICE_KINDS.length },
      (_, n) => wanted(nextOf({ kinds: [], seed }, [], n, [], 0)).kind,
    )
  expect([...kindsOf(1)].sort()).toEqual([...PRACTICE_KINDS].sort())
  expect(kindsOf(1)).toEqual(kindsOf(1))
  expect(kindsOf(1)).not.toEqual(kindsOf(2))
})

test('it gets harder for who is right and easier for who is not', () => {
  const level = (isRight: boolean): number =>
    wanted(
      nextOf(
        { kinds: ['which of two'], seed: 3 },
        Array.from({ length: 30 }, (_, n) => answered(n, isRight)),
        0,
        [],
        0,
      ),
    ).level
  expect(level(true)).toBeLessThan(0.5 * level(false))
})

test('a strand begins where its kind has come to, and goes its own way', () => {
  const strand = { kind: 'which of two', lean: 'blue', finish: 'none', light: 'low sun' } as const
  const others = Array.from({ length: 60 }, (_, n) => answered(n, true, { level: 3 }))
  const kind = beliefOfKind(others, 'which of two')
  const fresh = beliefOfStrand(others, strand)
  expect(fresh.mean).toBeCloseTo(kind.mean, 1)
  expect(fresh.spread).toBeGreaterThan(kind.spread)
  const own = Array.from({ length: 12 }, (_, n) => answered(200 + n, false, { level: 3, strand }))
  expect(beliefOfStrand([...others, ...own], strand).mean).toBeGreaterThan(fresh.mean + 0.2)
  expect(beliefOfStrand([], strand).mean).toBeCloseTo(AT_FIRST.mean, 1)
})
