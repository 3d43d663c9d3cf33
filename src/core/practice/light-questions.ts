import { differenceWords } from '../undertone/difference-words'
import { undertoneOf } from '../undertone/undertone'
import { capital } from '../words'
import { LEAST_STEPS } from './kinds'
import { lightWords, practiceLight, PRACTICE_LIGHTS } from './lights'
import { anyOf, paintStrand, PLAIN_SPEC, shuffled, type Maker } from './question'

const TO_CHOOSE = 3
// From where it is told: what turns a colour is said of its daylight.
const HELD_IN = ['north sky', 'noon daylight'] as const

/** In which of three lights does a colour turn most, beside the white card in the same light? */
export const whichLightTurnsIt: Maker = {
  find({ paints }, _, random) {
    if (paints.length === 0) return null
    const light = anyOf(HELD_IN, random)
    return {
      ...PLAIN_SPEC,
      light,
      paints: [anyOf(paints, random).ref],
      lights: shuffled(
        PRACTICE_LIGHTS.filter((each) => each !== light),
        random,
      ).slice(0, TO_CHOOSE),
    }
  },
  pose(spec, material) {
    const paint = spec.paints[0] ? material.paint(spec.paints[0]) : null
    if (!paint || spec.lights.length !== TO_CHOOSE || !HELD_IN.some((each) => each === spec.light))
      return null
    const { reflectance } = paint
    const here = undertoneOf(practiceLight(spec.light), reflectance)
    const turned = spec.lights
      .map((light, place) => {
        const there = undertoneOf(practiceLight(light), reflectance)
        return { light, place, there, by: Math.hypot(there.a - here.a, there.b - here.b) }
      })
      .sort((p, q) => q.by - p.by)
    const [most, next] = turned as [(typeof turned)[number], (typeof turned)[number]]
    const level = most.by - next.by
    if (level < LEAST_STEPS) return null
    return {
      ...{ spec, level, onCard: true, chance: null },
      strand: { ...paintStrand(spec, reflectance), light: most.light },
      shown: [{ label: paint.name ?? 'the paint', reflectance }],
      asks: `So it is ${lightWords(spec.light)}. In which of these does it turn most, beside the card?`,
      answer: {
        as: 'choice',
        choices: spec.lights.map(capital),
        right: most.place,
      },
      why: turned
        .map(
          ({ light, there, by }) =>
            `${capital(lightWords(light))} it turns by ${by.toFixed(1)} steps: ${differenceWords(here, there)}.`,
        )
        .join(' '),
    }
  },
}
