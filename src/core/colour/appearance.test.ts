import { clampChroma, converter, differenceEuclidean } from 'culori'
import { flatReflectance } from './spectrum'
import {
  appearanceOf,
  correlatesInRoom,
  prepareLight,
  screenColour,
  screenColoursTogether,
  WHITE_CARD,
} from './appearance'
import { daylightSpectrum } from './daylight'
import { planckianSpectrum } from './planckian'
import { xyzFromLinearRgb } from './srgb'
import { reflectanceOfReading } from '../paint/reading'

const noon = prepareLight(daylightSpectrum(6504), 2000)
// An eye that D65 is white to.
const D65_EYE = {
  ...prepareLight(daylightSpectrum(6504), 1e5),
  toD65: [1, 0, 0, 0, 1, 0, 0, 0, 1],
  exposure: 1,
}
const lamp = prepareLight(planckianSpectrum(2700), 60)

test('a grey is grey under daylight and shows the lamp in part under a lamp', () => {
  const [, a, b] = appearanceOf(noon, flatReflectance(0.4)).ucs
  expect(Math.hypot(a, b)).toBeLessThan(0.2)
  const [, , lampB] = appearanceOf(lamp, flatReflectance(0.4)).ucs
  // Partial adaptation leaves a filament visibly yellow, though far less than it measures.
  expect(lampB).toBeGreaterThan(3)
  expect(lampB).toBeLessThan(15)
})

test('the white card always fits the screen', () => {
  for (const light of [noon, lamp, prepareLight(planckianSpectrum(1900), 5)])
    expect(screenColour(light, WHITE_CARD).inGamut).toBe(true)
})

test('a strong orange under a filament is marked as beyond the screen', () => {
  const orange = reflectanceOfReading({ kind: 'lab', lab: [62, 55, 68] })
  expect(screenColour(lamp, orange).inGamut).toBe(false)
  expect(screenColour(noon, reflectanceOfReading({ kind: 'srgb', hex: '#9aa58d' })).inGamut).toBe(
    true,
  )
})

test('what is beyond the screen is shown as the strongest of the same hue and lightness', () => {
  const hueOf = (hex: string): number => converter('oklch')(hex)!.h ?? 0
  // From wide-gamut colours of every hue; culori clamps chroma in Oklch as CSS Color 4 says.
  for (const p3 of [
    'p3 1 0.2 0',
    'p3 0.1 0.9 0.1',
    'p3 0 0.3 1',
    'p3 0.95 0 0.7',
    'p3 0 0.75 0.8',
  ]) {
    const wide = converter('lrgb')(`color(display-${p3})`)!
    const [shown] = screenColoursTogether([
      { light: D65_EYE, xyz: xyzFromLinearRgb([0.5 * wide.r, 0.5 * wide.g, 0.5 * wide.b]) },
    ])
    expect(shown!.inGamut).toBe(false)
    const asked = { mode: 'lrgb' as const, r: 0.5 * wide.r, g: 0.5 * wide.g, b: 0.5 * wide.b }
    const reference = clampChroma(asked, 'oklch')
    const turned = Math.abs(((hueOf(shown!.hex) - converter('oklch')(asked).h! + 540) % 360) - 180)
    expect(turned).toBeLessThan(1)
    expect(differenceEuclidean('oklab')(shown!.hex, reference)).toBeLessThan(0.006)
  }
})

test('under D65 a swatch shows the hex it was read as', () => {
  // With full adaptation and no tint nothing stands between reading and screen but rounding.
  const bright = prepareLight(daylightSpectrum(6504), 1e5)
  const read = reflectanceOfReading({ kind: 'srgb', hex: '#9aa58d' })
  const shown = screenColour(bright, read).hex
  for (const i of [1, 3, 5]) {
    const miss = parseInt(shown.slice(i, i + 2), 16) - parseInt('#9aa58d'.slice(i, i + 2), 16)
    expect(Math.abs(miss)).toBeLessThanOrEqual(1)
  }
})

test('dim light is dingy: brightness falls by about a third from 300 to 30 lux, lightness does not', () => {
  // model figure: Q × 0.63 from 300 to 30 lux.
  const grey = flatReflectance(0.5)
  const lit = correlatesInRoom(prepareLight(daylightSpectrum(6504), 300), grey)
  const dim = correlatesInRoom(prepareLight(daylightSpectrum(6504), 30), grey)
  expect(dim.Q / lit.Q).toBeGreaterThan(0.58)
  expect(dim.Q / lit.Q).toBeLessThan(0.68)
  expect(Math.abs(dim.J - lit.J)).toBeLessThan(3)
})
