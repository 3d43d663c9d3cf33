import { converter } from 'culori'
import { prepareLight } from '../colour/appearance'
import { daylightSpectrum } from '../colour/daylight'
import type { Lab } from '../colour/lab'
import { reflectanceOfReading } from '../paint/reading'
import { seededRandom } from '../seeded-random'
import { differenceSteps, differenceWords } from './difference-words'
import { leaning, undertoneOf } from './undertone'

const noon = prepareLight(daylightSpectrum(6504), 500)
const lab65 = converter('lab65')

/** Signs of L*, a*, b* that a word stands for in CIE L*a*b*; 0 where it says nothing of an axis. */
const SIGNS: Readonly<Record<string, readonly [l: number, a: number, b: number]>> = {
  lighter: [1, 0, 0],
  deeper: [-1, 0, 0],
  pinker: [0, 1, 0],
  redder: [0, 1, 0],
  'more orange': [0, 1, 1],
  yellower: [0, 0, 1],
  'yellower and greener': [0, 0, 1],
  greener: [0, -1, 0],
  'greener and bluer': [0, -1, 0],
  bluer: [0, 0, -1],
  'more violet': [0, 0, -1],
}

test('directions agree in sign with culori’s CIE L*a*b* on 200 random pairs', () => {
  const random = seededRandom(23)
  const hex = (): string => {
    const base = 60 + 180 * random()
    return (
      '#' +
      [0, 1, 2]
        .map(() => Math.round(Math.min(255, base + 50 * (random() - 0.5))))
        .map((byte) => byte.toString(16).padStart(2, '0'))
        .join('')
    )
  }
  let said = 0
  const wrong: string[] = []
  for (let i = 0; i < 200; i++) {
    const [from, to] = [hex(), hex()]
    const [p, q] = [from, to].map((each) =>
      undertoneOf(noon, reflectanceOfReading({ kind: 'srgb', hex: each })),
    )
    const [x, y] = [lab65(from)!, lab65(to)!]
    const difference = [y.l - x.l, y.a - x.a, y.b - x.b]
    const chroma = Math.hypot(y.a, y.b) - Math.hypot(x.a, x.b)
    for (const { word, size } of differenceSteps(p!, q!)) {
      // Under two units the two spaces may well disagree on a sign.
      if (size < 2) continue
      said++
      if (word === 'greyer' || word === 'stronger') {
        if (Math.sign(chroma) !== (word === 'stronger' ? 1 : -1))
          wrong.push(`${from} ${to} ${word}`)
      } else
        SIGNS[word]!.forEach((sign, axis) => {
          if (sign !== 0 && Math.sign(difference[axis]!) !== sign)
            wrong.push(`${from} ${to} ${word}`)
        })
    }
  }
  expect(said).toBeGreaterThan(250)
  expect(wrong).toEqual([])
})

test('a difference is said by its size, the largest part first, and nothing unseen is said', () => {
  const beige: Lab = [78, 4, 13]
  const seen = ([l, a, b]: Lab) =>
    undertoneOf(noon, reflectanceOfReading({ kind: 'lab', lab: [l, a, b] }))
  expect(differenceWords(seen(beige), seen(beige))).toBe('the same')
  expect(differenceWords(seen(beige), seen([62, 4, 13]))).toMatch(/^much deeper|^deeper/)
  expect(differenceWords(seen(beige), seen([78, 2, 6]))).toMatch(/greyer/)
  expect(differenceWords(leaning(80, 0, 0), leaning(80, 0, 1.8))).toBe('a touch yellower')
  expect(differenceWords(leaning(80, 0, 0), leaning(77, 0, 0))).toBe('a little deeper')
})

test('what is about twice as strong is stronger, not a little stronger', () => {
  expect(differenceWords(leaning(80, 3, 3), leaning(80, 6, 6))).toBe('stronger')
  expect(differenceWords(leaning(80, 9, 9), leaning(80, 12, 12))).toBe('a little stronger')
  // Of what hardly leans nothing much is made.
  expect(differenceWords(leaning(80, 0.9, 0.6), leaning(80, 2, 1.4))).toBe('a touch stronger')
})
