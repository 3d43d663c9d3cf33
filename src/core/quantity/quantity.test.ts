import { PLAIN_WINDOW } from '../light/room'
import { reflectanceOfReading } from '../paint/reading'
import { type SURFACES } from '../record/proposal'
import { surfaceM2, USUAL_JOINERY, type PaintedRoom } from './areas'
import { packsSaid } from './packs'
import { usualWays, type PaintWays } from './products'
import { coatsOver, ordered, overOld, OVER_UNSAID, quantityOf, type Mix } from './quantity'

const of = (...lab: readonly [number, number, number]) => reflectanceOfReading({ kind: 'lab', lab })
const WHITE_BASE = of(96.6, -0.5, 2)
const bare = (northSouthM: number, eastWestM: number, heightM: number): PaintedRoom => ({
  northSouthMm: northSouthM * 1000,
  eastWestMm: eastWestM * 1000,
  heightMm: heightM * 1000,
  windows: [],
  lamps: [],
  doors: [],
})

const CANS: PaintWays = {
  ...usualWays('litres'),
  wastePercent: 0,
  products: {
    ...usualWays('litres').products,
    // A can for a hundred square metres.
    walls: { spreadM2PerLitre: 100, packs: [{ name: 'can', ml: 1000, price: null }] },
  },
}

test('a textbook’s hall takes its five cans: 15 × 10 × 7 m, walls and ceiling, 100 m² a can', () => {
  // NCERT, Mathematics, Textbook for Class VIII (2008), chapter 11, exercise 11.3, question 5, and its answer (value from memory).
  const hall = bare(15, 10, 7)
  const areas = (['walls', 'ceiling'] as const).map((surface) =>
    surfaceM2(hall, USUAL_JOINERY, surface, ['walls', 'ceiling']),
  )
  expect(areas).toEqual([350, 150])
  const parts = areas.map((area) => ({
    key: 'paint',
    quantity: quantityOf('walls', area!, 1, 'plain', CANS),
  }))
  expect(packsSaid(ordered(parts, CANS)[0]!.packs)).toBe('5 × can')
})

test('a textbook’s whitewashed room costs what it says: 12 × 8 × 4 m at 5 a square metre', () => {
  // The same, chapter 11, example 8: walls 160 m² for 800, the ceiling 96 m² for 480 (value from memory).
  const room = bare(12, 8, 4)
  const priced: PaintWays = {
    ...CANS,
    products: {
      ...CANS.products,
      walls: { spreadM2PerLitre: 1, packs: [{ name: '1 l', ml: 1000, price: 5 }] },
    },
  }
  const price = (surface: 'walls' | 'ceiling'): number | null =>
    quantityOf('walls', surfaceM2(room, USUAL_JOINERY, surface, [surface])!, 1, 'plain', priced)
      .price
  expect([price('walls'), price('ceiling')]).toEqual([800, 480])
})

const ROOM: PaintedRoom = {
  ...bare(4, 5, 2.5),
  windows: [
    { ...PLAIN_WINDOW, bearingDeg: 0, widthMm: 1200, heightMm: 1400, sillMm: 800 },
    { ...PLAIN_WINDOW, bearingDeg: 0, widthMm: 500, heightMm: 800, pitchDeg: 30 },
  ],
  doors: [{ bearingDeg: 90, widthMm: 800, heightMm: 2000 }],
}

test('openings are taken off the wall and the height they stand in, worked by hand', () => {
  const m2 = (surface: (typeof SURFACES)[number], joinery = USUAL_JOINERY, painted = [surface]) =>
    surfaceM2(ROOM, joinery, surface, painted)
  // 18 m round × 2.5 m, less a window of 1.68 m² and a door of 1.6 m².
  expect(m2('walls')).toBeCloseTo(45 - 1.68 - 1.6, 9)
  // The roof window is in the ceiling.
  expect(m2('ceiling')).toBeCloseTo(20 - 0.4, 9)
  // Up to a metre: 0.2 m of the window's height and 1 m of the door's.
  expect(m2('lower half')).toBeCloseTo(18 - 1.2 * 0.2 - 0.8, 9)
  expect(m2('lower half')! + m2('upper half')!).toBeCloseTo(m2('walls')!, 9)
  // Skirting 17.2 m × 0.12; casings: window 2 × (1.4 + 1.2), door 2 × 2 + 0.8, × 0.07.
  expect(m2('trim')).toBeCloseTo(17.2 * 0.12 + (5.2 + 4.8) * 0.07, 9)
  expect(m2('door inside')).toBeCloseTo(1.6, 9)
  expect(m2('cabinets')).toBeNull()
  expect(m2('one wall')).toBeNull()
})

test('a feature wall and halves are no part of the other walls', () => {
  const joinery = { ...USUAL_JOINERY, featureWall: 'east' as const }
  const m2 = (surface: (typeof SURFACES)[number], painted: (typeof SURFACES)[number][]) =>
    surfaceM2(ROOM, joinery, surface, painted)!
  const all = m2('walls', ['walls'])
  expect(m2('one wall', ['walls', 'one wall'])).toBeCloseTo(4 * 2.5 - 1.6, 9)
  expect(m2('walls', ['walls', 'one wall']) + m2('one wall', ['walls', 'one wall'])).toBeCloseTo(
    all,
    9,
  )
  expect(m2('walls', ['walls', 'lower half']) + m2('lower half', ['lower half'])).toBeCloseTo(
    all,
    9,
  )
  expect(m2('walls', ['walls', 'lower half', 'upper half'])).toBe(0)
})

const mix = (lab: readonly [number, number, number], base: Mix['base']): Mix => ({
  full: of(...lab),
  whiteBase: WHITE_BASE,
  base,
  strengthPercent: 100,
})

test('coats follow from what is to be hidden: two over its like, more over its opposite, an undercoat where colour alone fails', () => {
  const greige = mix([72, 2, 10], 'white')
  expect(coatsOver(greige, overOld(of(72, 2, 11)))).toMatchObject({
    coats: 2,
    undercoat: null,
    hidesIn: 1,
  })
  const white = mix([95, 0, 2], 'white')
  const [overNavy, overWhite] = [overOld(of(22, 2, -18)), OVER_UNSAID].map((old) =>
    coatsOver(white, old),
  )
  expect(overNavy).toMatchObject({ coats: 3, undercoat: null })
  expect(overWhite).toMatchObject({ coats: 2, undercoat: null })
  expect(overWhite!.said).toContain('nobody has said what is there now')
  const yellow = coatsOver(mix([80, 6, 62], 'deep'), overOld(of(22, 2, -18)))
  expect(yellow).toMatchObject({ hidesIn: null, undercoat: 'white primer' })
  expect(yellow.said).toMatch(
    /^Over a white primer: without it in five coats it does not hide the old colour/,
  )
})

test('a texture and waste take more, and tins are rounded once for the house', () => {
  const ways = usualWays('litres')
  const plain = quantityOf('walls', 45, 2, 'plain', ways)
  // 45 m² × 2 coats / 10 m² a litre, and a tenth more.
  expect(plain.litres).toBeCloseTo(9.9, 9)
  expect(packsSaid(plain.packs)).toBe('1 × 10 l')
  expect(quantityOf('walls', 45, 2, 'textured', ways).litres).toBeCloseTo(9.9 * 1.3, 9)
  expect(quantityOf('trim and doors', 45, 2, 'textured', ways).litres).toBeCloseTo(8.25, 9)
  const half = quantityOf('walls', 10, 2, 'plain', ways)
  expect(packsSaid(half.packs)).toBe('1 × 2.5 l')
  // 2.2 l and 2.2 l: a tin of 5 l, not twice one of 2.5 l: as little left over, in fewer tins.
  const both = ordered(
    [
      { key: 'a', quantity: half },
      { key: 'a', quantity: half },
    ],
    ways,
  )
  expect(packsSaid(both[0]!.packs)).toBe('1 × 5 l')
})

test('what is no area, no coat and no spread is refused', () => {
  const ways = usualWays('litres')
  expect(() => quantityOf('walls', -1, 2, 'plain', ways)).toThrow(RangeError)
  expect(() => quantityOf('walls', 10, 0, 'plain', ways)).toThrow(RangeError)
  const none = { ...ways.products, walls: { ...ways.products.walls, spreadM2PerLitre: 0 } }
  expect(() => quantityOf('walls', 10, 2, 'plain', { ...ways, products: none })).toThrow(RangeError)
})
