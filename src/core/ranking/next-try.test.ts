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
  const tries = nextTries(from, colours, works, 2)
  // The first is its own place, the second too near to tell apart, the last does not work.
  expect(tries.map(({ place }) => place)).toEqual([2, 3])
  expect(tries[0]!.words).toMatch(/lighter.*greyer|greyer.*lighter/)
})

test('what is too much of something is never sent on into it', () => {
  const from = leaning(70, -5, 8)
  expect(goesAway('too green', from, leaning(72, 0, 8))).toBe(true)
  expect(goesAway('too green', from, leaning(72, -9, 9))).toBe(false)
  expect(goesAway('too pink', leaning(70, 6, 6), leaning(72, 9, 6))).toBe(false)
  expect(goesAway('too strong', from, leaning(70, -9, 14))).toBe(false)
  expect(goesAway('too grey', from, leaning(70, -1, 1))).toBe(false)
  expect(goesAway('too dark', from, leaning(60, -5, 8))).toBe(false)
  expect(goesAway('too close', from, leaning(60, -9, 12))).toBe(true)
})
