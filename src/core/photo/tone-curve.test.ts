import { curveAt, linearBehind, toneFromPatches, type ShownPatch } from './tone-curve'

// Curves of pictures, none of the form that is fitted: the sRGB curve itself (IEC 61966-2-1), plain powers, and a sine
// laid over a power.
const CURVES: readonly (readonly [string, (x: number) => number])[] = [
  ['the sRGB curve', (x) => (x <= 0.0031308 ? 12.92 * x : 1.055 * x ** (1 / 2.4) - 0.055)],
  ['a power of 1/2', (x) => x ** (1 / 2)],
  ['a power of 1/2.6', (x) => x ** (1 / 2.6)],
  ['an S', (x) => x ** (1 / 2.2) - 0.04 * Math.sin(2 * Math.PI * x ** (1 / 2.2))],
]
const CARD = [
  [0.9, 0.01],
  [0.18, 0.02],
  [0.04, 0.1],
] as const
const shown = (curve: (x: number) => number, exposure: number): ShownPatch[] =>
  CARD.map(([reflectance, tolerance]) => ({
    encoded: [1, 0.97, 0.92].map((tint) => curve(reflectance * exposure * tint)) as [
      number,
      number,
      number,
    ],
    reflectance,
    tolerance,
  }))

test.each(CURVES)(
  '%s: shades between the patches come back within 6 %% of their light',
  (_, curve) => {
    const tone = toneFromPatches(shown(curve, 0.85)).likeliest
    const scale = linearBehind(tone, curve(0.9 * 0.85)) / 0.9
    for (const share of [0.07, 0.12, 0.3, 0.45, 0.6, 0.75])
      expect(Math.abs(linearBehind(tone, curve(share * 0.85)) / scale / share - 1)).toBeLessThan(
        0.06,
      )
  },
)

test('more patches leave less open, one leaves what cameras usually do', () => {
  const all = shown(CURVES[3]![1], 0.85)
  const spread = (patches: readonly ShownPatch[]): number => {
    const knowledge = toneFromPatches(patches)
    return Math.abs(
      linearBehind(curveAt(knowledge, 1, 1), 0.5) - linearBehind(curveAt(knowledge, -1, -1), 0.5),
    )
  }
  expect(spread(all)).toBeLessThan(spread(all.slice(0, 2)))
  expect(spread(all.slice(0, 2))).toBeLessThan(spread(all.slice(0, 1)))
  expect(toneFromPatches(all.slice(0, 1)).byPatches).toBe(false)
})

test('no patch, and one outside the picture, are refused', () => {
  expect(() => toneFromPatches([])).toThrow(/one patch at least/)
  expect(() =>
    toneFromPatches([{ encoded: [NaN, 0.5, 0.5], reflectance: 0.9, tolerance: 0 }]),
  ).toThrow(RangeError)
})
