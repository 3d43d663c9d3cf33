import { goesAway, nextTries, type SeenColour } from './next-try'
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
  const judged: SeenColour[] = []
  const works = (colour: SeenColour): boolean => {
    judged.push(colour)
    return colour.place !== 4
  }
  const tries = nextTries(from, colours.toReversed(), works, 2)
  // From the nearest on, and none that was not needed.
  expect(judged.map(({ place }) => place)).toEqual([2, 4, 3])
  // The first is its own place, the second too near to tell apart, the last does not work.
  expect(tries.map(({ place }) => place)).toEqual([2, 3])
  expect(tries[0]!.words).toMatch(/lighter.*greyer|greyer.*lighter/)
})

const FROM = leaning(70, -2, 6)
const by = (j: number, a: number, b: number) => leaning(70 + j, -2 + a, 6 + b)

test.each([
  ['too pink', by(0, -4, 0), by(0, 4, 0)],
  ['too green', by(0, 4, 0), by(0, -4, 0)],
  ['too yellow', by(0, 0, -4), by(0, 0, 4)],
  ['too blue', by(0, 0, 4), by(0, 0, -4)],
  ['too orange', by(0, -3, -3), by(0, 3, 3)],
  ['too violet', by(0, -3, 3), by(0, 3, -3)],
  ['too strong', by(0, 1, -3), by(0, -1, 3)],
  ['too clean', by(0, 1, -3), by(0, -1, 3)],
  ['too grey', by(0, -1, 3), by(0, 1, -3)],
  ['too dirty', by(0, -1, 3), by(0, 1, -3)],
  ['too dark', by(6, 0, 0), by(-6, 0, 0)],
] as const)(
  'what is %s is never sent on into it; a hair more is not seen',
  (direction, away, on) => {
    expect(goesAway(direction, FROM, away)).toBe(true)
    expect(goesAway(direction, FROM, on)).toBe(false)
    // A tenth of the same step is less than anybody sees.
    const hair = leaning(
      FROM.j + (on.j - FROM.j) / 20,
      FROM.a + (on.a - FROM.a) / 20,
      FROM.b + (on.b - FROM.b) / 20,
    )
    expect(goesAway(direction, FROM, hair)).toBe(true)
  },
)

test('what is only too close may go anywhere', () => {
  expect(goesAway('too close', FROM, by(-10, -4, 4))).toBe(true)
})
