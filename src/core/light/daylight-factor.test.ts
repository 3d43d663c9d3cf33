import { averageDaylightFactorPercent, dimness } from './daylight-factor'

// BS 8206-2 / CIBSE LG10, three rooms worked by an independent implementation.
test.each([
  [0.68, 4, 65, 75.7, 0.55, 3.34844],
  [0.65, 1.4, 50, 53.28, 0.5, 1.13864],
  [0.6, 2.2, 35, 76.96, 0.45, 0.75274],
])('T %d, %d m² of glass, %d° of sky', (t, glass, sky, area, r, expected) => {
  expect(averageDaylightFactorPercent(t, glass, sky, area, r)).toBeCloseTo(expected, 4)
})

test('BS 8206-2: under 2 % dim, over 5 % bright', () => {
  expect([0, 1.9, 2, 5, 5.1].map(dimness)).toEqual([
    'dark',
    'dim',
    'moderate',
    'moderate',
    'bright',
  ])
})
