import { SHIFT_DIRECTIONS, shiftedByEye, shiftWords } from './by-eye'
import { labD65, reflectanceOfReading } from './reading'

const TAN = reflectanceOfReading({ kind: 'lab', lab: [62, 4, 18] })

test('nothing said is the deck colour itself', () => {
  expect(shiftedByEye(TAN, [])).toBe(TAN)
})

// Directions of a* and b*, CIE 15: +a* red, −a* green, +b* yellow, −b* blue.
test.each([
  ['lighter', (l: number) => l > 64],
  ['darker', (l: number) => l < 60],
  ['pinker', (_: number, a: number, b: number) => a > 6 && Math.abs(b - 18) < 1],
  ['greener', (_: number, a: number) => a < 2],
  ['yellower', (_: number, a: number, b: number) => b > 20 && Math.abs(a - 4) < 1],
  ['bluer', (_: number, _a: number, b: number) => b < 16],
  ['greyer', (_: number, a: number, b: number) => Math.hypot(a, b) < 16.5],
  ['stronger', (_: number, a: number, b: number) => Math.hypot(a, b) > 20.5],
] as const)('a little %s moves that way', (towards, holds) => {
  const [l, a, b] = labD65(shiftedByEye(TAN, [{ towards, size: 'a little' }]))
  expect(holds(l, a, b)).toBe(true)
})

test('clearly is more than a little, whatever the way', () => {
  const from = labD65(TAN)
  for (const towards of SHIFT_DIRECTIONS) {
    const moved = (['a little', 'clearly'] as const).map((size) => {
      const [l, a, b] = labD65(shiftedByEye(TAN, [{ towards, size }]))
      return Math.hypot(l - from[0], a - from[1], b - from[2])
    })
    expect(moved[0]!).toBeGreaterThan(2)
    expect(moved[1]!).toBeGreaterThan(2 * moved[0]!)
  }
})

test('two steps add up, and are said as they were said', () => {
  const shifts = [
    { towards: 'darker', size: 'clearly' },
    { towards: 'greener', size: 'a little' },
  ] as const
  const [l, a] = labD65(shiftedByEye(TAN, shifts))
  expect(l).toBeLessThan(56)
  expect(a).toBeLessThan(2)
  expect(shiftWords(shifts)).toBe('clearly darker, a little greener')
})

test('a shift beyond any surface is refused', () => {
  const white = reflectanceOfReading({ kind: 'lab', lab: [98, 0, 1] })
  expect(() => shiftedByEye(white, [{ towards: 'more violet', size: 'clearly' }])).toThrow(
    RangeError,
  )
})
