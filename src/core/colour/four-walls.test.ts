import { prepareLight } from './appearance'
import { daylightSpectrum } from './daylight'
import { fourWalls } from './four-walls'
import { xyzOfSpectrum } from './observer'
import { flatReflectance, SPECTRUM_LENGTH } from './spectrum'
import { reflectanceOfReading } from '../paint/reading'
import { undertoneOf, undertoneOfXyz } from '../undertone/undertone'

const LUX = 300
// All of one reflectance, a half.
const HALF = new Float64Array(SPECTRUM_LENGTH).fill(0.5)
const GREY_ROOM = { mean: HALF, wall: HALF }
const perLux = (() => {
  const daylight = daylightSpectrum(6504)
  const y = xyzOfSpectrum(daylight)[1]
  return daylight.map((power) => (power * LUX) / y)
})()
const chipLight = prepareLight(perLux, LUX)
const walls = (lab: readonly [number, number, number]) => {
  const paint = reflectanceOfReading({ kind: 'lab', lab })
  const room = fourWalls(perLux, LUX, paint, 0.55, GREY_ROOM)
  return {
    chip: undertoneOf(chipLight, paint),
    window: undertoneOfXyz(chipLight, room.xyzForWindowEye),
    card: undertoneOf(prepareLight(room.spectrum, room.illuminanceLux), paint),
    room,
  }
}

test('walls as grey as the room was change nothing', () => {
  const room = fourWalls(perLux, LUX, flatReflectance(0.5), 0.55, GREY_ROOM)
  expect(room.illuminanceLux).toBeCloseTo(LUX, 9)
  room.spectrum.forEach((power, i) => expect(power).toBeCloseTo(perLux[i]!, 9))
})

test('an integrating sphere: E = E₀ / (1 − ρ) for a room of one reflectance (Sumpner 1892)', () => {
  // The room as it was, reflecting 0.5, showed twice the first light; at 0.8 it shows five times.
  const room = fourWalls(perLux, LUX, flatReflectance(0.8), 1, GREY_ROOM)
  expect(room.illuminanceLux / LUX).toBeCloseTo(5 / 2, 9)
})

// Common practice: colour grows on four walls; deep colours close the room in.
test('an off-white reads about twice as colourful on four walls as on a chip, for an eye on the window', () => {
  const { chip, window } = walls([91, 0.5, 5])
  expect(window.c / chip.c).toBeGreaterThan(1.6)
  expect(window.c / chip.c).toBeLessThan(2.4)
})

test.each([[[28, -16, 6]], [[15, 1, -12]], [[40, -4, 8]]] as const)(
  'a deep colour %j darkens its room and itself',
  (lab) => {
    const { chip, window, room } = walls(lab)
    expect(room.illuminanceLux).toBeLessThan(LUX)
    expect(window.j).toBeLessThan(chip.j)
  },
)

test('an eye on a card in the painted room takes the colour back out', () => {
  const { chip, window, card } = walls([80, 4, 9])
  expect(Math.abs(card.c - chip.c)).toBeLessThan(0.5)
  expect(window.c - chip.c).toBeGreaterThan(2)
})
