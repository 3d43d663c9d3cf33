import { prepareLight } from '../colour/appearance'
import { daylightSpectrum } from '../colour/daylight'
import { sheenWords } from '../undertone/sheen-words'
import { undertoneOf } from '../undertone/undertone'
import { lrvPercent } from './lrv'
import { reflectanceOfReading } from './reading'
import { inSheen, SHEENS } from './sheen'

const navy = reflectanceOfReading({ kind: 'lab', lab: [22, 2, -18] })
const offWhite = reflectanceOfReading({ kind: 'lab', lab: [92, 0.5, 6] })
const noon = prepareLight(daylightSpectrum(6504), 500)

// Common practice: a dark colour in satin looks lighter towards the window and shows more undertone than in matt.
test('a navy in satin is deeper and clearer away from the window, lighter and greyer towards it', () => {
  const [matt, away, towards] = [
    navy,
    inSheen(navy, 'satin', 'away from the window'),
    inSheen(navy, 'satin', 'towards the window'),
  ].map((surface) => undertoneOf(noon, surface))
  expect(away!.j).toBeLessThan(matt!.j)
  expect(away!.c).toBeGreaterThan(matt!.c)
  expect(towards!.j).toBeGreaterThan(matt!.j)
  expect(towards!.c).toBeLessThan(matt!.c)
  expect(sheenWords(noon, navy, 'satin')).toMatch(
    /deeper.*away from the window; .*lighter and greyer towards/,
  )
})

test('the shinier, the stronger both; matt is what was read', () => {
  expect([...inSheen(navy, 'matt', 'towards the window')]).toEqual([...navy])
  const towards = SHEENS.map((sheen) => lrvPercent(inSheen(navy, sheen, 'towards the window')))
  const away = SHEENS.map((sheen) => lrvPercent(inSheen(navy, sheen, 'away from the window')))
  expect(towards).toEqual([...towards].sort((p, q) => p - q))
  expect(away).toEqual([...away].sort((p, q) => q - p))
  expect(Math.min(...away)).toBeGreaterThan(0)
})

test('a pale colour hardly changes', () => {
  const towards = undertoneOf(noon, inSheen(offWhite, 'satin', 'towards the window'))
  expect(towards.j - undertoneOf(noon, offWhite).j).toBeLessThan(2.5)
})
