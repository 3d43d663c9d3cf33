import type { Lab } from '../colour/lab'
import { reflectanceOfReading } from '../paint/reading'
import { DAYLIGHT } from './daylight'
import anchorsShipped from './anchors.json'
import { FAMILY_NAMES, plainName, UNDERTONE_NAMES, undertoneName } from './plain-name'
import { undertoneOf } from './undertone'

const seen = (lab: Lab) => undertoneOf(DAYLIGHT, reflectanceOfReading({ kind: 'lab', lab }))
const named = (lab: Lab) => plainName(seen(lab))
const leaning = (lab: Lab) => undertoneName(seen(lab))

// Common practice: what anybody would call these; none of them is among the named colours.
test.each<[Lab, RegExp]>([
  [[97, -0.3, 1.2], /^white$/],
  [[23, 1, -14], /^navy$/],
  [[66, -9, 11], /^sage$/],
  [[50, 27, 31], /^terracotta$/],
  [[44, 57, 37], /^red$/],
  [[86, 1, 60], /^yellow$/],
  [[30, 0.2, -0.5], /^charcoal$/],
  [[62, -0.5, -0.4], /^grey$/],
  [[38, -23, -9], /^teal$/],
  [[78, 4, 13], /^(beige|tan)$/],
  [[45, -4, 22], /^olive$/],
  [[70, 17, -15], /^(lilac|lavender)$/],
])('%p is called %p', (lab, name) => {
  expect(named(lab).name).toMatch(name)
})

test('an undertone is one relative word, and a name changes smoothly into its neighbour’s', () => {
  expect(leaning([80, 5, 6])).toBe('pink')
  expect(leaning([78, -5, 6])).toBe('green')
  expect(leaning([60, -2, -7])).toBe('blue')
  // From grey to green, there is a stretch where both are said.
  const way = Array.from({ length: 25 }, (_, n) => named([60, -0.6 * n, 0.4 * n]))
  expect(way[0]!.name).toBe('grey')
  expect(way.at(-1)!.name).toMatch(/green|sage/)
  expect(way.some(({ second }) => second !== null)).toBe(true)
})

test('what has no name at hand is not made one', () => {
  const anchors = [{ j: 50, a: 0, b: 0, family: ['grey'], undertone: ['none'] }]
  expect(plainName({ j: 55, a: 1, b: 1 }, anchors)).toEqual({
    ...{ name: 'grey', second: null },
  })
})

test('every name that an anchor may give is one of the list, and every name of the list is given', () => {
  const given = (of: 'family' | 'undertone') =>
    [...new Set(anchorsShipped.flatMap((each) => each[of]))].sort()
  expect(given('family')).toEqual([...FAMILY_NAMES].sort())
  expect(given('undertone')).toEqual([...UNDERTONE_NAMES].sort())
})
