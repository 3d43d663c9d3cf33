import type { Lab } from '../colour/lab'
import { lrvPercent } from '../paint/lrv'
import { reflectanceOfReading } from '../paint/reading'
import { DAYLIGHT } from './daylight'
import { nameOf, type ColourName } from './name'
import { undertoneOf } from './undertone'

function named(lab: Lab): ColourName {
  const reflectance = reflectanceOfReading({ kind: 'lab', lab })
  return nameOf(undertoneOf(DAYLIGHT, reflectance), lrvPercent(reflectance))
}

// Common practice: a neutral is said with its undertone, a colour is its own; a white says how light it is by itself.
test.each<[string, Lab, RegExp, RegExp]>([
  ['a neutral has its undertone said', [68, 1, 4], /, .* undertone$/, /^(medium|light) /],
  ['a colour says its own', [55, -4, -28], /^\S+ \S*blue$/, /blue$/],
  ['a white is not light', [96, -0.5, 1], /^white/, /^white$/],
  ['a navy is not deep', [22, 2, -20], /^navy/, /^navy$/],
  ['a deep green says so', [25, -14, 6], /^(very )?deep /, /green$/],
])('%s', (_, lab, words, short) => {
  expect(named(lab).words).toMatch(words)
  expect(named(lab).short).toMatch(short)
})

test('where a colour lies between two names, it is given both, and the short one is the first', () => {
  // From a cream to a yellow: somewhere on the way it is either.
  const way = Array.from({ length: 40 }, (_, i) => named([88, -2, 10 + i]))
  const between = way.filter(({ second }) => second !== null)
  expect(between.length).toBeGreaterThan(0)
  expect(between.length).toBeLessThan(way.length)
  for (const { name, second, words, short } of between) {
    expect(words).toContain(`${name} or ${second}`)
    expect(short).toContain(name)
    expect(short).not.toContain(' or ')
    expect(second).not.toBe(name)
  }
})

test('lightness is said once: a lighter paint of one name has a lighter word', () => {
  const words = [80, 60, 40, 25].map((l) => named([l, -18, 8]).words)
  expect(new Set(words).size).toBe(4)
  for (const each of words) expect(each).toMatch(/^(very )?(light|medium|deep)\S* [a-z]/)
})
