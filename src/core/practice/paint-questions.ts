import { labFromXyz, xyzFromLab } from '../colour/lab'
import { D65_WEIGHTS } from '../colour/illuminant'
import { ucsDifference, type Ucs } from '../colour/cam16'
import { xyzUnder } from '../colour/observer'
import { lrvPercent } from '../paint/lrv'
import { atStrength, whyNoLadder } from '../paint/strength'
import { DAYLIGHT } from '../undertone/daylight'
import { nameOf } from '../undertone/name'
import { lightnessWord } from '../undertone/lightness-word'
import { percentDarkerThanWhite } from '../undertone/side-by-side'
import { leaning, undertoneOf, type Undertone } from '../undertone/undertone'
import { LEAST_STEPS, QUESTION_KINDS } from './kinds'
import { lightWords, practiceLight } from './lights'
import type { PracticePaint } from './asked-about'
import type { Material } from './material'
import { anyOf, PLAIN_SPEC, type Maker, paintStrand, type Spec } from './question'

const anyPaint = (
  { paints }: Material,
  light: Spec['light'],
  random: () => number,
): Omit<Spec, 'kind'> | null =>
  paints.length === 0
    ? null
    : {
        ...PLAIN_SPEC,
        light,
        paints: [anyOf(paints, random).ref],
        turn: Math.floor(random() * 2 ** 31),
      }

const paintOf = ({ paints: [ref] }: Spec, material: Material): PracticePaint | null =>
  ref ? material.paint(ref) : null

const ASKED_STRENGTHS = [100, 75, 50] as const

/** A colour at a strength, beside itself at full. */
export const whichStrength: Maker = {
  find(material, light, random) {
    const spec = anyPaint(material, light, random)
    return spec && { ...spec, strengthPercent: anyOf(ASKED_STRENGTHS, random) }
  },
  pose(spec, material) {
    const paint = paintOf(spec, material)
    const right = ASKED_STRENGTHS.findIndex((percent) => percent === spec.strengthPercent)
    if (!paint || right < 0 || whyNoLadder(paint.base)) return null
    const light = practiceLight(spec.light)
    const mixes = ASKED_STRENGTHS.map((percent) =>
      atStrength(paint.reflectance, paint.whiteBase, percent),
    )
    const places = mixes.map((mix): Ucs => {
      const { j, a, b } = undertoneOf(light, mix)
      return [j, a, b]
    })
    const level = Math.min(
      ucsDifference(places[0]!, places[1]!),
      ucsDifference(places[1]!, places[2]!),
    )
    if (level < LEAST_STEPS) return null
    const mix = mixes[right]!
    return {
      ...{ spec, level, onCard: true, chance: null },
      strand: paintStrand(spec, paint.reflectance),
      shown: [
        { label: 'at 100 %', name: paint.name, reflectance: mixes[0]! },
        { label: 'the mix', reflectance: mix },
      ],
      asks: `Left the full strength. At which is the right one mixed, ${lightWords(spec.light)}?`,
      answer: { as: 'choice', choices: ASKED_STRENGTHS.map((percent) => `${percent} %`), right },
      why: mixes
        .map(
          (each, i) =>
            `${ASKED_STRENGTHS[i]!} %: LRV ${Math.round(lrvPercent(each))}, lean ${undertoneOf(light, each).c.toFixed(1)}`,
        )
        .join('; '),
    }
  },
}

const lightnessOf = (percent: number): number => labFromXyz([percent, percent, percent], EVEN)[0]
const EVEN = [100, 100, 100] as const
const lrvOf = (lightness: number): number => xyzFromLab([lightness, 0, 0], EVEN)[1]

/** An LRV, right within so many units of lightness (L*, of which about one is a step). */
export const howLight: Maker = {
  find(material, light, random, level) {
    const spec = anyPaint(material, light, random)
    return spec && { ...spec, within: Math.max(LEAST_STEPS, level) }
  },
  pose(spec, material) {
    const paint = paintOf(spec, material)
    const { within } = spec
    if (!paint || within === null || within < LEAST_STEPS) return null
    const lrv = xyzUnder(D65_WEIGHTS, paint.reflectance)[1]
    const lightness = lightnessOf(lrv)
    const [from, to] = [
      lrvOf(Math.max(0, lightness - within)),
      lrvOf(Math.min(100, lightness + within)),
    ]
    return {
      ...{ spec, onCard: true, chance: null, level: within },
      strand: paintStrand(spec, paint.reflectance),
      shown: [{ label: 'the paint', name: paint.name, reflectance: paint.reflectance }],
      asks: `What is its LRV, ${lightWords(spec.light)}? The card around it has 90.`,
      answer: { as: 'figure', unit: 'LRV', right: lrv, from, to },
      why: `LRV ${lrv.toFixed(1)}, ${lightnessWord(lrv)}, ${percentDarkerThanWhite(lrv)} % darker than the card. Right from ${Math.ceil(from)} to ${Math.floor(to)}.`,
    }
  },
}

const PALE = ['white', 'off-white', 'greige'] as const
type Pale = (typeof PALE)[number]

// LRV from which a pale neutral is what; a greige is warm, and no cream. Common practice.
const PALE_FROM_LRV = { white: 85, 'off-white': 72, greige: 50 } as const
const NEUTRAL_BELOW = 9
const WARM = { from: 2.5, hueDeg: [35, 125] } as const

/** What of the three a colour is; null for what is none of them. */
function paleOf({ c, hueDeg }: Undertone, lrv: number): Pale | null {
  if (c >= NEUTRAL_BELOW) return null
  if (lrv >= PALE_FROM_LRV.white) return 'white'
  if (lrv >= PALE_FROM_LRV['off-white']) return 'off-white'
  const [from, to] = WARM.hueDeg
  const isWarm = c >= WARM.from && hueDeg >= from && hueDeg <= to
  return isWarm && lrv >= PALE_FROM_LRV.greige ? 'greige' : null
}

/** White, off-white or greige? */
export const whiteOrGreige: Maker = {
  // What a white is called goes by daylight.
  find: (material, _, random) => anyPaint(material, 'noon daylight', random),
  pose(spec, material) {
    const paint = paintOf(spec, material)
    if (!paint || spec.light !== 'noon daylight') return null
    const undertone = undertoneOf(DAYLIGHT, paint.reflectance)
    const lrv = lrvPercent(paint.reflectance)
    const pale = paleOf(undertone, lrv)
    const called = nameOf(undertone, lrv)
    // Where the name that every screen gives is another, nobody is asked.
    if (pale === null || (called.name !== pale && called.second !== pale)) return null
    const right = PALE.indexOf(pale)
    const apart = fromBorder(undertone, lrv, pale)
    if (apart < LEAST_STEPS) return null
    return {
      ...{ spec, level: apart, onCard: true, chance: null },
      strand: paintStrand(spec, paint.reflectance),
      shown: [{ label: 'the paint', name: paint.name, reflectance: paint.reflectance }],
      asks: `White, off-white or greige, ${lightWords(spec.light)}?`,
      answer: { as: 'choice', choices: [...PALE], right },
      why: `By daylight ${called.words}: LRV ${Math.round(lrv)}, ${percentDarkerThanWhite(lrv)} % darker than the card.`,
    }
  },
}

const AROUND = [0, 45, 90, 135, 180, 225, 270, 315].map((deg) => (deg * Math.PI) / 180)
const HALF_STEP = 0.5

/** How many steps a colour lies from the nearest border of its kind, in half steps, as far as any question asks. */
function fromBorder(undertone: Undertone, lrv: number, pale: Pale): number {
  const lightness = lightnessOf(lrv)
  const far = QUESTION_KINDS['white or greige'].most
  for (let steps = HALF_STEP; steps <= far; steps += HALF_STEP) {
    const holds = [
      ...AROUND.map((angle) =>
        paleOf(
          leaning(
            undertone.j,
            undertone.a + steps * Math.cos(angle),
            undertone.b + steps * Math.sin(angle),
          ),
          lrv,
        ),
      ),
      ...[-steps, steps].map((by) =>
        paleOf(
          leaning(undertone.j + by, undertone.a, undertone.b),
          lrvOf(Math.min(100, Math.max(0, lightness + by))),
        ),
      ),
    ].every((near) => near === pale)
    if (!holds) return steps - HALF_STEP
  }
  return far
}
