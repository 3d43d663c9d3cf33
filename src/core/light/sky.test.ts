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

test('at the horizon and at 6° the sky goes on as it came: in value and in slope of the logarithm', () => {
  const log = (sky: 'clear' | 'partly' | 'overcast', deg: number) =>
    Math.log(skyIlluminance(sky, deg).diffuseHorizontalLux)
  const [step, apart] = [0.02, 1e-3]
  for (const sky of ['clear', 'partly', 'overcast'] as const)
    for (const deg of [0, 6]) {
      const before = (log(sky, deg - apart) - log(sky, deg - apart - step)) / step
      const after = (log(sky, deg + apart + step) - log(sky, deg + apart)) / step
      expect(Math.abs(after - before)).toBeLessThan(0.02)
    }
  // Between them it only grows, and nowhere faster than the twilight does.
  for (let deg = 0; deg < 6; deg += 0.1) {
    const grows = (log('clear', deg + 0.1) - log('clear', deg)) / 0.1
    expect(grows).toBeGreaterThan(0)
    expect(grows).toBeLessThan(0.91)
  }
})

test('the last two degrees of twilight fade to nothing at −12°', () => {
  const lux = (deg: number) => skyIlluminance('clear', deg).diffuseHorizontalLux
  expect(lux(-12)).toBe(0)
  expect(lux(-11)).toBeCloseTo(0.5 * lux(-9) * Math.exp(-2 * 0.9), 9)
  expect(lux(-9)).toBeCloseTo(lux(-6) * Math.exp(-3 * 0.9), 9)
})

test('a height that no sun has is refused', () => {
  for (const deg of [90.1, -90.1, Number.NaN])
    expect(() => skyIlluminance('clear', deg)).toThrow(/the sun's height must be −90 to 90°, got/)
})
