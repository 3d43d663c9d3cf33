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
 * How a wall sits with a finish: every condition a smooth chance, no table of first matches. Nothing is allocated; the
 * one form serves a single reading and a ranking of a million pairs.
 *
 * Conflict K = 2 H sin(Δh / 2) exp(−(ΔJ / scale)²), H the harmonic mean of the leans; each condition is
 * Φ((x − limit) / σ), σ the feature's own gradient times the spread of its surfaces.
 */
export function pairStrengths(
  wall: PairSurface,
  finish: PairSurface,
  role: Role,
  into: PairStrengths,
): PairStrengths {
  const { a: aw, b: bw, c: cw, varLean: vw } = wall
  const { a: af, b: bf, c: cf, varLean: vf } = finish
  const dj = wall.j - finish.j
  const apart = Math.abs(dj)
  const perDj = 1 / Math.sqrt(wall.varJ + finish.varJ)
  const perLeans = 1 / Math.sqrt(vw + vf)

  const product = cw * cf
  const cos = product > 1e-9 ? Math.min(1, Math.max(-1, (aw * af + bw * bf) / product)) : 1
  const hueDeg = Math.acos(cos) * DEG
  const perHue = 1 / (DEG * Math.sqrt(vw / (cw * cw + 1e-9) + vf / (cf * cf + 1e-9)))

  // Conflict and its gradient; where a lean is too short for a direction, the mean over all directions stands in.
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
  const conflict = 1 - within(k, LIMITS.conflict, perK)

  // What takes a conflict's sting.
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
  const far = LIMITS.bridge
  const varApart = wall.varJ + finish.varJ
  const slightWall =
    wall.slight *
    chanceOver((apart - far.apart - far.perLean * cf) / Math.sqrt(varApart + far.perLean ** 2 * vf))
  // A painted line of slight lean does not quarrel with a wall far deeper; a floor or a stone still may.
  const slightTrim =
    role.trim > 0
      ? role.trim *
        finish.slight *
        chanceOver(
          (apart - far.apart - far.perLean * cw) / Math.sqrt(varApart + far.perLean ** 2 * vw),
        )
      : 0
  const bridges = 1 - (1 - slightWall) * (1 - slightTrim)
  const woodTakes =
    role.wood > 0
      ? role.wood * LIMITS.wood.takes * chanceOver((LIMITS.wood.hueDeg - hueDeg) * perHue)
      : 0
  const opposed = 1 - (1 - contrasts) * (1 - setOff) * (1 - deepTrim)
  const clashes =
    conflict *
    wall.felt *
    finish.felt *
    (1 - opposed) *
    (1 - bridges) *
    (1 - woodTakes) *
    (1 - wall.black) *
    (1 - finish.black)

  const bothLight = wall.light * finish.light
  let washesOut = 0
  let dirties = 0
  if (bothLight > HARDLY) {
    const pale = LIMITS.washesOut
    const sameHue = chanceOver((pale.hueDeg - hueDeg) * perHue)
    const colourless = chanceOver((pale.paleBelow - cw) / Math.sqrt(vw))
    washesOut =
      bothLight *
      chanceOver((cf - pale.finishLean) / Math.sqrt(vf)) *
      chanceOver((pale.share * cf - cw) / Math.sqrt(vw + pale.share * pale.share * vf)) *
      chanceOver((dj + pale.darker) * perDj) *
      (1 - (1 - sameHue) * (1 - colourless))
    const light = LIMITS.dirtyLight
    dirties =
      role.dirties *
      bothLight *
      chanceOver((bw - bf - light.yellower) * perLeans) *
      chanceOver((-light.darkerFrom - dj) * perDj) *
      chanceOver((light.darkerTo + dj) * perDj) *
      chanceOver((light.finishLeanBelow - cf) / Math.sqrt(vf))
  }
  let ages = 0
  const dirty = LIMITS.dirty
  const near =
    (1 - bothLight) *
    chanceOver((dirty.hueDeg - hueDeg) * perHue) *
    within(dj, dirty.lightness, perDj)
  if (near > HARDLY) {
    const cleaner = dirty.cleaner
    const beside =
      role.dirties *
      near *
      chanceOver((cw - dirty.leanFrom) / Math.sqrt(vw)) *
      chanceOver(
        (finish.cleanness - cleaner * wall.cleanness) /
          Math.sqrt(finish.varCleanness + cleaner * cleaner * wall.varCleanness),
      )
    dirties = 1 - (1 - dirties) * (1 - beside)
    const cleanerWall = dirty.cleanerWall
    ages =
      role.ages *
      near *
      chanceOver((cf - dirty.leanFrom) / Math.sqrt(vf)) *
      chanceOver(
        (wall.cleanness - cleanerWall * finish.cleanness) /
          Math.sqrt(wall.varCleanness + cleanerWall * cleanerWall * finish.varCleanness),
      )
  }

  let nearMiss = 0
  const miss = LIMITS.nearMiss
  // Two surfaces are never nearer than they are in lightness.
  if (role.smooth > 0 && chanceOver((miss.belowE - apart) * perDj) > HARDLY) {
    const [da, db] = [aw - af, bw - bf]
    const squared = dj * dj + da * da + db * db
    const perE = Math.sqrt(
      (squared + 1e-9) /
        (dj * dj * (wall.varJ + finish.varJ) + (da * da + db * db) * (vw + vf) + 1e-9 * (vw + vf)),
    )
    const e = Math.sqrt(squared)
    const leans = 1 - within(k, miss.conflict, perK)
    const level = within(dj, miss.lightness, perDj)
    const strip =
      chanceOver((miss.sameHueDeg - hueDeg) * perHue) * (1 - within(dj, miss.apart, perDj))
    nearMiss =
      role.smooth *
      (chanceOver((miss.belowE - e) * perE) - chanceOver((miss.fromE - e) * perE)) *
      (1 - (1 - leans) * (1 - level)) *
      (1 - strip)
  }

  into.conflict = conflict
  into.contrasts = opposed
  into.bridges = bridges
  into.quiet =
    chanceOver((LIMITS.quiet.hueDeg - hueDeg) * perHue) *
    chanceOver((dj - LIMITS.quiet.lighter) * perDj) *
    chanceOver((cf - cw) * perLeans) *
    finish.felt *
    wall.felt
  into.clashes = clashes
  into.nearMiss = nearMiss
  into.washesOut = washesOut
  into.dirties = dirties
  into.ages = ages
  into.works = (1 - clashes) * (1 - nearMiss) * (1 - washesOut) * (1 - dirties) * (1 - ages)
  return into
}
