import { skyIlluminance } from './sky'
import { luxOf, openWall, skyPatchCctK, skyVault } from './sky-vault'

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
