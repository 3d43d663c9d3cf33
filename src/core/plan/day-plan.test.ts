import fc from 'fast-check'
import { reflectanceOfReading } from '../paint/reading'
import { bestAssignment, dayPlan, MOST_ROOMS, whyThen, type PlanRoom } from './day-plan'
import { plainRoomDay } from '../light/plain-room-day.fixture'

const permutations = (items: readonly number[]): number[][] =>
  items.length === 0
    ? [[]]
    : items.flatMap((item) =>
        permutations(items.filter((other) => other !== item)).map((rest) => [item, ...rest]),
      )
const sumOf = (values: readonly (readonly number[])[], order: readonly number[]): number =>
  order.reduce((sum, row, column) => sum + values[row]![column]!, 0)

test('the assignment is the best of all permutations (brute force)', () => {
  const square = fc
    .integer({ min: 1, max: 6 })
    .chain((n) =>
      fc.array(
        fc.array(fc.double({ min: 0, max: 20, noNaN: true }), { minLength: n, maxLength: n }),
        { minLength: n, maxLength: n },
      ),
    )
  fc.assert(
    fc.property(square, (values) => {
      const order = bestAssignment(values)
      expect([...order].sort((p, q) => p - q)).toEqual(values.map((_, i) => i))
      const best = Math.max(
        ...permutations(values.map((_, i) => i)).map((each) => sumOf(values, each)),
      )
      expect(sumOf(values, order)).toBeCloseTo(best, 9)
    }),
    { numRuns: 60 },
  )
})

const room = (id: string, bearingDeg: number): PlanRoom => ({
  id,
  roomDay: plainRoomDay('2026-06-21', bearingDeg),
  colours: [
    [90, 0.5, 6],
    [70, 2, 8],
  ].map(([l, a, b]) => reflectanceOfReading({ kind: 'lab', lab: [l!, a!, b!] })),
})

test('east rooms are seen in the morning and west rooms late (common practice)', () => {
  const { stops } = dayPlan([room('west', 270), room('east', 90)], 6 * 60, 20 * 60, () => 'clear')
  expect(stops.map(({ roomId }) => roomId)).toEqual(['east', 'west'])
  expect(stops.map(({ fromMinute, toMinute }) => [fromMinute, toMinute])).toEqual([
    [360, 780],
    [780, 1200],
  ])
})

test('a hand’s order stands, rooms it does not name come after; a slot is as long as the work in it', () => {
  const rooms = [room('west', 270), { ...room('east', 90), work: 3 }, room('north', 0)]
  const { stops } = dayPlan(rooms, 600, 900, () => 'clear', ['north', 'west', 'gone'])
  expect(stops.map(({ roomId, fromMinute, toMinute }) => [roomId, fromMinute, toMinute])).toEqual([
    ['north', 600, 660],
    ['west', 660, 720],
    ['east', 720, 900],
  ])
  expect(() => dayPlan([{ ...room('west', 270), work: 0 }], 600, 900, () => 'clear')).toThrow(
    /over 0, got 0/,
  )
})

test('why a room is seen then is said in words', () => {
  expect(whyThen({ change: 0.1, mostChange: 0.3 })).toMatch(/any hour/)
  expect(whyThen({ change: 4, mostChange: 4.2 })).toMatch(/change most here/)
  expect(whyThen({ change: 1, mostChange: 4.2 })).toMatch(/Others need/)
})

test('moments outside the visit are listed for later, those inside are not', () => {
  const { later } = dayPlan([room('west', 270)], 10 * 60, 11 * 60, () => 'clear')
  expect(later.map(({ name }) => name)).toEqual(expect.arrayContaining(['warmest', 'lamps only']))
  expect(later.every(({ minute }) => minute < 600 || minute > 660)).toBe(true)
  expect(() =>
    dayPlan(
      Array.from({ length: MOST_ROOMS + 1 }, (_, i) => room(String(i), 0)),
      0,
      600,
      () => 'clear',
    ),
  ).toThrow(/at most 14/)
  expect(dayPlan([], 600, 660, () => 'clear').stops).toEqual([])
})
