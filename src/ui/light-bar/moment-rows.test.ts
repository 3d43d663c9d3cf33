import fc from 'fast-check'
import { placeMoments } from './moment-rows'
import type { NamedMoment } from '@/core/light/ribbon'

const NAMES = ['coolest', 'sun in', 'brightest', 'warmest', 'sun out'] as const

test('an afternoon where three moments crowd keeps all five words', () => {
  const minutes = [430, 830, 1010, 1110, 1150]
  const moments = NAMES.map((name, i): NamedMoment => ({ name, minute: minutes[i]! }))
  const placed = placeMoments(moments, 340, 1320, 2)
  expect(placed.map(({ name }) => name)).toEqual([...NAMES])
})

test('no word leaves the ribbon, and none lies on another, wherever the moments fall', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 300, max: 1300 }), { minLength: 5, maxLength: 5 }),
      (minutes) => {
        const placed = placeMoments(
          NAMES.map((name, i) => ({ name, minute: minutes[i]! })),
          300,
          1300,
          2,
        )
        const spans = placed.map(({ name, at, row, side }) => {
          // Letters of the small size are at least 5.5 px wide on a ribbon of 378 px.
          const width = (name.length * 5.5) / 378
          return side === 'right' ? [row, at, at + width] : [row, at - width, at]
        })
        for (const [i, [row, start, end]] of spans.entries()) {
          expect(start! >= 0 && end! <= 1).toBe(true)
          for (const [other, s, e] of spans.slice(i + 1))
            expect(other !== row || end! <= s! || start! >= e!).toBe(true)
        }
      },
    ),
    { numRuns: 200 },
  )
})
