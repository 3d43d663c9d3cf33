import { chanceOfScore, type Step } from '../../src/core/pairing/score'
import { tellNames, type NamesTold } from './names'
import {
  fitPairs,
  fitStep,
  observersVariance,
  termedPairs,
  termedSayings,
  type TermedPair,
} from './pairs'
import type { Fitted } from './least-squares'
import {
  isSure,
  NAMED_FILES,
  namedColours,
  ratedPairs,
  ratedRooms,
  sayings,
  type RatedPair,
  type Saying,
} from './ratings'
import { fitReasons, type ReasonsFitted } from './reasons'
import { fitRooms, type RoomsFitted } from './rooms'

export interface LeftOutPair extends TermedPair<RatedPair> {
  readonly said: number
}

const READ_BY = ['reader', 'photo', 'eye'] as const

/** All that is fitted to the ratings, and what fits that did not see a rating say of it. */
export interface Judged {
  readonly fitted: Fitted
  readonly step: Step
  readonly pairs: readonly (TermedPair<RatedPair> & {
    readonly leftOut: number
    readonly byFolds: number
  })[]
  readonly says: readonly (TermedPair<Saying> & { readonly said: number })[]
  readonly chances: {
    /** Of ten bins of like count, how far the share that works is off what is said. */
    readonly worst: number
    readonly mean: number
    /** Of the pairs that both raters are sure of, those said 0.4 to 0.6. */
    readonly unsure: number
    readonly sure: number
    /** The same where the finish was read so. */
    readonly unsureBy: Readonly<Record<(typeof READ_BY)[number], number>>
  }
  readonly rooms: RoomsFitted
  readonly names: NamesTold
}

/** Fits pairs, chances, rooms and names; reasons take longer (`fitReasons`). */
export function judgeRatings(): Judged {
  const termed = termedPairs(ratedPairs())
  const says = termedSayings(sayings())
  const { fitted, leftOut, byFolds, sayingsLeftOut } = fitPairs(termed, says)
  const pairs = termed.map((pair, i) => ({
    ...pair,
    leftOut: leftOut[i]!,
    byFolds: byFolds[i]!,
    variance: observersVariance(pair.of, fitted),
    works: pair.score > 5,
  }))
  const step = fitStep(pairs.map((pair) => ({ ...pair, score: pair.leftOut })))
  return {
    fitted,
    step,
    pairs,
    says: says.map((saying, i) => ({ ...saying, said: sayingsLeftOut[i]! })),
    chances: {
      ...calibrated(
        pairs.map((pair) => ({
          ...pair,
          chance: chanceOfScore(pair.leftOut, pair.variance, step),
        })),
      ),
      unsureBy: Object.fromEntries(
        READ_BY.map((source) => [
          source,
          pairs.filter(
            ({ of, leftOut }) =>
              isSure(of) &&
              isUnsure(chanceOfScore(leftOut, observersVariance(of, fitted, source), step)),
          ).length,
        ]),
      ) as Judged['chances']['unsureBy'],
    },
    rooms: fitRooms(ratedRooms(), fitted, step),
    names: tellNames(namedColours('names'), NAMED_FILES.slice(1).flatMap(namedColours)),
  }
}

const isUnsure = (chance: number): boolean => chance > 0.4 && chance < 0.6

const BINS = 10

function calibrated(
  rows: readonly { readonly chance: number; readonly works: boolean; readonly of: RatedPair }[],
): Omit<Judged['chances'], 'unsureBy'> {
  const sorted = [...rows].sort((p, q) => p.chance - q.chance)
  const offs = Array.from({ length: BINS }, (_, bin) => {
    const place = (at: number): number => Math.round((at * sorted.length) / BINS)
    const own = sorted.slice(place(bin), place(bin + 1))
    const said = own.reduce((sum, { chance }) => sum + chance, 0)
    return Math.abs(said - own.filter(({ works }) => works).length) / own.length
  })
  const sure = rows.filter(({ of }) => isSure(of))
  return {
    worst: Math.max(...offs),
    mean: offs.reduce((sum, each) => sum + each, 0) / BINS,
    unsure: sure.filter(({ chance }) => isUnsure(chance)).length,
    sure: sure.length,
  }
}

/** Reasons and directions beside the rest. */
export const judgeReasons = ({ pairs }: Judged): ReasonsFitted =>
  fitReasons(
    pairs,
    pairs.map(({ leftOut }) => leftOut),
  )
