import { chanceOver } from '../chance-over'
import { LIMITS } from './limits'
import type { Role } from './role'
import { OWN_VARIANCE, type PairSurface } from './surface'

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
// What is less likely than this is not worth the sums.
const HARDLY = 1e-6
// No chance is this good: a pair is summed to the end.
const NEVER_ENOUGH = 2
// A lean shorter than the observer's spread has no direction to speak of.
const NO_DIRECTION2 = OWN_VARIANCE
// Two leans that are both shorter than about this share the slope evenly.
const EVEN_LEAN = 1
// Set on physical errors of reading; see the chances of `npm run accuracy`.
const TURNED_APART = 0.2

/** Chance that something lies within ± a limit. */
const within = (x: number, limit: number, per: number): number =>
  chanceOver((limit - x) * per) - chanceOver((-limit - x) * per)

/**
 * The pair at hand, shared by the steps of its sum. A number that is handed from function to function is put into a box
 * of its own, which costs more than most of the sums.
 */
const pair = {
  dj: 0.5,
  perDj: 0.5,
  perLeans: 0.5,
  cos: 0.5,
  /** Conflict, one over its spread, and the chance that it is one. */
  k: 0.5,
  perK: 0.5,
  conflict: 0.5,
  bridges: 0.5,
  /** Of being near in lightness, where not both are light. */
  near: 0.5,
}

/** The most that each bad kind can come to, whatever the hues. */
const atMost = {
  clashes: 0.5,
  washesOut: 0.5,
  dirtiesAmongLights: 0.5,
  dirties: 0.5,
  ages: 0.5,
  nearMiss: 0.5,
}

/** Conflict and its gradient; where a lean is too short for a direction, the mean over all directions stands in. */
function measureConflict(wall: PairSurface, finish: PairSurface): void {
  const { a: aw, b: bw, c: cw, varLean: vw } = wall
  const { a: af, b: bf, c: cf, varLean: vf } = finish
  const dj = wall.j - finish.j
  const product = cw * cf
  const cos = product > 1e-9 ? Math.min(1, Math.max(-1, (aw * af + bw * bf) / product)) : 1
  const sum = cw + cf + EVEN_LEAN
  const shareW = (2 * cf + EVEN_LEAN) / sum
  const shareF = (2 * cw + EVEN_LEAN) / sum
  const sin2 = (1 - cos) / 2
  const directed = (cw * cw * cf * cf) / ((cw * cw + NO_DIRECTION2) * (cf * cf + NO_DIRECTION2))
  const slope2 = 0.5 + directed * (sin2 - 0.5)
  const close = Math.exp(-((dj / LIMITS.lightnessScale) ** 2))
  const slopeW2 = shareW * shareW * (1 - slope2 + slope2 * shareW * shareW)
  const slopeF2 = shareF * shareF * (1 - slope2 + slope2 * shareF * shareF)
  // A reading's error turns two like leans apart oftener than it brings two unlike ones together.
  const byReading = (vw - OWN_VARIANCE) * slopeW2 + (vf - OWN_VARIANCE) * slopeF2
  const stated = ((4 * product) / (cw + cf + 1e-9)) ** 2 * sin2
  const k = close * Math.sqrt(stated + TURNED_APART * byReading)
  const kSpread = close * Math.sqrt(vw * slopeW2 + vf * slopeF2)
  const perK = 1 / (kSpread + 1e-9)
  pair.dj = dj
  pair.perDj = 1 / Math.sqrt(wall.varJ + finish.varJ)
  pair.perLeans = 1 / Math.sqrt(vw + vf)
  pair.cos = cos
  pair.k = k
  pair.perK = perK
  pair.conflict = 1 - within(k, LIMITS.conflict, perK)
}

/** Everything that hangs on no hue. */
function boundBadKinds(wall: PairSurface, finish: PairSurface, role: Role): void {
  const { c: cw, varLean: vw } = wall
  const { c: cf, varLean: vf } = finish
  const { dj, perDj } = pair
  const apart = Math.abs(dj)
  const bothFelt = wall.felt * finish.felt * (1 - wall.black) * (1 - finish.black)
  const far = LIMITS.bridge
  const varApart = wall.varJ + finish.varJ
  const slightWall =
    wall.slight > HARDLY
      ? wall.slight *
        chanceOver(
          (apart - far.apart - far.perLean * cf) / Math.sqrt(varApart + far.perLean ** 2 * vf),
        )
      : 0
  // A painted line of slight lean does not quarrel with a wall far deeper; a floor or a stone still may.
  const slightTrim =
    role.trim > 0 && finish.slight > HARDLY
      ? role.trim *
        finish.slight *
        chanceOver(
          (apart - far.apart - far.perLean * cw) / Math.sqrt(varApart + far.perLean ** 2 * vw),
        )
      : 0
  pair.bridges = 1 - (1 - slightWall) * (1 - slightTrim)
  atMost.clashes = pair.conflict * bothFelt * (1 - pair.bridges)

  const bothLight = wall.light * finish.light
  atMost.washesOut = 0
  atMost.dirtiesAmongLights = 0
  if (bothLight > HARDLY) boundAmongLights(wall, finish, role, bothLight)

  const dirty = LIMITS.dirty
  const near = (1 - bothLight) * within(dj, dirty.lightness, perDj)
  pair.near = near
  atMost.dirties = 0
  atMost.ages = 0
  if (near > HARDLY) {
    const { cleaner, cleanerWall } = dirty
    atMost.dirties =
      role.dirties *
      near *
      wall.leans *
      chanceOver(
        (finish.cleanness - cleaner * wall.cleanness) /
          Math.sqrt(finish.varCleanness + cleaner * cleaner * wall.varCleanness),
      )
    atMost.ages =
      role.ages *
      near *
      finish.leans *
      chanceOver(
        (wall.cleanness - cleanerWall * finish.cleanness) /
          Math.sqrt(wall.varCleanness + cleanerWall * cleanerWall * finish.varCleanness),
      )
  }

  atMost.nearMiss = 0
  // Two surfaces are never nearer than they are in lightness.
  if (role.smooth > 0 && chanceOver((LIMITS.nearMiss.belowE - apart) * perDj) > HARDLY)
    boundNearMiss(wall, finish, role)
}

function boundAmongLights(
  wall: PairSurface,
  finish: PairSurface,
  role: Role,
  bothLight: number,
): void {
  const { dj, perDj } = pair
  const { c: cw, varLean: vw } = wall
  const { c: cf, varLean: vf } = finish
  const pale = LIMITS.washesOut
  atMost.washesOut =
    bothLight *
    finish.creamy *
    chanceOver((pale.share * cf - cw) / Math.sqrt(vw + pale.share * pale.share * vf)) *
    chanceOver((dj + pale.darker) * perDj)
  const light = LIMITS.dirtyLight
  atMost.dirtiesAmongLights =
    role.dirties *
    bothLight *
    chanceOver((wall.b - finish.b - light.yellower) * pair.perLeans) *
    chanceOver((-light.darkerFrom - dj) * perDj) *
    chanceOver((light.darkerTo + dj) * perDj) *
    finish.clean
}

function boundNearMiss(wall: PairSurface, finish: PairSurface, role: Role): void {
  const { dj, perDj } = pair
  const miss = LIMITS.nearMiss
  const [da, db] = [wall.a - finish.a, wall.b - finish.b]
  const squared = dj * dj + da * da + db * db
  const varJ = wall.varJ + finish.varJ
  const varLean = wall.varLean + finish.varLean
  const perE = Math.sqrt(
    (squared + 1e-9) / (dj * dj * varJ + (da * da + db * db) * varLean + 1e-9 * varLean),
  )
  const e = Math.sqrt(squared)
  const leans = 1 - within(pair.k, miss.conflict, pair.perK)
  const level = within(dj, miss.lightness, perDj)
  atMost.nearMiss =
    role.smooth *
    (chanceOver((miss.belowE - e) * perE) - chanceOver((miss.fromE - e) * perE)) *
    (1 - (1 - leans) * (1 - level))
}

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
  measureConflict(wall, finish)
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
