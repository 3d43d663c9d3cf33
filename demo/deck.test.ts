import { readFileSync } from 'node:fs'
import { shippedColours } from '../src/formats/shipped-deck'
import { DEMO_VISITS } from './scenario'

// That it is what the generator makes, `scripts/commands.test.ts` sees.
const file = readFileSync(`${__dirname}/deck.csv`)

test('it is a whole deck: 1,200 colours that paint can be, each name once, lightest first', () => {
  const colours = shippedColours()
  expect(colours).toHaveLength(1200)
  expect(new Set(colours.map(({ name }) => name)).size).toBe(1200)
  const lightness = new Map<string, number>()
  for (const { strip, reading } of colours) {
    if (reading.kind !== 'lab') throw new Error('expected L*a*b*')
    expect(reading.lab[0]).toBeLessThan(lightness.get(strip) ?? 101)
    lightness.set(strip, reading.lab[0])
  }
})

test('every code and keeper that the demo’s looks name is there', () => {
  const codes = new Set(
    file
      .toString()
      .split('\n')
      .map((line) => line.split(',')[0]),
  )
  for (const { candidates, rooms } of DEMO_VISITS) {
    const taken = new Set(candidates.map(([code]) => code))
    for (const code of taken) expect(codes).toContain(code)
    for (const { looks, keepers } of rooms)
      for (const { code, against } of looks) {
        expect(taken).toContain(code)
        expect(keepers.map(({ name }) => name)).toContain(against)
      }
  }
})
