import { chanceOver } from '../chance-over'
import { LIMITS } from './limits'
import type { Role } from './role'
import {
  atMost as most,
  boundBadKinds,
  HARDLY,
  measureConflict,
  pairAtHand,
  within,
} from './pair-bounds'
import type { PairSurface } from './surface'

/** How much each condition of a pair holds, as chances 0 to 1. Filled in place by `pairStrengths`. */
export interface PairStrengths {
  /** Of the conflict lying over its limit, felt or not. */
  conflict: number
  contrasts: number
  bridges: number
  quiet: number
  clashes: number
  nearMiss: number
  washesOut: number
  /** The wall beside a cleaner finish. */
  dirties: number
  /** The finish beside a cleaner wall. */
  ages: number
  /** That nothing bad holds, before a house rule. */
  works: number
}

export const emptyStrengths = (): PairStrengths => ({
  conflict: 0,
  contrasts: 0,
  bridges: 0,
  quiet: 0,
  clashes: 0,
  nearMiss: 0,
  washesOut: 0,
  dirties: 0,
  ages: 0,
  works: 0,
})

const DEG = 180 / Math.PI
// No chance is this good: a pair is summed to the end.
const NEVER_ENOUGH = 2
// Once by their own names: through a module's door they are fetched anew in every sum.
const [pair, atMost] = [pairAtHand, most]

/**
 * How a wall sits with a finish: every condition a smooth chance, no table of first matches. Nothing is allocated; the
 * one form serves a single reading and a ranking of a million pairs.
 *
 * Conflict K = 2 H sin(Δh / 2) exp(−(ΔJ / scale)²), H the harmonic mean of the leans; each condition is
 * Φ((x − limit) / σ), σ the feature's own gradient times the spread of its surfaces.
 *
 * @param enough a pair that works at this chance at the least needs not be known closer: its `works`, after any house
 *   rule, is left somewhere from there to its own, and its kinds are left unsaid
 */
export function pairStrengths(
  wall: PairSurface,
  finish: PairSurface,
  role: Role,
  into: PairStrengths,
  enough = NEVER_ENOUGH,
): PairStrengths {
  measureConflict(wall, finish, role)
  boundBadKinds(wall, finish, role)
  const surely =
    (1 - atMost.clashes) *
    (1 - atMost.nearMiss) *
    (1 - atMost.washesOut) *
    (1 - atMost.dirtiesAmongLights) *
    (1 - atMost.dirties) *
    (1 - atMost.ages) *
    (role.contrastWanted ? 1 : 1 - pair.conflict)
  if (surely >= enough) {
    into.works = surely
    into.conflict = into.contrasts = into.bridges = into.quiet = into.clashes = 0
    into.nearMiss = into.washesOut = into.dirties = into.ages = 0
    return into
  }
  byHue(wall, finish, role, into)
  return into
}

/** The pair with its hues: what takes a conflict's sting, and what only like hues do to each other. */
function byHue(wall: PairSurface, finish: PairSurface, role: Role, into: PairStrengths): void {
  const { c: cw, varLean: vw } = wall
  const { c: cf, varLean: vf } = finish
  const { dj, perDj, cos, conflict } = pair
  const apart = Math.abs(dj)
  const hueDeg = Math.acos(cos) * DEG
  const perHue = 1 / (DEG * Math.sqrt(vw / (cw * cw + 1e-9) + vf / (cf * cf + 1e-9)))

  const contrast = LIMITS.contrast
  const contrasts =
    role.opposes *
    chanceOver((hueDeg - contrast.hueDeg) * perHue) *
    wall.clear *
    finish.clear *
    (1 - (1 - wall.strong) * (1 - finish.strong))
  let setOff = 0
  if (role.setOff > 0) {
    const limit = LIMITS.setOff
    const stretch = 1 + apart / limit.perLightness
    const strongest = cw > cf ? cw : cf
    setOff =
      role.setOff *
      finish.felt *
      chanceOver((hueDeg - limit.hueDeg) * perHue) *
      chanceOver((strongest * stretch - limit.strong) / stretch / Math.sqrt(cw > cf ? vw : vf))
  }
  let deepTrim = 0
  if (role.trim > 0 && dj > 0) {
    const limit = LIMITS.deepTrim
    deepTrim =
      role.trim *
      chanceOver((hueDeg - limit.hueDeg) * perHue) *
      chanceOver((dj - limit.darker) * perDj) *
      chanceOver((cf - limit.lean) / Math.sqrt(vf))
  }
  const woodTakes =
    role.wood > 0
      ? role.wood * LIMITS.wood.takes * chanceOver((LIMITS.wood.hueDeg - hueDeg) * perHue)
      : 0
  const opposed = 1 - (1 - contrasts) * (1 - setOff) * (1 - deepTrim)
  const clashes = atMost.clashes * (1 - opposed) * (1 - woodTakes)

  let washesOut = 0
  if (atMost.washesOut > 0) {
    const pale = LIMITS.washesOut
    const sameHue = chanceOver((pale.hueDeg - hueDeg) * perHue)
    washesOut = atMost.washesOut * (1 - (1 - sameHue) * (1 - wall.colourless))
  }
  const dirtyHue = pair.near > HARDLY ? chanceOver((LIMITS.dirty.hueDeg - hueDeg) * perHue) : 0
  const dirties = 1 - (1 - atMost.dirtiesAmongLights) * (1 - dirtyHue * atMost.dirties)
  const ages = dirtyHue * atMost.ages
  const miss = LIMITS.nearMiss
  const nearMiss =
    atMost.nearMiss > 0
      ? atMost.nearMiss *
        (1 - chanceOver((miss.sameHueDeg - hueDeg) * perHue) * (1 - within(dj, miss.apart, perDj)))
      : 0

  into.conflict = conflict
  into.contrasts = opposed
  into.bridges = pair.bridges
  into.quiet =
    chanceOver((LIMITS.quiet.hueDeg - hueDeg) * perHue) *
    chanceOver((dj - LIMITS.quiet.lighter) * perDj) *
    chanceOver((cf - cw) * pair.perLeans) *
    finish.felt *
    wall.felt
  into.clashes = clashes
  into.nearMiss = nearMiss
  into.washesOut = washesOut
  into.dirties = dirties
  into.ages = ages
  into.works = (1 - clashes) * (1 - nearMiss) * (1 - washesOut) * (1 - dirties) * (1 - ages)
}
