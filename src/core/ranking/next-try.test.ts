import { likeThisBut, nextTries, sharesLean, WISHES, type SeenColour } from './next-try'
import { hueApartDeg, leaning } from '../undertone/undertone'

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

test('"like this but": what is found goes the wished way', () => {
  const deck = Array.from({ length: 400 }, (_, i) =>
    at(
      i,
      30 + 3 * (i % 20),
      12 * Math.cos(i / 9) * ((i % 5) / 5),
      12 * Math.sin(i / 9) * ((i % 5) / 5),
    ),
  )
  const from = at(999, 60, 3, 4)
  const going = {
    lighter: (u: SeenColour) => u.undertone.j > 60,
    deeper: (u: SeenColour) => u.undertone.j < 60,
    quieter: (u: SeenColour) => u.undertone.c < 5,
    stronger: (u: SeenColour) => u.undertone.c > 5,
    warmer: (u: SeenColour) => u.undertone.a + u.undertone.b > 7,
    cooler: (u: SeenColour) => u.undertone.a + u.undertone.b < 7,
  }
  for (const wish of WISHES) {
    const found = likeThisBut(wish, from, deck, 3)
    expect(found.length).toBeGreaterThan(0)
    expect(found.every(going[wish])).toBe(true)
  }
})

test('lighter or deeper keeps the lean', () => {
  const deck = Array.from({ length: 36 * 12 }, (_, i) => {
    const [angle, j] = [((i % 36) * Math.PI) / 18, 20 + 6 * Math.floor(i / 36)]
    return at(i, j, 7 * Math.cos(angle), 7 * Math.sin(angle))
  })
  const from = at(999, 55, 5, 5)
  for (const wish of ['lighter', 'deeper'] as const)
    for (const { undertone } of likeThisBut(wish, from, deck, 3))
      expect(hueApartDeg(undertone.hueDeg, from.undertone.hueDeg)).toBeLessThanOrEqual(12)
  // A grey stays a grey.
  const grey = at(998, 55, 0.2, 0.3)
  expect(likeThisBut('lighter', grey, deck, 3)).toEqual([])
})

test('no to a whole lean takes its siblings and nothing else', () => {
  const pinkBeige = leaning(80, 4, 5)
  expect(sharesLean(pinkBeige, leaning(60, 3, 3.5))).toBe(true)
  expect(sharesLean(pinkBeige, leaning(80, -1, 6))).toBe(false)
  expect(sharesLean(pinkBeige, leaning(80, 0.2, 0.2))).toBe(false)
  expect(sharesLean(leaning(80, 0.1, 0), leaning(60, 3, 3.5))).toBe(false)
  // A strong pink is a colour, not a sibling of a neutral.
  expect(sharesLean(pinkBeige, leaning(60, 20, 22))).toBe(false)
})
