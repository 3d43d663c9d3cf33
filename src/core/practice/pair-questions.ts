import { spreadsOf } from '../chance-over'
import type { PreparedLight } from '../colour/appearance'
import { chancePercent, FIRM_FROM } from '../pairing/chance'
import { pairReading, type PairReading } from '../pairing/pair-reading'
import { reasonOf } from '../pairing/reason'
import { directionOf } from '../pairing/said-of-pair'
import { seededRandom } from '../seeded-random'
import { leaning } from '../undertone/undertone'
import { REASON_WORDS, type Reason } from '../record/verdict'
import { EYE_STEP } from './kinds'
import { lightWords, practiceLight } from './lights'
import type { PracticeFinish, PracticePaint } from './asked-about'
import type { Material } from './material'
import {
  anyOf,
  paintStrand,
  PLAIN_SPEC,
  shuffled,
  type Maker,
  type Shown,
  type Spec,
  type Strand,
} from './question'

const isFirm = (chance: number): boolean => chance >= FIRM_FROM || chance <= 1 - FIRM_FROM

interface Pair {
  readonly paint: PracticePaint
  readonly finish: PracticeFinish
  readonly strand: Strand
  readonly shown: readonly Shown[]
}

/** What a spec of a pair is about; null where it is gone. */
function pairOf(spec: Spec, material: Material): Pair | null {
  const paint = spec.paints[0] ? material.paint(spec.paints[0]) : null
  const finish = spec.finish ? material.finish(spec.finish) : null
  if (!paint || !finish) return null
  return {
    ...{ paint, finish },
    strand: { ...paintStrand(spec, paint.reflectance), finish: finish.kind },
    shown: [
      { label: calledIn(finish), finish },
      { label: paint.name ?? 'the wall', reflectance: paint.reflectance },
    ],
  }
}

/** One's own by its name, an invented one by what it is. */
const calledIn = ({ ref, keeper }: PracticeFinish): string =>
  'own' in ref ? keeper.name : `the ${keeper.name}`

const readingIn = (light: PreparedLight, { paint, finish }: Pair): PairReading =>
  pairReading(light, { ...paint, strengthPercent: 100 }, finish.keeper)

const anyPair: Maker['find'] = ({ paints, finishes }, light, random) =>
  paints.length === 0 || finishes.length === 0
    ? null
    : {
        ...PLAIN_SPEC,
        light,
        paints: [anyOf(paints, random).ref],
        finish: anyOf(finishes, random).ref,
        turn: Math.floor(random() * 2 ** 31),
      }

/** Does it work, or not? */
export const worksOrNot: Maker = {
  find: anyPair,
  pose(spec, material) {
    const pair = pairOf(spec, material)
    if (!pair) return null
    const reading = readingIn(practiceLight(spec.light), pair)
    if (!isFirm(reading.chance)) return null
    return {
      ...{ spec, strand: pair.strand, shown: pair.shown, onCard: false },
      level: spreadsOf(reading.chance),
      asks: `The wall beside ${calledIn(pair.finish)}, ${lightWords(spec.light)}: does it work?`,
      answer: {
        as: 'choice',
        choices: ['it works', 'it does not'],
        right: reading.chance >= FIRM_FROM ? 0 : 1,
      },
      chance: reading.chance,
      why: whyOf(reading),
    }
  },
}

/** What a wall can be too much of, around the circle. */
const TOO = [
  'too-pink',
  'too-orange',
  'too-yellow',
  'too-green',
  'too-blue',
  'too-violet',
] as const satisfies readonly Reason[]
// Neighbours around the circle are for schools to differ on: they are never offered beside each other.
const APART = 2
const AROUND = [0, 45, 90, 135, 180, 225, 270, 315] as const

/** What is the wall too much of, beside a finish that it clashes with? */
export const whichWayOff: Maker = {
  find: anyPair,
  pose(spec, material) {
    const pair = pairOf(spec, material)
    if (!pair) return null
    const reading = readingIn(practiceLight(spec.light), pair)
    const { chance, pairing, wall, finish } = reading
    const place = TOO.findIndex((word) => word === reading.reason)
    if (chance > 1 - FIRM_FROM || pairing !== 'undertones quarrel' || place < 0) return null
    // The answer holds for whoever sees the wall a step off.
    const holds = AROUND.every((deg) => {
      const angle = (deg * Math.PI) / 180
      const moved = leaning(
        wall.j,
        wall.a + EYE_STEP * Math.cos(angle),
        wall.b + EYE_STEP * Math.sin(angle),
      )
      return reasonOf(pairing, directionOf(moved, finish)) === reading.reason
    })
    if (!holds) return null
    const offered = TOO.filter((_, i) => {
      const steps = Math.abs(i - place)
      return steps === 0 || Math.min(steps, TOO.length - steps) >= APART
    })
    const choices = shuffled(offered, seededRandom(spec.turn))
    return {
      ...{ spec, strand: pair.strand, shown: pair.shown, onCard: false },
      level: Math.hypot(wall.a - finish.a, wall.b - finish.b),
      asks: `This wall clashes with ${calledIn(pair.finish)}, ${lightWords(spec.light)}. It is …`,
      answer: {
        as: 'choice',
        choices: choices.map((reason) => REASON_WORDS[reason]),
        right: choices.indexOf(TOO[place]!),
      },
      ...{ chance, why: whyOf(reading) },
    }
  },
}

const whyOf = ({ sentence, chance }: Pick<PairReading, 'sentence' | 'chance'>): string =>
  `${sentence} ${chancePercent(chance)} that it works.`
