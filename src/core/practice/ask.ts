import { seededRandom } from '../seeded-random'
import type { PracticeKind } from './kinds'
import { whichLightTurnsIt } from './light-questions'
import { oddOneOfFour, sortByLean, whichOfTwo } from './lean-questions'
import { PRACTICE_LIGHTS } from './lights'
import type { Material } from './material'
import { howLight, whichStrength, whiteOrGreige } from './paint-questions'
import { whichWayOff, worksOrNot } from './pair-questions'
import { anyOf, type Maker, type Question, type Spec, type Strand } from './question'

const MAKERS: Readonly<Record<PracticeKind, Maker>> = {
  'works or not': worksOrNot,
  'which way off': whichWayOff,
  'sort by lean': sortByLean,
  'which of two': whichOfTwo,
  'which strength': whichStrength,
  'how light': howLight,
  'which light turns it': whichLightTurnsIt,
  'white or greige': whiteOrGreige,
  'odd one out': oddOneOfFour,
}

/** What is wanted of a question. */
export interface Wanted {
  readonly kind: PracticeKind
  /** How hard; see `QUESTION_KINDS`. */
  readonly level: number
  /** What it should be about, as far as there is such a thing to ask. */
  readonly lean?: Strand['lean']
  readonly finish?: Strand['finish']
  readonly light?: Strand['light']
  /** The same one gives the same question of the same material. */
  readonly seed: number
}

// Tries until one lies near enough to what is wanted; what is seldom found is given more.
const TRIES = 600
const NEAR_ENOUGH = 0.12
/** What it costs to be about another lean, finish or light than was wanted, in logarithms of a level. */
const OTHERWISE = 0.5

/** A question of what there is, with one defensible answer, as near as can be to what is wanted; null where there is none. */
export function questionFrom(material: Material, wanted: Wanted): Question | null {
  const { kind, level, seed } = wanted
  const maker = MAKERS[kind]
  const random = seededRandom(seed)
  let best: Question | null = null
  let least = Infinity
  for (let tried = 0; tried < TRIES && least > NEAR_ENOUGH; tried++) {
    const light = wanted.light ?? anyOf(PRACTICE_LIGHTS, random)
    const found = maker.find(material, light, random, level)
    const question = found && maker.pose({ kind, ...found }, material)
    if (!question) continue
    const miss = Math.abs(Math.log(question.level / level)) + otherwise(question.strand, wanted)
    if (miss < least) [best, least] = [question, miss]
  }
  return best
}

/** The same question again; null where what it was about is gone, or reads differently by now. */
export const questionAgain = (material: Material, spec: Spec): Question | null =>
  MAKERS[spec.kind].pose(spec, material)

const otherwise = (strand: Strand, wanted: Wanted): number =>
  (['lean', 'finish', 'light'] as const).filter(
    (of) => wanted[of] !== undefined && wanted[of] !== strand[of],
  ).length * OTHERWISE
