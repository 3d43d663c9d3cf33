import Color from 'colorjs.io'
import { converter } from 'culori'
import { D65_WEIGHTS } from '../colour/illuminant'
import { xyzUnder } from '../colour/observer'
import { WHITE_CARD } from '../colour/appearance'
import type { Reflectance, Xyz } from '../colour/spectrum'
import { reflectanceOfReading } from '../paint/reading'
import { labWhiteBase } from '../paint/white-base'
import { seededRandom } from '../seeded-random'
import { questionAgain, questionFrom } from './ask'
import { LEAST_STEPS, PRACTICE_KINDS, QUESTION_KINDS, type PracticeKind } from './kinds'
import { practiceLight } from './lights'
import { inventedMaterial, materialOf, type Material } from './material'
import { isRight, type Question } from './question'

// Each question is held to what two other libraries make of the same surfaces: colorjs.io's CAT16 and CAM16, and culori's
// L*a*b*.

const SEEDS = 5

/** A deck of one's own, of even greys and pale colours, as no invented one is. */
function ownMaterial(): Material {
  const random = seededRandom(99)
  const invented = inventedMaterial(3, 'american')
  const paints = Array.from({ length: 500 }, (_, i) => {
    const lab = [40 + 54 * random(), 16 * random() - 8, 20 * random() - 6] as const
    return {
      ref: { own: `colour ${i}` },
      name: `Colour ${i}`,
      reflectance: reflectanceOfReading({ kind: 'lab', lab }),
      source: 'maker' as const,
      base: 'white' as const,
      whiteBase: labWhiteBase([95, -1, 2]),
    }
  })
  const finishes = invented.finishes.map((finish, i) => ({
    ...finish,
    ref: { own: `finish ${i}` },
  }))
  return materialOf(paints, finishes, 'american')
}

const MATERIALS = { invented: inventedMaterial(1, 'american'), own: ownMaterial() }

const asked = new Map<PracticeKind, Question[]>()

function questionsOf(kind: PracticeKind): Question[] {
  const known = asked.get(kind)
  if (known) return known
  const { least, start, most } = QUESTION_KINDS[kind]
  const questions = Object.values(MATERIALS).flatMap((material) =>
    Array.from({ length: SEEDS }, (_, seed) => {
      const level = [least, start, most][seed % 3]!
      return questionFrom(material, { kind, level, seed: 1000 + seed })
    }).filter((question) => question !== null),
  )
  asked.set(kind, questions)
  return questions
}

const reflectances = ({ shown }: Question): Reflectance[] =>
  shown.flatMap((each) => ('reflectance' in each ? [each.reflectance] : []))

const D65 = [0.3127 / 0.329, 1, 0.3583 / 0.329]

/** a′ and b′ beside the white card, by colorjs.io: the light's white brought to D65 by its CAT16, then its CAM16. */
function leanBy({ spec }: Question, reflectance: Reflectance): readonly [number, number] {
  const { weights, white } = practiceLight(spec.light)
  const adapted = {
    ...{ W1: white.map((v) => v / white[1]), W2: D65, options: { method: 'CAT16' } },
    M: [] as readonly (readonly number[])[],
  }
  // Where it looks its transforms up, for any white.
  Color.hooks.run('chromatic-adaptation-start', adapted)
  const matrix = adapted.M
  const seen = (xyz: Xyz): readonly [number, number] => {
    const [x, y, z] = matrix.map((row) => row.reduce((sum, m, i) => sum + m * xyz[i]!, 0) / 100)
    const [, m, h] = new Color('xyz-d65', [x!, y!, z!]).to('cam16-jmh').coords as number[]
    const colourfulness = Math.log1p(0.0228 * m!) / 0.0228
    const angle = (h! * Math.PI) / 180
    return [colourfulness * Math.cos(angle), colourfulness * Math.sin(angle)]
  }
  const xyz = xyzUnder(weights, reflectance)
  const card = xyzUnder(weights, WHITE_CARD)
  const share = xyz[1] / card[1]
  const [a, b] = seen(xyz)
  const [greyA, greyB] = seen([card[0] * share, card[1] * share, card[2] * share])
  return [a - greyA, b - greyB]
}

const ALONG = { greener: [-1, 0], pinker: [1, 0], yellower: [0, 1], bluer: [0, -1] } as const
const alongBy = (question: Question, reflectance: Reflectance): number => {
  const [a, b] = leanBy(question, reflectance)
  const [x, y] = ALONG[question.spec.axis!]
  return a * x + b * y
}

const toLab65 = converter('lab65')
const lightnessBy = (reflectance: Reflectance): number => {
  const [x, y, z] = xyzUnder(D65_WEIGHTS, reflectance)
  return toLab65({ mode: 'xyz65', x: x / 100, y: y / 100, z: z / 100 }).l
}

test.each(PRACTICE_KINDS)(
  '%s: found of invented and of own things, hard enough, with one answer',
  (kind) => {
    const questions = questionsOf(kind)
    expect(questions.length).toBeGreaterThanOrEqual(2 * SEEDS - 3)
    for (const { level, answer, shown, chance } of questions) {
      expect(level).toBeGreaterThanOrEqual(
        kind === 'which way off' ? LEAST_STEPS : 0.999 * QUESTION_KINDS[kind].least,
      )
      if (answer.as === 'choice') expect(new Set(answer.choices).size).toBe(answer.choices.length)
      if (answer.as === 'order') expect([...answer.right].sort()).toEqual(shown.map((_, i) => i))
      if (chance !== null) expect(Math.abs(chance - 0.5)).toBeGreaterThanOrEqual(0.35)
    }
  },
)

test.each(PRACTICE_KINDS)(
  '%s: the same seed asks the same, and what was asked can be asked again',
  (kind) => {
    const material = MATERIALS.invented
    const wanted = { kind, level: QUESTION_KINDS[kind].start, seed: 77 }
    const question = questionFrom(material, wanted)!
    expect(questionFrom(inventedMaterial(1, 'american'), wanted)).toEqual(question)
    expect(questionFrom(material, { ...wanted, seed: 78 })!.spec).not.toEqual(question.spec)
    // After it went through the store.
    const kept = JSON.parse(JSON.stringify(question.spec)) as Question['spec']
    expect(questionAgain(inventedMaterial(5, 'american'), kept)).toEqual(question)
    expect(
      questionAgain(material, { ...kept, paints: kept.paints.map(() => ({ own: 'gone' })) }),
    ).toBeNull()
  },
)

test('which of two is greener, pinker, yellower or bluer, is so by colorjs.io as well', () => {
  for (const question of questionsOf('which of two')) {
    const [a, b] = reflectances(question).map((each) => alongBy(question, each)) as [number, number]
    expect(question.answer).toMatchObject({ right: a > b ? 0 : 1 })
  }
})

test('five neutrals lie in their order by colorjs.io as well', () => {
  for (const question of questionsOf('sort by lean')) {
    const at = reflectances(question).map((each) => alongBy(question, each))
    const order = at.map((_, i) => i).sort((p, q) => at[q]! - at[p]!)
    expect(question.answer).toMatchObject({ right: order })
  }
})

test('the odd one of four lies farthest from the others by colorjs.io as well', () => {
  for (const question of questionsOf('odd one out')) {
    const leans = reflectances(question).map((each) => leanBy(question, each))
    const apart = leans.map(([a, b], i) => {
      const others = leans.filter((_, j) => j !== i)
      const mean = (axis: 0 | 1): number => others.reduce((sum, each) => sum + each[axis], 0) / 3
      return Math.hypot(a - mean(0), b - mean(1))
    })
    expect(question.answer).toMatchObject({ right: apart.indexOf(Math.max(...apart)) })
  }
})

test('an LRV is that of culori’s lightness, and right within as many units of it as was asked', () => {
  for (const { answer, spec, shown } of questionsOf('how light')) {
    if (answer.as !== 'figure' || !('reflectance' in shown[0]!)) throw new Error('no figure')
    const lightness = lightnessBy(shown[0].reflectance)
    // L* to Y, CIE 15:2018.
    const f = (lightness + 16) / 116
    const lrv = lightness > 8 ? 100 * f ** 3 : (100 * lightness) / 903.3
    expect(answer.right).toBeCloseTo(lrv, 1)
    const within = spec.within!
    const inside = (to: number): number => 100 * ((lightness + to + 16) / 116) ** 3
    expect(isRight(answer, lrv)).toBe(true)
    expect(isRight(answer, inside(-0.9 * within))).toBe(true)
    expect(isRight(answer, inside(-1.1 * within))).toBe(false)
  }
})

test('a strength is told by what culori’s lightness says of it: weaker is lighter, never the same', () => {
  for (const question of questionsOf('which strength')) {
    const [full, mix] = reflectances(question).map(lightnessBy) as [number, number]
    const { answer } = question
    if (answer.as !== 'choice') throw new Error('no choice')
    if (answer.right === 0) expect(mix).toBe(full)
    else expect(mix).toBeGreaterThan(full)
  }
})

// Common practice: greige is 15 to 30 % darker than white.
test('a white is lighter than a greige, which lies 15 to 30 % under the card and does lean', () => {
  const darker = (question: Question): number =>
    100 * (1 - xyzUnder(D65_WEIGHTS, reflectances(question)[0]!)[1] / 90)
  for (const question of questionsOf('white or greige')) {
    const { answer } = question
    if (answer.as !== 'choice') throw new Error('no choice')
    const word = answer.choices[answer.right]
    if (word === 'white') expect(darker(question)).toBeLessThan(8)
    if (word === 'greige') expect(darker(question)).toBeGreaterThan(10)
  }
})

test('the light that turns a colour most does so by colorjs.io as well', () => {
  for (const question of questionsOf('which light turns it')) {
    const { answer, spec } = question
    if (answer.as !== 'choice') throw new Error('no choice')
    const [own] = reflectances(question)
    const [a, b] = leanBy(question, own!)
    const turned = spec.lights.map((light) => {
      const [p, q] = leanBy({ ...question, spec: { ...spec, light } }, own!)
      return Math.hypot(p - a, q - b)
    })
    expect(turned.indexOf(Math.max(...turned))).toBe(answer.right)
  }
})

test('nothing can be asked of nothing', () => {
  const none = materialOf([], [], 'american')
  for (const kind of PRACTICE_KINDS)
    expect(questionFrom(none, { kind, level: QUESTION_KINDS[kind].start, seed: 1 })).toBeNull()
})
