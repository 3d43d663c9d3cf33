import { KEEPER_KINDS } from '../pairing/keeper-kind'
import {
  EYE_FIELD_UNCERTAINTY,
  firstField,
  nudged,
  NUDGES,
  secondField,
  STUFFS,
  STUFFS_OF,
} from './eye-field'
import { isOfASurface } from './reading'
import { matchedInField, ratedFinishes } from './simulated-match.fixture'

const finishes = ratedFinishes()
const EYES = 4
const matches = finishes.flatMap((finish, i) =>
  Array.from({ length: EYES }, (_, eye) => matchedInField(finish, EYES * i + eye)),
)

// The finishes of ratings/pairs.json (own ratings, common practice); the eyes' spread is stated in the fixture.
test.each(STUFFS)('%s: what a simulated eye is off by is what the reading says', (stuff) => {
  const own = matches.filter((each) => each.stuff === stuff)
  expect(own.length).toBeGreaterThan(40)
  const said = EYE_FIELD_UNCERTAINTY[stuff]
  for (const axis of ['lean', 'lightness'] as const) {
    const within = own.filter((each) => each[axis] <= said[axis]).length / own.length
    // An expanded uncertainty covers about 95 % (JCGM 100:2008); it is not said to be wider than it is either.
    expect(within).toBeGreaterThan(0.9)
    const withinHalf = own.filter((each) => each[axis] <= said[axis] / 2).length / own.length
    expect(withinHalf).toBeLessThan(0.85)
  }
})

test('two taps and two nudges come within three of half of all finishes, and within five of nine in ten', () => {
  const sorted = matches.map(({ deltaE00 }) => deltaE00).sort((p, q) => p - q)
  expect(sorted[Math.floor(sorted.length / 2)]).toBeLessThan(3)
  expect(sorted[Math.floor(0.9 * sorted.length)]).toBeLessThan(5)
})

test('a field runs from light to deep in rows of one length, of colours that surfaces have', () => {
  for (const stuff of STUFFS) {
    const field = firstField(stuff)
    const [first] = field
    field.forEach((row, i) => {
      expect(row).toHaveLength(first!.length)
      expect(row.every(isOfASurface)).toBe(true)
      if (i > 0) expect(row[0]![0]).toBeLessThan(field[i - 1]![0]![0])
    })
  }
})

test('the second field has what was tapped in its middle, stronger to the right and greyer to the left', () => {
  const tapped = [57, 11, 21] as const
  const rows = secondField('wood', tapped)
  const middle = rows[2]!
  middle[4]!.forEach((value, axis) => expect(value).toBeCloseTo(tapped[axis]!, 9))
  const chroma = middle.map(([, a, b]) => Math.hypot(a, b))
  expect(Math.max(...chroma.slice(0, 3))).toBeLessThan(Math.min(...chroma.slice(6)))
  expect(rows[0]![4]![0]).toBeGreaterThan(rows[4]![4]![0])
})

test('whites are told apart by finer steps than woods', () => {
  const spanOf = (stuff: 'white' | 'wood'): number => {
    const rows = secondField(stuff, [90, 1, 6])
    return rows[0]![0]![0] - rows.at(-1)![0]![0]
  }
  expect(spanOf('white')).toBeLessThan(spanOf('wood') / 2)
})

// Directions of a* and b*, CIE 15: +a* red, −a* green, +b* yellow, −b* blue.
test('a nudge and its opposite undo each other, and stay within what paint can be', () => {
  const start = [50, 3, 8] as const
  for (const [there, back] of [
    ['lighter', 'darker'],
    ['pinker', 'greener'],
    ['yellower', 'bluer'],
  ] as const)
    expect(nudged(nudged(start, there), back)).toEqual(start)
  expect(nudged(start, 'pinker')[1]).toBeGreaterThan(3)
  expect(nudged(start, 'yellower')[2]).toBeGreaterThan(8)
  const all = NUDGES.reduce<readonly [number, number, number]>(
    (lab) => nudged(lab, 'lighter'),
    [98.5, 0, 0],
  )
  expect(all[0]).toBe(99)
})

test('every kind of finish has a field, and no field twice', () => {
  for (const kind of KEEPER_KINDS)
    expect(new Set(STUFFS_OF[kind]).size).toBe(STUFFS_OF[kind].length)
})

test('what is no colour is refused with its name', () => {
  expect(() => secondField('paint', [NaN, 0, 0])).toThrow(/L\*, a\*, b\*/)
  expect(() => nudged([50, Infinity, 0], 'lighter')).toThrow(/L\*, a\*, b\*/)
})
