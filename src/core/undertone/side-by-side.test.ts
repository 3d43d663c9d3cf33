import { prepareLight } from '../colour/appearance'
import { daylightSpectrum } from '../colour/daylight'
import type { Lab } from '../colour/lab'
import { lrvPercent } from '../paint/lrv'
import { reflectanceOfReading } from '../paint/reading'
import { COMPARATORS } from './comparators'
import {
  comesOut,
  leanBeside,
  oddOneOut,
  percentDarkerThanWhite,
  whiteOrGreige,
} from './side-by-side'
import { undertoneOf } from './undertone'

const noon = prepareLight(daylightSpectrum(6504), 1000)
const surface = (lab: Lab) => reflectanceOfReading({ kind: 'lab', lab })
const seen = (lab: Lab) => undertoneOf(noon, surface(lab))
const over = (name: string) =>
  undertoneOf(noon, COMPARATORS.find((each) => each.name === name)!.reflectance)

test('comparators bring the undertone out', () => {
  const beside = (lab: Lab, name: string) => leanBeside(seen(lab), over(name))
  // Common practice: beside a green-grey a beige looks pink, beside navy a warm white looks yellow,
  // beside beige a grey looks blue, and a grey beside true grey shows nothing.
  expect(beside([78, 4, 9], 'green-grey')).toBe('pink')
  expect(beside([92, 0.5, 5], 'navy')).toBe('yellow')
  expect(beside([70, 0, 0], 'beige')).toBe('blue')
  expect(beside([70, 0, 0], 'true grey')).toBeNull()
})

test('what comes out is said in sized words', () => {
  expect(comesOut(seen([92, 0.5, 5]), over('true black'))).toMatch(/much lighter/)
  expect(comesOut(seen([78, 4, 13]), over('beige'))).toBe('the same')
  // By the same name as the lean that is said to be seen.
  const beige = seen([78, 5, 10])
  expect(leanBeside(beige, over('white card'))).toBe('pink')
  expect(comesOut(beige, over('white card'))).toMatch(/pinker/)
})

test('the odd one out leans otherwise than the rest, however light each is', () => {
  const pinks: Lab[] = [
    [80, 5, 8],
    [60, 5, 8],
    [88, 4.5, 7],
  ]
  const green: Lab = [74, -5, 6]
  const odd = oddOneOut([...pinks, green].map(seen))!
  expect(odd.place).toBe(3)
  expect(odd.words).toMatch(/green/)
  // Lightness alone makes nobody odd, and two have no odd one.
  expect(oddOneOut(pinks.map(seen))).toBeNull()
  expect(oddOneOut([seen(pinks[0]!), seen(green)])).toBeNull()
})

test('greige is 15 to 30 % darker than white', () => {
  // Common practice; the white card has an LRV of 90.
  expect(percentDarkerThanWhite(90)).toBe(0)
  expect(percentDarkerThanWhite(67.5)).toBe(25)
  expect(percentDarkerThanWhite(100)).toBe(0)
  const said = (lab: Lab) => whiteOrGreige(seen(lab), lrvPercent(surface(lab)))
  expect(said([95, 0, 4])).toMatch(/^a white, [0-9] % darker/)
  expect(said([85, 2, 8])).toMatch(/^a greige by its depth, 2\d % darker/)
  expect(said([91, 1, 5])).toMatch(/^between white and greige, 1\d % darker/)
  expect(said([60, 2, 8])).toBeNull()
  expect(said([80, 22, 30])).toBeNull()
})
