import { chanceOver } from '../chance-over'
import { LIMITS } from './limits'
import type { Role } from './role'
import { OWN_VARIANCE, type PairSurface } from './surface'

// What is less likely than this is not worth the sums.
export const HARDLY = 1e-6
// A lean shorter than the observer's spread has no direction to speak of.
const NO_DIRECTION2 = OWN_VARIANCE
// Two leans that are both shorter than about this share the slope evenly.
const EVEN_LEAN = 1
// Set on physical errors of reading; see the chances of `npm run accuracy`.
const TURNED_APART = 0.2

/** Chance that something lies within ± a limit. */
export const within = (x: number, limit: number, per: number): number =>
  chanceOver((limit - x) * per) - chanceOver((-limit - x) * per)

/**
 * The pair at hand as far as it hangs on no hue, shared by the steps of its sum. A number that is handed from function to function is put into a box
 * of its own, which costs more than most of the sums.
 */
export const pairAtHand = {
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
export const atMost = {
  clashes: 0.5,
  washesOut: 0.5,
  dirtiesAmongLights: 0.5,
  dirties: 0.5,
  ages: 0.5,
  nearMiss: 0.5,
}

/** Conflict and its gradient; where a lean is too short for a direction, the mean over all directions stands in. */
export function measureConflict(
  wall: PairSurface,
  finish: PairSurface,
  { eye: { factors } }: Role,
): void {
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
  pairAtHand.dj = dj
  pairAtHand.perDj = 1 / Math.sqrt(wall.varJ + finish.varJ)
  pairAtHand.perLeans = 1 / Math.sqrt(vw + vf)
  pairAtHand.cos = cos
  pairAtHand.k = k
  pairAtHand.perK = perK
  pairAtHand.conflict = 1 - within(k, LIMITS.conflict * factors.clashes, perK)
}

/** Everything that hangs on no hue. */
export function boundBadKinds(wall: PairSurface, finish: PairSurface, role: Role): void {
  const { c: cw, varLean: vw } = wall
  const { c: cf, varLean: vf } = finish
  const { dj, perDj } = pairAtHand
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
  pairAtHand.bridges = 1 - (1 - slightWall) * (1 - slightTrim)
  atMost.clashes = pairAtHand.conflict * bothFelt * (1 - pairAtHand.bridges)

  const bothLight = wall.light * finish.light
  atMost.washesOut = 0
  atMost.dirtiesAmongLights = 0
  if (bothLight > HARDLY) boundAmongLights(wall, finish, role, bothLight)

  const dirty = LIMITS.dirty
  const near = (1 - bothLight) * within(dj, dirty.lightness, perDj)
  pairAtHand.near = near
  atMost.dirties = 0
  atMost.ages = 0
  if (near > HARDLY) {
    const cleaner = dirty.cleaner * role.eye.factors.dirties
    const cleanerWall = dirty.cleanerWall * role.eye.factors.dirties
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
  const belowE = LIMITS.nearMiss.belowE / role.eye.factors['near miss']
  if (role.smooth > 0 && chanceOver((belowE - apart) * perDj) > HARDLY)
    boundNearMiss(wall, finish, role)
}

function boundAmongLights(
  wall: PairSurface,
  finish: PairSurface,
  role: Role,
  bothLight: number,
): void {
  const { dj, perDj } = pairAtHand
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
    chanceOver(
      (wall.b - finish.b - light.yellower * role.eye.factors.dirties) * pairAtHand.perLeans,
    ) *
    chanceOver((-light.darkerFrom - dj) * perDj) *
    chanceOver((light.darkerTo + dj) * perDj) *
    finish.clean
}

function boundNearMiss(wall: PairSurface, finish: PairSurface, role: Role): void {
  const { dj, perDj } = pairAtHand
  const miss = LIMITS.nearMiss
  const [da, db] = [wall.a - finish.a, wall.b - finish.b]
  const squared = dj * dj + da * da + db * db
  const varJ = wall.varJ + finish.varJ
  const varLean = wall.varLean + finish.varLean
  const perE = Math.sqrt(
    (squared + 1e-9) / (dj * dj * varJ + (da * da + db * db) * varLean + 1e-9 * varLean),
  )
  const e = Math.sqrt(squared)
  const leans = 1 - within(pairAtHand.k, miss.conflict, pairAtHand.perK)
  const level = within(dj, miss.lightness, perDj)
  atMost.nearMiss =
    role.smooth *
    (chanceOver((miss.belowE / role.eye.factors['near miss'] - e) * perE) -
      chanceOver((miss.fromE - e) * perE)) *
    (1 - (1 - leans) * (1 - level))
}
