import type { PreparedLight } from '../colour/appearance'
import type { Reflectance } from '../colour/spectrum'
import type { ReadingSource } from '../paint/reading'
import { undertoneOf } from '../undertone/undertone'
import { isGood, judgementOf, LIKELY_FROM, type Judgement } from './chance'
import { judgePair, type PairJudgement, type PartJudgement, type SeenReading } from './judge-pair'
import type { JudgedKeeper } from './judged-keeper'
import { partsOf, roleOfPart } from './parts'
import type { Role } from './role'
import { speaksFor } from './said-of-pair'
import { pairSentence } from './sentence'

/** A wall colour as it is judged. */
export interface JudgedWall {
  readonly reflectance: Reflectance
  readonly source: ReadingSource
}

/** A wall colour at a strength of its formula. */
export interface StrengthRung extends JudgedWall {
  readonly strengthPercent: number
}

/** What the model says of a candidate beside a keeper in a light. */
export interface PairReading extends PartJudgement {
  readonly judgement: Judgement
  /** Another strength at which it would sit, where this one does not. */
  readonly strength: { readonly percent: number; readonly word: 'lighter' | 'stronger' } | null
  /** One line in the trade's words. */
  readonly sentence: string
}

/** The chance of a keeper from that of one of its parts: what hardly shows can hardly spoil it. */
export const chanceAsShown = (chance: number, shows: number): number => 1 - shows * (1 - chance)

/** How a wall sits with one part of a keeper, as far as the part shows. */
export function judgePart(
  wall: SeenReading,
  part: SeenReading & { readonly part: string; readonly shows: number },
  role: Role,
): PartJudgement {
  const own = judgePair(wall, part, role)
  return {
    ...own,
    part: part.part,
    hardlyShows: null,
    chance: chanceAsShown(own.chance, part.shows),
    chanceIfExact: chanceAsShown(own.chanceIfExact, part.shows),
  }
}

/**
 * The judgement that speaks for a keeper: of the part that a wall is weakest beside, as far as it shows. Where a part that
 * the wall quarrels with hardly shows, the keeper is spoken of by its ground, and the part is named as what hardly shows.
 *
 * @param judged of each part, the ground first
 */
export function speakingFor(judged: readonly PartJudgement[]): PartJudgement {
  const weakest = judged.reduce((p, q) => (q.chance < p.chance ? q : p))
  if (!isGood(weakest.chance) || speaksFor(weakest.pairing)) return weakest
  const { chance, chanceIfExact, part, reason } = weakest
  return { ...judged[0]!, chance, chanceIfExact, hardlyShows: { part, reason } }
}

// Another strength is worth naming when it lifts the chance by this much.
const WORTH_NAMING = 0.2

/**
 * The reading of a wall colour beside a keeper: every part of it as far as it shows, the weakest decides; where that does
 * not work, the other strengths of the candidate are tried and the nearest that does is named.
 *
 * @param ladder other strengths the candidate could be taken at; empty where the base has none
 */
export function pairReading(
  light: PreparedLight,
  candidate: StrengthRung,
  keeper: JudgedKeeper,
  ladder: readonly StrengthRung[] = [],
): PairReading {
  const parts = partsOf(light, keeper.colours)
  const at = ({ reflectance, source }: JudgedWall): PartJudgement =>
    speakingFor(
      parts.map((part) =>
        judgePart(
          { undertone: undertoneOf(light, reflectance), source },
          { ...part, varies: keeper.varies },
          roleOfPart(keeper.role, part),
        ),
      ),
    )
  const here = at(candidate)
  const strength = isGood(here.chance) ? null : nearestStrength(candidate, ladder, here.chance, at)
  const sentence = pairSentence(here)
  return {
    ...here,
    judgement: judgementOf(here.chance),
    strength,
    sentence: strength ? `${sentence} At ${strength.percent} % it would sit with it.` : sentence,
  }
}

function nearestStrength(
  candidate: StrengthRung,
  ladder: readonly StrengthRung[],
  chance: number,
  at: (wall: JudgedWall) => PairJudgement,
): PairReading['strength'] {
  const away = ({ strengthPercent }: StrengthRung): number =>
    Math.abs(strengthPercent - candidate.strengthPercent)
  const rung = ladder
    .filter((other) => away(other) > 0)
    .sort((p, q) => away(p) - away(q))
    .find((other) => at(other).chance >= Math.max(LIKELY_FROM, chance + WORTH_NAMING))
  return rung
    ? {
        percent: rung.strengthPercent,
        word: rung.strengthPercent < candidate.strengthPercent ? 'lighter' : 'stronger',
      }
    : null
}
