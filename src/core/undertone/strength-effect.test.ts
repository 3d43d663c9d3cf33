import type { Lab } from '../colour/lab'
import { lrvPercent } from '../paint/lrv'
import { reflectanceOfReading } from '../paint/reading'
import { atStrength } from '../paint/strength'
import { DAYLIGHT } from './daylight'
import { halfTintWords, strengthEffect } from './strength-effect'

const surface = (lab: Lab) => reflectanceOfReading({ kind: 'lab', lab })
const BASE = surface([96.2, -0.2, 1.5])
const TAUPE = surface([62, 5, 8])

test('a cut lightens and leaves less of the undertone, an addition the other way round', () => {
  const effect = (percent: number) =>
    strengthEffect(DAYLIGHT, TAUPE, atStrength(TAUPE, BASE, percent))
  const [half, threeQuarters, more] = [50, 75, 150].map(effect)
  expect(half!.lrvPercent).toBeGreaterThan(threeQuarters!.lrvPercent)
  expect(threeQuarters!.lrvPercent).toBeGreaterThan(lrvPercent(TAUPE))
  expect(more!.lrvPercent).toBeLessThan(lrvPercent(TAUPE))
  expect(half!.undertoneLeftPercent).toBeLessThan(threeQuarters!.undertoneLeftPercent!)
  expect(threeQuarters!.undertoneLeftPercent).toBeLessThan(100)
  expect(more!.undertoneLeftPercent).toBeGreaterThan(100)
  const up = Math.round(half!.lrvPercent) - Math.round(lrvPercent(TAUPE))
  expect(half!.words).toContain(`, ${up} up`)
  expect(half!.words).toContain(`${half!.undertoneLeftPercent} % of its undertone left`)
})

test('of a slight colour a quarter is little more than the base, of a strong one it is not', () => {
  const quarter = (lab: Lab) =>
    strengthEffect(DAYLIGHT, surface(lab), atStrength(surface(lab), BASE, 25))
  expect(quarter([90, -0.3, 0.5])).toMatchObject({ littleLeft: true })
  expect(quarter([90, -0.3, 0.5]).words).toMatch(/little more than the base/)
  expect(quarter([60, 14, 30])).toMatchObject({ littleLeft: false })
})

test('a grey of black and white has no undertone to lose', () => {
  const grey = surface([60, 0, 0])
  expect(
    strengthEffect(DAYLIGHT, grey, atStrength(grey, surface([96, 0, 0]), 50)).undertoneLeftPercent,
  ).toBeNull()
  expect(strengthEffect(DAYLIGHT, TAUPE, TAUPE).words).not.toMatch(/left|up|down/)
})

test('in a deep base half the tint lightens little and hides less', () => {
  const words = halfTintWords(surface([40, 28, 26]), BASE, 'deep')
  const [, lift, half, whole] = /about (\d+) L\*.*hide ([\d.]+) %.*instead of ([\d.]+) %/
    .exec(words)!
    .map(Number)
  expect(lift).toBeLessThan(6)
  expect(half).toBeLessThan(whole!)
})
