import { luxOf, openWall, skyIlluminance, skyPatchCctK, skyVault } from './sky'

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

test('an upright wall under the CIE overcast sky gets 39.6 % of what the ground gets', () => {
  // Moon and Spencer 1942; the general sky's type 1 is close to theirs.
  const vault = skyVault('overcast', { altitudeDeg: 40, azimuthDeg: 180 })
  expect(luxOf(vault.on(openWall(0))) / luxOf(vault.horizontal)).toBeCloseTo(0.396, 1)
  expect(luxOf(vault.on(openWall(0)))).toBeCloseTo(luxOf(vault.on(openWall(90))), 0)
})

test('four walls together see each patch of sky as often from the front as a sphere would', () => {
  // Energy: the vault's horizontal illuminance is the formula's, whatever its pattern.
  for (const sky of ['clear', 'partly', 'overcast'] as const) {
    const vault = skyVault(sky, { altitudeDeg: 35, azimuthDeg: 120 })
    const formula = skyIlluminance(sky, 35).diffuseHorizontalLux
    expect(Math.abs(luxOf(vault.horizontal) / formula - 1)).toBeLessThan(1e-6)
  }
})

test('clear sky away from the sun is 8,000 to 12,000 K, around it near white', () => {
  // Range commonly measured (common practice).
  for (const altitude of [25, 45, 65]) {
    const away = skyPatchCctK('clear', 40, altitude, 90)
    expect(away).toBeGreaterThan(8000)
    expect(away).toBeLessThan(12_000)
  }
  expect(skyPatchCctK('clear', 40, 40, 0)).toBeLessThan(6200)
  expect(skyPatchCctK('overcast', 40, 40, 90)).toBeCloseTo(6500, 6)
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
