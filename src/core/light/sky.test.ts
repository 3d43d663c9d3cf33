import { skyIlluminance } from './sky'

// IES clear, partly cloudy and overcast formulas worked out by hand at these heights.
test.each([
  ['clear', 10, 38_045, 7_259],
  ['clear', 45, 94_740, 13_834],
  ['clear', 90, 103_349, 16_300],
  ['partly', 10, 1273, 8_114],
  ['overcast', 30, 0, 10_800],
] as const)('%s sky with the sun at %i°', (sky, altitude, direct, diffuse) => {
  const got = skyIlluminance(sky, altitude)
  expect(Math.abs(got.directNormalLux - direct)).toBeLessThanOrEqual(0.002 * direct)
  expect(Math.abs(got.diffuseHorizontalLux - diffuse)).toBeLessThan(0.002 * diffuse)
})

test('twilight fades without a step and ends in the dark', () => {
  for (let h = 2; h > -13; h -= 0.25) {
    const here = skyIlluminance('overcast', h).diffuseHorizontalLux
    const later = skyIlluminance('overcast', h - 0.05).diffuseHorizontalLux
    expect(later).toBeLessThanOrEqual(here)
  }
  expect(skyIlluminance('clear', -6).diffuseHorizontalLux).toBeLessThan(5)
  expect(skyIlluminance('clear', -13).diffuseHorizontalLux).toBe(0)
})
