import { prepareLight, screenColour } from '../colour/appearance'
import { daylightSpectrum } from '../colour/daylight'
import { reflectanceOfReading } from '../paint/reading'
import { believableSurface, blotsOf } from './believable-surface'

const sharesIn = (places: Uint8Array): number[] => {
  const counts: number[] = []
  for (const place of places) counts[place] = (counts[place] ?? 0) + 1
  return counts.map((count) => (100 * count) / places.length)
}
/** How often a pixel and its neighbour to the right are of one colour. */
const alike = (places: Uint8Array): number => {
  let same = 0
  for (let i = 1; i < places.length; i++) if (places[i] === places[i - 1]) same++
  return same / places.length
}

test('the shares are those of the finish, in any order; shares that are left over count nothing', () => {
  expect(sharesIn(blotsOf([30, 70], 1))).toEqual([expect.closeTo(30, 1), expect.closeTo(70, 1)])
  expect(sharesIn(blotsOf([54, 26, 12, 8], 2)).map(Math.round)).toEqual([54, 26, 12, 8])
  expect(sharesIn(blotsOf([35, 35], 3)).map(Math.round)).toEqual([50, 50])
  expect(sharesIn(blotsOf([100], 4))).toEqual([100])
})

test('it is made of blots, not of bands and not of dust, and is the same each time', () => {
  const blots = blotsOf([70, 30], 5)
  // Of two colours thrown for each pixel alone 58 of 100 neighbours would be alike; in two halves all.
  expect(alike(blots)).toBeGreaterThan(0.8)
  expect(alike(blots)).toBeLessThan(0.98)
  expect(blotsOf([70, 30], 5)).toEqual(blots)
  expect(blotsOf([70, 30], 6)).not.toEqual(blots)
})

test('each of its colours is what a swatch of it is in that light', () => {
  const [ground, fleck] = ['#be9682', '#6e5a54'].map((hex) =>
    reflectanceOfReading({ kind: 'srgb', hex }),
  )
  const light = prepareLight(daylightSpectrum(4300), 400)
  const { bytes, width, height } = believableSurface(
    [
      { sharePercent: 70, reflectance: ground! },
      { sharePercent: 30, reflectance: fleck! },
    ],
    7,
  )(light)
  expect(bytes).toHaveLength(4 * width * height)
  const seen = new Set<string>()
  for (let i = 0; i < bytes.length; i += 4)
    seen.add(`#${[...bytes.slice(i, i + 3)].map((v) => v.toString(16).padStart(2, '0')).join('')}`)
  expect([...seen].sort()).toEqual(
    [screenColour(light, ground!).hex, screenColour(light, fleck!).hex].sort(),
  )
})

test('shares that are none are refused', () => {
  expect(() => blotsOf([], 1)).toThrow(/shares must be above 0 together/)
  expect(() => blotsOf([50, -1], 1)).toThrow(RangeError)
  expect(() => blotsOf([NaN], 1)).toThrow(RangeError)
})
