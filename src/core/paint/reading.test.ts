import { lrvPercent, reflectanceOfReading } from './reading'

test('LRV of a mid grey: L* 50 is Y 18.42', () => {
  // CIE 1976 L*, handbook value.
  expect(lrvPercent(reflectanceOfReading({ kind: 'lab', lab: [50, 0, 0] }))).toBeCloseTo(18.42, 2)
})

test.each([
  [[140, 0, 0], /L\* must be 0 to 100, got 140/],
  [[50, 300, 0], /a\* must be −128 to 128, got 300/],
  [[50, 0, Number.NaN], /b\* must be −128 to 128, got NaN/],
  [[90, 60, -60], /too strong for its lightness/],
] as const)('%j is refused', (lab, message) => {
  expect(() => reflectanceOfReading({ kind: 'lab', lab })).toThrow(message)
})

test('screen black and screen white are taken as the darkest and lightest paint', () => {
  expect(lrvPercent(reflectanceOfReading({ kind: 'srgb', hex: '#000' }))).toBeLessThan(0.1)
  expect(lrvPercent(reflectanceOfReading({ kind: 'srgb', hex: '#fff' }))).toBeGreaterThan(99)
})
