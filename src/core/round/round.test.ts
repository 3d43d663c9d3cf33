import type { Look, Seen } from '../record/look'
import { look as lookOf } from '../record/look.fixture'
import type { Verdict } from '../record/verdict'
import { roundOf, type RoundKeeper, type RoundManner } from './round'
import { shuffledBy } from './shuffled-by'

const KEEPERS: readonly RoundKeeper[] = [
  { id: 'floor', settles: true },
  { id: 'stone', settles: true },
  { id: 'sofa', settles: false },
]
const CANDIDATES = ['fawn', 'dun', 'whey', 'rust']

const look = (
  keeperId: string,
  candidateId: string,
  verdict: Verdict | null,
  given: {
    seen?: Seen
    lamps?: boolean
    minute?: number
    part?: string
    retracted?: boolean
  } = {},
): Look => {
  const one = lookOf(verdict ?? 'works', {
    beside: keeperId,
    seen: given.seen ?? { as: 'sample', held: 'board', strengthPercent: 100 },
    ...(given.lamps && { source: 'lamps', lampsOn: true }),
    ...(given.minute !== undefined && { minute: given.minute }),
    ...(given.part !== undefined && { part: given.part }),
    ...(given.retracted && { retracted: true }),
  })
  return {
    ...one,
    candidate: { candidateId, strengthPercent: 100, sheen: 'matt' },
    verdict,
    lean: verdict === null ? 'pink' : null,
  }
}
const round = (looks: readonly Look[], manner: RoundManner = 'samples by day') =>
  roundOf(KEEPERS, CANDIDATES, looks, manner, 'kitchen')
const leftOf = (...asked: Parameters<typeof round>) =>
  round(...asked).left.map(({ keeperId, candidateId }) => `${keeperId} ${candidateId}`)

test('the dearest finish first, every candidate past it, then the next', () => {
  const { pairs, left, asked, settled } = round([])
  expect(pairs.map(({ keeperId }) => keeperId)).toEqual(
    ['floor', 'stone', 'sofa'].flatMap((id) => [id, id, id, id]),
  )
  for (const from of [0, 4, 8])
    expect(
      pairs
        .slice(from, from + 4)
        .map(({ candidateId }) => candidateId)
        .sort(),
    ).toEqual([...CANDIDATES].sort())
  expect([left, asked, settled.size]).toEqual([pairs, 0, 0])
})

test('what a fixed finish ruled out is not asked again; a furnishing settles nothing', () => {
  const left = leftOf([look('floor', 'fawn', 'no'), look('sofa', 'dun', 'no')])
  expect(left.filter((pair) => pair.endsWith('fawn'))).toEqual([])
  expect(left.filter((pair) => pair.endsWith('dun'))).toEqual(['floor dun', 'stone dun'])
  expect(left).toHaveLength(12 - 3 - 1)
})

test('taken back, said without a verdict or ruled on anew, a no settles no more', () => {
  for (const looks of [
    [look('floor', 'fawn', 'no', { retracted: true })],
    [look('floor', 'fawn', null)],
  ])
    expect(leftOf(looks)).toHaveLength(12)
  expect(leftOf([look('floor', 'fawn', 'no'), look('floor', 'fawn', 'works')])).toHaveLength(11)
})

test('the record’s own rule says what is a no: one part or one light is enough, a board speaks for a chip', () => {
  const isSettled = (...looks: Look[]) => round(looks).settled.get('fawn') === 'floor'
  const no = look('floor', 'fawn', 'no', { part: 'vein' })
  expect(isSettled(no, look('floor', 'fawn', 'works', { part: 'ground' }))).toBe(true)
  const early = look('floor', 'fawn', 'no', { minute: 540 })
  expect(isSettled(early, look('floor', 'fawn', 'works', { minute: 1080 }))).toBe(true)
  const chip = { as: 'sample', held: 'chip', strengthPercent: 100 } as const
  expect(isSettled(look('floor', 'fawn', 'no', { seen: chip }))).toBe(true)
  expect(
    isSettled(look('floor', 'fawn', 'no', { seen: chip }), look('floor', 'fawn', 'works')),
  ).toBe(false)
})

test('each manner asks for itself: samples by day and under lamps apart, on the screen whatever was seen', () => {
  const byDay = [look('floor', 'fawn', 'no')]
  const lamps = [look('floor', 'fawn', 'no', { lamps: true })]
  const screen = [look('floor', 'fawn', 'no', { seen: { as: 'screen' } })]
  const left = (manner: RoundManner) =>
    [byDay, lamps, screen].map((looks) => round(looks, manner).left.length)
  // A no of a sample settles in every light; one on the screen only there.
  expect(left('samples by day')).toEqual([9, 9, 12])
  expect(left('samples under lamps')).toEqual([9, 9, 12])
  expect(left('screen')).toEqual([9, 9, 9])
  const works = look('floor', 'fawn', 'works')
  expect(round([works], 'samples by day').left).toHaveLength(11)
  expect(round([works], 'samples under lamps').left).toHaveLength(12)
  // A furnishing's no by day is not asked under lamps; the other finishes are.
  const sofa = look('sofa', 'fawn', 'no')
  expect(round([sofa], 'samples under lamps').left).toHaveLength(11)
})

test('the end in sight: each answer leaves fewer to ask, at least by itself, and what was asked only grows', () => {
  const answers = KEEPERS.flatMap(({ id }, k) =>
    CANDIDATES.map((c, n) => look(id, c, (n + k) % 3 === 0 ? 'no' : 'works')),
  )
  let before = round([])
  expect([before.asked, before.left.length]).toEqual([0, 12])
  for (let n = 1; n <= answers.length; n++) {
    const after = round(answers.slice(0, n))
    expect(after.left.length).toBeLessThanOrEqual(before.left.length)
    expect(after.asked).toBe(n)
    before = after
  }
  expect(before.left).toEqual([])
})

test('the order hangs on the seed, and stays as it is when one is added or dropped', () => {
  const ids = Array.from({ length: 40 }, (_, i) => `c${i}`)
  const order = shuffledBy(ids, (id) => id, 'kitchen')
  expect([...order].sort()).toEqual([...ids].sort())
  expect(order).not.toEqual(ids)
  expect(shuffledBy(ids, (id) => id, 'hall')).not.toEqual(order)
  expect(shuffledBy(ids.slice(1), (id) => id, 'kitchen')).toEqual(order.filter((id) => id !== 'c0'))
  // No id is first in every room.
  const firsts = new Set(
    Array.from({ length: 60 }, (_, n) => shuffledBy(ids, (id) => id, `${n}`)[0]),
  )
  expect(firsts.size).toBeGreaterThan(20)
})

test('a candidate whose lean is out is not asked about, and stays among the pairs', () => {
  const { left, pairs } = roundOf(
    KEEPERS,
    CANDIDATES,
    [],
    'screen',
    'kitchen',
    new Set(['dun', 'whey']),
  )
  expect(new Set(left.map(({ candidateId }) => candidateId))).toEqual(new Set(['fawn', 'rust']))
  expect(pairs).toHaveLength(12)
})
