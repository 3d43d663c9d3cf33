import { ILLUMINANT_SPECTRA } from '../colour/illuminant'
import { ledSpectrum } from '../colour/led'
import { planckianSpectrum } from '../colour/planckian'
import { xyzOfSpectrum } from '../colour/observer'
import { SPECTRUM_LENGTH } from '../colour/spectrum'
import { BULBS, LAMP_PLACES } from './fittings'
import { bulbSpectrum, lampLight } from './lamp-light'
import { PLAIN_LAMP, surfaceAreaM2, type LitRoom, type RoomLamp } from './room'
import { lampAt } from './spot'

const room = (...lamps: readonly Partial<RoomLamp>[]): LitRoom => ({
  northSouthMm: 4000,
  eastWestMm: 5000,
  heightMm: 2500,
  windows: [],
  lamps: lamps.map((lamp) => ({ ...PLAIN_LAMP, ...lamp })),
})
const flat = (share: number) => new Float64Array(SPECTRUM_LENGTH).fill(share)
const lux = (spectrum: Float64Array): number => xyzOfSpectrum(spectrum)[1]

test('over all surfaces a lamp gives its lumens over their area, and what bounces on top: the integrating sphere', () => {
  // E = Φ / (A (1 − ρ)), the balance of flux in a closed room (IES Lighting Handbook, flux transfer).
  const lit = room({ lumens: 1600 })
  const area = surfaceAreaM2(lit)
  expect(area).toBeCloseTo(85, 6)
  for (const share of [0, 0.3, 0.5, 0.8])
    expect(lux(lampLight(lit, null, area, flat(share)))).toBeCloseTo(1600 / (85 * (1 - share)), 2)
})

test('straight below, the inverse square of the distance and the cosine', () => {
  const lit = room({ lumens: 1600, place: 'pendant' })
  const [x, y, z] = lampAt(lit, lit.lamps[0]!)
  const below = (mm: number, normal: readonly [number, number, number] = [0, 0, 1]) =>
    lux(lampLight(lit, { at: [x, y, z - mm], normal }, surfaceAreaM2(lit), flat(0)))
  // Half of a point's light, spread evenly below: I = Φ_down / 2π candela, E = I / d².
  const candela = (1600 * (1 - LAMP_PLACES.pendant.uplight)) / (2 * Math.PI)
  expect(below(1000)).toBeCloseTo(candela, 3)
  expect(below(2000)).toBeCloseTo(candela / 4, 3)
  const half = Math.SQRT1_2
  expect(below(1000, [half, 0, half])).toBeCloseTo(candela * half, 3)
  expect(below(1000, [0, 0, -1])).toBe(0)
})

test('two lamps give the sum of each, and of an evening only those that are lit then', () => {
  const area = surfaceAreaM2(room())
  const of = (...lamps: readonly Partial<RoomLamp>[]) =>
    lux(lampLight(room(...lamps), null, area, flat(0.5)))
  expect(of({ lumens: 800 }, { lumens: 400 })).toBeCloseTo(of({ lumens: 1200 }), 6)
  expect(of({ lumens: 800, evening: false }, { lumens: 400 })).toBeCloseTo(of({ lumens: 400 }), 6)
  expect(of({ lumens: 800, evening: false })).toBeCloseTo(of({ lumens: 800 }), 6)
})

test('a bulb is what its kind and its temperature say: a tube the nearest standard one, an LED out of its range a radiator', () => {
  const expectIs = (
    bulb: RoomLamp['bulb'],
    cctK: number,
    spectrum: ArrayLike<number> & Iterable<number>,
  ) => {
    const own = bulbSpectrum({ bulb, cctK })
    const y = xyzOfSpectrum(Float64Array.from(spectrum))[1]
    expect(lux(own)).toBeCloseTo(1, 9)
    for (const i of [10, 35, 60]) expect(own[i]).toBeCloseTo([...spectrum][i]! / y, 9)
  }
  for (const [cctK, tube] of [
    [3000, 'F11'],
    [4099, 'F11'],
    [4100, 'F2'],
    [5499, 'F2'],
    [5500, 'F7'],
    [6500, 'F7'],
  ] as const)
    expectIs('tube', cctK, ILLUMINANT_SPECTRA[tube])
  expectIs('filament', 2700, planckianSpectrum(2700))
  expectIs('led-80', 2199, planckianSpectrum(2199))
  expectIs('led-80', 7001, planckianSpectrum(7001))
  for (const cctK of [2200, 2700, 7000])
    expectIs('led-80', cctK, ledSpectrum(cctK, BULBS['led-80'].ra))
  expect(() => bulbSpectrum({ bulb: 'tube', cctK: Number.NaN })).toThrow(/lamp's cctK/)
})

test('from below its lower half shines, from above its upper; nearer than half a metre counts as half a metre', () => {
  const lit = room({ lumens: 1000, place: 'strip' })
  const [x, y, z] = lampAt(lit, lit.lamps[0]!)
  const at = (mm: number) =>
    lux(lampLight(lit, { at: [x, y, z + mm], normal: [0, 0, mm < 0 ? 1 : -1] }, 85, flat(0)))
  const { uplight } = LAMP_PLACES.strip
  expect(at(1000) / at(-1000)).toBeCloseTo(uplight / (1 - uplight), 9)
  expect(at(-500)).toBeCloseTo(4 * at(-1000), 9)
  expect(at(-100)).toBeCloseTo(at(-500), 9)
})

test('an area or a reflectance that is none is refused by name', () => {
  for (const area of [0, -1, Infinity, Number.NaN])
    expect(() => lampLight(room({}), null, area, flat(0.5))).toThrow(/area must be above 0 m², got/)
  expect(() => lampLight(room({}), null, 85, flat(Number.NaN))).toThrow(/mean reflectances/)
})
