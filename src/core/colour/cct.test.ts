import { colourTemperature } from './cct'

const xyzOf = (x: number, y: number) => [x / y, 1, (1 - x - y) / y] as const

// CCT and Duv by a nearest-point search on the Planckian locus, made by an independent
// implementation from CIE tables.
test.each([
  ['illuminant A', 0.44757502, 0.40744572, 2855.544, 0],
  ['D50', 0.34567, 0.3585, 5002.271, 0.0031962],
  ['F7', 0.31285247, 0.32917418, 6496.2, 0.0032065],
  ['daylight 10,000 K', 0.2787996, 0.2919672, 9999.41, 0.003059],
  ['a filament at 1,800 K', 0.54924396, 0.40822796, 1800, 0],
  ['a pinkish lamp', 0.44979718, 0.39253965, 2700, -0.006],
  ['a greenish lamp', 0.48776939, 0.46068798, 2700, 0.015],
  ['a greenish daylight', 0.30987146, 0.3501671, 6500, 0.015],
])('%s', (_, x, y, cctK, duv) => {
  const got = colourTemperature(xyzOf(x, y))
  expect(Math.abs(got.cctK / cctK - 1)).toBeLessThan(0.002)
  expect(Math.abs(got.duv - duv)).toBeLessThan(5e-5)
})
