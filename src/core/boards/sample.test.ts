import { PLAIN_WINDOW } from '../light/room'
import { reflectanceOfReading } from '../paint/reading'
import { groundFor, groundSaid } from '../paint/ground'
import { DAYLIGHT } from '../undertone/daylight'
import { paintedM2, potsFor, USUAL_BOARD, USUAL_POTS } from './sample'
import { sheenApart, sheenApartSaid } from './sheen-apart'
import { wallPatchOf } from './wall-patch'

const of = (...lab: readonly [number, number, number]) => reflectanceOfReading({ kind: 'lab', lab })
const WHITE_BASE = of(96.6, -0.5, 2)

test('a 4 fl oz pot does a square of 2 ft 10 in a side once, and not one of 3 ft', () => {
  const side = (inches: number): number => (inches * 0.0254) ** 2
  const once = (m2: number) => potsFor(m2, USUAL_POTS['us-gallons'], 1)
  expect(once(side(33.9))).toEqual([{ pack: USUAL_POTS['us-gallons'][0], count: 1 }])
  expect(once(side(36))).not.toEqual([{ pack: USUAL_POTS['us-gallons'][0], count: 1 }])
})

test('a board takes its border off, and two coats double what it takes', () => {
  expect(paintedM2(USUAL_BOARD)).toBeCloseTo(0.55 ** 2, 12)
  // 2 × 0.3025 m² is a hair over a pot of 0.6 m².
  expect(potsFor(paintedM2(USUAL_BOARD), USUAL_POTS.litres)).toEqual([
    { pack: USUAL_POTS.litres[0], count: 2 },
  ])
  expect(() => paintedM2({ widthMm: 100, heightMm: 600, borderMm: 50 })).toThrow(RangeError)
})

test('a strong red in a clear base wants grey under it, an off-white does not', () => {
  const red = groundFor(of(38, 52, 34), WHITE_BASE, 'clear', 100)
  expect(red.is).toBe('grey')
  expect(red.coats ?? 9).toBeLessThan(red.coatsOverWhite ?? 9)
  expect(groundSaid(red)).toMatch(/^A grey of LRV \d+ under it: \d coats? instead of /)
  // Two coats over white hide this blue: that grey would do it in one is no reason to tint an undercoat.
  expect(groundFor(of(35, 0, -30), WHITE_BASE, 'clear', 100)).toMatchObject({
    is: 'white',
    coatsOverWhite: 2,
  })
  const pale = groundFor(of(90, 0, 5), WHITE_BASE, 'white', 100)
  expect(pale).toMatchObject({ is: 'white', greyLrvPercent: null })
  expect(groundSaid(pale)).toBe('Primed white first.')
})

test('a dark colour in satin is deeper and stronger away from the window, lighter and greyer towards it', () => {
  // Common practice: a dark colour in satin looks lighter towards the light, and shows more of its undertone aside.
  const navy = sheenApart(DAYLIGHT, of(22, 2, -18), 'matt', 'satin')
  expect(navy.towards.lighter).toBeGreaterThan(3)
  expect(navy.towards.stronger).toBeLessThan(0)
  expect(navy.away.lighter).toBeLessThan(0)
  expect(navy.away.stronger).toBeGreaterThan(0)
  expect(sheenApartSaid('matt', 'satin', navy)).toContain('lighter and greyer towards it')
  const back = sheenApart(DAYLIGHT, of(22, 2, -18), 'satin', 'matt')
  expect(back.towards.lighter).toBeCloseTo(-navy.towards.lighter, 9)
  expect(sheenApartSaid('eggshell', 'eggshell', navy)).toBe('The tester is eggshell, as wanted.')
})

test('a wall is sampled up to the woodwork beside a door, else a window, never as an island', () => {
  const room = {
    northSouthMm: 4000,
    eastWestMm: 5000,
    heightMm: 2600,
    windows: [{ ...PLAIN_WINDOW, bearingDeg: 180 }],
    lamps: [],
    doors: [{ bearingDeg: 90, widthMm: 800, heightMm: 2000 }],
  }
  expect(wallPatchOf(room, 100)).toEqual({
    wall: 'east',
    beside: 'the door',
    widthMm: 600,
    heightMm: 2500,
  })
  expect(wallPatchOf({ ...room, doors: [] }, 100)).toMatchObject({
    wall: 'south',
    beside: 'the window',
  })
  // Where the door leaves no strip of wall beside it, another wall serves.
  const wide = [{ bearingDeg: 90, widthMm: 3600, heightMm: 2000 }]
  expect(wallPatchOf({ ...room, doors: wide }, 100)).toMatchObject({ wall: 'south' })
  expect(wallPatchOf({ ...room, doors: [], windows: [] }, 0)).toMatchObject({
    beside: 'the corner',
  })
})
