import { leaning, type Undertone } from '../undertone/undertone'
import { faultsThatFit } from './reasons-that-fit'

/** An undertone of a lightness, a lean and its direction. */
const seen = (j: number, c: number, hueDeg: number): Undertone =>
  leaning(j, c * Math.cos((hueDeg * Math.PI) / 180), c * Math.sin((hueDeg * Math.PI) / 180))

test('six of the dozen: the hues it lies towards, its lightness beside the finish, its strength', () => {
  // A pink beige past a green-grey stone, darker than it.
  expect(faultsThatFit([seen(60, 12, 20)], seen(75, 4, 150))).toEqual([
    'too-pink',
    'too-orange',
    'too-grey',
    'too-strong',
    'too-dark',
    'dirty',
  ])
  // A pale blue-grey past a yellow floor.
  expect(faultsThatFit([seen(90, 3, 250)], seen(60, 15, 85))).toEqual([
    'too-blue',
    'too-violet',
    'too-grey',
    'too-pale',
    'too-light',
    'dirty',
  ])
})

test('always six, each once, in the one order that their keys have; of several walls what they are together', () => {
  const all = [0, 40, 80, 130, 200, 260, 320].flatMap((hueDeg) =>
    [2, 9, 25].flatMap((c) => [20, 55, 92].map((j) => seen(j, c, hueDeg))),
  )
  const order = faultsThatFit(all, seen(50, 5, 90))
  expect(order).toHaveLength(6)
  for (const wall of all)
    for (const finish of [seen(30, 2, 200), seen(70, 14, 60)]) {
      const fit = faultsThatFit([wall], finish)
      expect([fit.length, new Set(fit).size]).toEqual([6, 6])
    }
  const finish = seen(70, 4, 90)
  expect(faultsThatFit([seen(60, 12, 10), seen(60, 12, 15), seen(60, 3, 160)], finish)).toContain(
    'too-pink',
  )
})
