import type { Firmness } from '../paint/reading'
import type { Reason } from '../record/verdict'
import type { Undertone } from '../undertone/undertone'
import { isGood } from './chance'
import { fillFromReading } from './judged-keeper'
import { chanceOf, isUnwanted, namesOf, pairingShares, type Pairing } from './pairing'
import { reasonOf } from './reason'
import type { Role } from './role'
import { emptyStrengths, pairStrengths, type PairStrengths } from './strengths'
import { emptySurface, fillSurface } from './surface'
import { wallOnFinish, type WallOnFinish } from './wall-on-finish'

/** How one wall sits with one colour of a finish. */
export interface PairJudgement {
  /** That it works, 0 to 1, after the house rule. */
  readonly chance: number
  /** The same if both readings were exact. */
  readonly chanceIfExact: number
  readonly pairing: Pairing
  /** Another kind that is nearly as strong. */
  readonly second: Pairing | null
  /** Shares of all kinds, together 1. */
  readonly shares: Readonly<Record<Pairing, number>>
  readonly strengths: Readonly<PairStrengths>
  readonly reason: Reason
  /** Who looks dirty where one does. */
  readonly looksDirty: 'wall' | 'finish'
  /** A contrast that would work, where the house rule wants a shared undertone. */
  readonly unwanted: boolean
  readonly wall: Undertone
  readonly finish: Undertone
  /** What the wall does to the finish. */
  readonly back: WallOnFinish
}

/** The judgement of a keeper: that of the part of it that decides. */
export interface PartJudgement extends PairJudgement {
  readonly part: string
  /** A part that the wall is wrong for by itself, and that shows too little to spoil the keeper. */
  readonly hardlyShows: { readonly part: string; readonly reason: Reason } | null
}

/** A surface as it is seen in a light, and how it was read. */
export interface SeenReading {
  readonly undertone: Undertone
  readonly source: Firmness
  readonly varies?: boolean
}

const wallSurface = emptySurface()
const finishSurface = emptySurface()

/** The one judgement of a pair, which every screen shows. */
export function judgePair(wall: SeenReading, finish: SeenReading, role: Role): PairJudgement {
  const { undertone: w } = wall
  const { undertone: f } = finish
  const exact = pairStrengths(
    fillSurface(wallSurface, w.j, w.a, w.b, 0, 0),
    fillSurface(finishSurface, f.j, f.a, f.b, 0, 0),
    role,
    emptyStrengths(),
  )
  const strengths = pairStrengths(
    fillFromReading(wallSurface, w, wall.source, wall.varies),
    fillFromReading(finishSurface, f, finish.source, finish.varies),
    role,
    emptyStrengths(),
  )
  const chance = chanceOf(strengths, role)
  const shares = pairingShares(strengths)
  const [pairing, second] = namesOf(shares, strengths.works)
  const looksDirty = strengths.ages > strengths.dirties ? 'finish' : 'wall'
  return {
    chance,
    chanceIfExact: chanceOf(exact, role),
    pairing,
    second,
    shares,
    strengths,
    reason: reasonOf(pairing, w, f, looksDirty),
    looksDirty,
    unwanted: isUnwanted(strengths, role),
    wall: w,
    finish: f,
    // Nothing is said against a pair that is said to work.
    back: wallOnFinish(w, f, !isGood(chance) && strengths.ages >= 0.5),
  }
}
