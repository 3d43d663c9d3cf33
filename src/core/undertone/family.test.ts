import { prepareLight } from '../colour/appearance'
import { daylightSpectrum } from '../colour/daylight'
import type { Lab } from '../colour/lab'
import { lrvPercent } from '../paint/lrv'
import { reflectanceOfReading } from '../paint/reading'
import { familyOf } from './family'
import { bothReadings } from './hue-name'
import { undertoneOf } from './undertone'

const noon = prepareLight(daylightSpectrum(6504), 1000)
const surface = (lab: Lab) => reflectanceOfReading({ kind: 'lab', lab })
const family = (lab: Lab) => familyOf(undertoneOf(noon, surface(lab)), lrvPercent(surface(lab)))

// Neutrals made up for this table and what a consultant would call them (common practice): greige is
// a warm grey, beige leans orange-pink, tan leans yellow or yellow-green, taupe is greyed violet or
// pink, cream is pale and yellow, charcoal a deep grey. Either side of a border counts.
const NEUTRALS: readonly (readonly [Lab, string])[] = [
  [[84, 0, 0], 'grey'],
  [[70, 0, 1], 'grey'],
  [[60, -1, -2], 'grey'],
  [[52, 0.5, 0.5], 'grey'],
  [[40, 0, -1], 'charcoal'],
  [[33, 0.5, 1], 'off-black'],
  [[28, -0.5, -1.5], 'off-black'],
  [[72, 1, 6], 'greige'],
  [[66, 0.5, 7], 'greige'],
  [[82, 0.5, 6], 'greige'],
  [[58, 1.5, 6.5], 'greige'],
  [[74, 0, 8], 'greige'],
  [[58, 4, -2], 'taupe'],
  [[50, 5, 2], 'taupe'],
  [[66, 5, 1], 'taupe'],
  [[45, 4, 1], 'taupe'],
  [[62, 6, 13], 'beige'],
  [[78, 6, 14], 'beige'],
  [[70, 7, 13], 'beige'],
  [[74, 8, 16], 'beige'],
  [[70, 2, 18], 'tan'],
  [[64, 1, 20], 'tan'],
  [[76, -1, 17], 'tan'],
  [[60, 3, 19], 'tan'],
  [[91, 0, 11], 'cream'],
  [[93, -0.5, 13], 'cream'],
  [[89, 0.5, 15], 'cream'],
]

test('constructed neutrals are called what the trade calls them, nine in ten at least', () => {
  const misses = NEUTRALS.filter(([lab, expected]) => {
    const { kind, near } = family(lab)
    return kind !== expected && near !== expected
  })
  console.log(
    `families: ${NEUTRALS.length - misses.length} of ${NEUTRALS.length} constructed neutrals`,
  )
  expect(misses.length).toBeLessThanOrEqual(Math.floor(NEUTRALS.length / 10))
})

test('near a border both words are given, far from it one', () => {
  expect(family([72, 0, 5]).words).toMatch(/between (greige and grey|grey and greige)/)
  expect(family([70, 0, 0]).words).toBe('mid grey')
  expect(family([31, 0, 0]).words).toBe('off-black')
  expect(family([44, 0, 0]).words).toBe('charcoal')
})

test('a pink beige is orange on the card and pink among beiges, where practitioners argue', () => {
  expect(bothReadings(undertoneOf(noon, surface([62, 6, 13])))).toMatch(
    /orange on the card, pink among its kind/,
  )
  expect(bothReadings(undertoneOf(noon, surface([75, -5, 5])))).toBe('green undertone')
  // A colour outright has no kind of neutral to be among.
  expect(bothReadings(undertoneOf(noon, surface([46, 28, 30])))).toBe('a red outright')
})
