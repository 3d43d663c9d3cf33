import { prepareLight } from '../colour/appearance'
import { daylightSpectrum } from '../colour/daylight'
import type { Lab } from '../colour/lab'
import { DEFAULT_HOUSE_RULES } from '../advice/house-rules'
import { reflectanceOfReading, type PlainReading, type ReadingSource } from '../paint/reading'
import { undertoneOf, type Undertone } from '../undertone/undertone'
import { isGood } from './chance'
import { judgePair, type PairJudgement } from './judge-pair'
import type { KeeperKind } from './keeper-kind'
import pairRules from './pair-rules.fixture.json'
import { pairReading, type PairReading } from './pair-reading'
import type { Pairing } from './said-of-pair'
import { roleOf } from './role'
import tradeScenes from './trade-scenes.fixture.json'

// What the trade says of pairs (common practice, no published source), on invented colours. The sources stand in the two
// files of cases; what is here turns each into a question that holds or not.

/** A trade case and whether the judge agrees. */
export interface TradeCase {
  readonly says: string
  /** What the case is about: a family that can be left out of a fit. */
  readonly family: string
  readonly holds: boolean
  /** What the judge said, for the list of misses. */
  readonly said: string
}

const NOON = prepareLight(daylightSpectrum(6504), 800)
const labReading = (lab: Lab): PlainReading => ({ kind: 'lab', lab })
const hexReading = (hex: string): PlainReading => ({ kind: 'srgb', hex })
const known = new Map<string, Undertone>()

/** A stated colour by daylight, worked out once. */
function seen(reading: PlainReading): Undertone {
  const key = JSON.stringify(reading)
  const undertone = known.get(key) ?? undertoneOf(NOON, reflectanceOfReading(reading))
  known.set(key, undertone)
  return undertone
}

/** A pair as the trade states it: both colours known exactly. */
export function statedPair(
  wall: PlainReading,
  finish: PlainReading,
  kind: KeeperKind,
): PairJudgement & { readonly chance: number } {
  const judged = judgePair(
    { undertone: seen(wall), source: 'spectral' },
    { undertone: seen(finish), source: 'spectral' },
    roleOf(kind, DEFAULT_HOUSE_RULES),
  )
  return { ...judged, chance: judged.chanceIfExact }
}

export const statedLabPair = (wall: Lab, finish: Lab, kind: KeeperKind): PairJudgement =>
  statedPair(labReading(wall), labReading(finish), kind)

const KIND_OF: Readonly<Record<string, KeeperKind>> = {
  textile: 'curtain',
  paint: 'trim',
  trim: 'trim',
  metal: 'trim',
  tile: 'tile',
  stone: 'stone',
  cabinet: 'cabinets',
  floor: 'floor',
  furniture: 'upholstery',
}

// How the cases call what the judge names; they part a shade more finely than raters do.
const WORDS: Record<Pairing, readonly string[]> = {
  'shares the undertone': ['connect', 'stretch ok'],
  'quiet relative': ['connect', 'stretch ok'],
  'carried through': ['connect'],
  bridges: ['connect'],
  'sets off': ['contrast', 'connect'],
  'undertones quarrel': ['clash'],
  'too strong': ['clash', 'stretch fails'],
  'both strong': ['clash', 'stretch fails'],
  'almost the same': ['near-miss', 'stretch fails'],
  'no relief': ['near-miss', 'stretch fails'],
  'one looks dirty': ['dirty', 'washed out'],
  drab: ['dirty', 'washed out', 'stretch fails'],
}

const saidOf = ({ pairing, chance }: Pick<PairJudgement, 'pairing' | 'chance'>): string =>
  `${pairing}, ${chance.toFixed(2)}`

/** The 35 pairs of the trade's scenes. */
export const scenePairs = (): TradeCase[] =>
  tradeScenes.pairs.map(({ says, wall, finish, finishKind, expect, word }) => {
    const judged = statedLabPair(wall as never, finish as never, KIND_OF[finishKind]!)
    const works = isGood(judged.chance)
    const asSaid = word === undefined || WORDS[judged.pairing].includes(word)
    const holds =
      expect === 'works'
        ? works
        : expect === 'not'
          ? !works && asSaid
          : judged.pairing !== 'undertones quarrel'
    return { says, family: finishKind, holds, said: saidOf(judged) }
  })

/** The 4 mixed finishes. */
export const sceneParts = (): TradeCase[] =>
  tradeScenes.parts.map(({ says, finish, better, works, notNo }) => {
    const stone = {
      name: 'stone',
      role: roleOf('stone', DEFAULT_HOUSE_RULES),
      varies: false,
      colours: (finish as unknown as [Lab, number][]).map(([lab, sharePercent], i) => ({
        part: `part ${i + 1}`,
        sharePercent,
        reflectance: reflectanceOfReading(labReading(lab)),
        source: 'spectral' as ReadingSource,
      })),
    }
    const read = (lab: unknown): PairReading =>
      pairReading(
        NOON,
        {
          strengthPercent: 100,
          source: 'spectral',
          reflectance: reflectanceOfReading(labReading(lab as Lab)),
        },
        stone,
      )
    const [best, worst] = better.map(read)
    const checks = [
      best!.chanceIfExact > worst!.chanceIfExact,
      works === undefined || isGood(read(works).chance),
      notNo === undefined || read(notNo).judgement !== 'no',
      // Where something works and something is worst, it is worse than what works.
      works === undefined || worst!.chance < read(works).chance,
    ]
    return {
      says,
      family: 'mixed',
      holds: checks.every(Boolean),
      said: [best!, worst!, ...[works, notNo].flatMap((lab) => (lab ? [read(lab)] : []))]
        .map(saidOf)
        .join('; '),
    }
  })

// Which finish each name of the rules is.
const RULE_KIND: Readonly<Record<string, KeeperKind>> = {
  cream: 'trim',
  clean_white: 'trim',
  white_b: 'trim',
  blue_tile: 'tile',
  gold_oak: 'floor',
}
const kindOf = (name: string): KeeperKind => RULE_KIND[name] ?? 'stone'

/** The 33 rules. */
export const pairRuleCases = (): TradeCase[] =>
  pairRules.cases.map(({ id, rule, hex }) => {
    const colours = hex as unknown as Readonly<Record<string, string>>
    const judged = (wall: string, finish: string): PairJudgement =>
      statedPair(hexReading(colours[wall]!), hexReading(colours[finish]!), kindOf(finish))
    const [verb, wall, second, third] = rule as [
      string,
      string,
      string | string[],
      string | string[],
    ]
    const all = [second].flat()
    const pairs =
      verb === 'better'
        ? [judged(wall, third as string), judged(second as string, third as string)]
        : all.map((finish) => judged(wall, finish))
    const asked = [third].flat()
    const has = (pair: PairJudgement): boolean =>
      WORDS[pair.pairing].some((word) => asked.includes(word))
    const holds =
      verb === 'better'
        ? pairs[0]!.chance > pairs[1]!.chance
        : verb === 'has'
          ? has(pairs[0]!)
          : !pairs.some(has)
    const about = verb === 'better' ? (third as string) : all[0]!
    return { says: id, family: kindOf(about), holds, said: pairs.map(saidOf).join('; ') }
  })
