import { hueApartDeg, type Undertone } from '../undertone/undertone'

export const PAIRINGS = [
  'connects',
  'quiet stretch',
  'contrasts',
  'bridges',
  'unsure',
  'near miss',
  'washes out',
  'dirties',
  'clashes',
] as const
/** How a wall sits with a finish. */
export type Pairing = (typeof PAIRINGS)[number]

/** Every threshold of the pairing table, in CAM16-UCS units and degrees; see docs/model.md. */
export const PAIRING_LIMITS = {
  /** Leans stronger than this count as no stronger. */
  strengthCap: 14,
  /** Lightness distance over which two surfaces stop disturbing each other. */
  lightnessScale: 45,
  connectsUpTo: 2.8,
  clashesFrom: 3.5,
  clashLeanFrom: 1.5,
  clashLeanBelow: 22.4,
  // 80 and not 85: deep green and brass stand 82° apart.
  contrastHueDeg: 80,
  contrastWeakerFrom: 9,
  contrastStrongerFrom: 15,
  /** A black ground takes any wall: LRV under 6 by day and little lean; its flecks are judged, it is not. */
  blackGround: { jBelow: 31.5, leanBelow: 5 },
  /** Two quiet neutrals, one warm and one cool, well apart in lightness. */
  bridges: { leanBelow: 5, apart: 12 },
  nearMiss: { fromE: 1, belowE: 6, conflict: 1.2, lightness: 2.5, sameHueDeg: 15, apart: 3 },
  lightFrom: 85,
  dirties: {
    yellower: 4,
    darker: 1,
    finishLeanBelow: 4.5,
    hueDeg: 50,
    lightness: 18,
    cleaner: 2,
    wallLeanFrom: 1.2,
  },
  washesOut: { finishLeanFrom: 3, share: 0.5, darker: 1, hueDeg: 45, paleBelow: 2 },
  quiet: { hueDeg: 25, lighter: 2 },
} as const

export interface PairMeasures {
  /** Conflict of the two leans, 0 when they agree or the finish is a black ground. */
  readonly conflict: number
  /** Wall less finish. */
  readonly lightness: number
  /** Angle between the two leans, 0 to 180. */
  readonly hueDeg: number
  /** Distance between the two as seen. */
  readonly difference: number
}

/** The numbers that the pairing rests on. */
export function measurePair(wall: Undertone, finish: Undertone): PairMeasures {
  const limit = PAIRING_LIMITS
  const hueDeg = hueApartDeg(wall.hueDeg, finish.hueDeg)
  const lightness = wall.j - finish.j
  const strength = isBlackGround(finish)
    ? 0
    : Math.sqrt(Math.min(wall.c, limit.strengthCap) * Math.min(finish.c, limit.strengthCap))
  return {
    conflict:
      2 *
      strength *
      Math.sin((hueDeg * Math.PI) / 360) *
      Math.exp(-((lightness / limit.lightnessScale) ** 2)),
    lightness,
    hueDeg,
    difference: Math.hypot(lightness, wall.a - finish.a, wall.b - finish.b),
  }
}

/**
 * How a wall colour sits with a finish in the light both were seen in. Rules are tried in the order
 * dirties, washes out, contrasts, bridges, clashes, near miss, quiet stretch, connects; the first that holds
 * names the pair.
 */
export function pairingOf(wall: Undertone, finish: Undertone): Pairing {
  const measures = measurePair(wall, finish)
  const limit = PAIRING_LIMITS
  if (dirties(wall, finish, measures)) return 'dirties'
  if (washesOut(wall, finish, measures)) return 'washes out'
  if (contrasts(wall, finish, measures)) return 'contrasts'
  const strongest = Math.max(wall.c, finish.c)
  if (
    measures.conflict > limit.connectsUpTo &&
    strongest < limit.bridges.leanBelow &&
    Math.abs(measures.lightness) >= limit.bridges.apart
  )
    return 'bridges'
  if (
    measures.conflict >= limit.clashesFrom &&
    Math.min(wall.c, finish.c) >= limit.clashLeanFrom &&
    strongest < limit.clashLeanBelow
  )
    return 'clashes'
  if (nearMisses(measures)) return 'near miss'
  if (measures.conflict > limit.connectsUpTo) return 'unsure'
  const quiet =
    measures.hueDeg < limit.quiet.hueDeg &&
    measures.lightness >= limit.quiet.lighter &&
    wall.c <= finish.c
  return quiet ? 'quiet stretch' : 'connects'
}

/** Near black without a lean: it sets anything off and quarrels with nothing. */
export const isBlackGround = ({ j, c }: Undertone): boolean =>
  j < PAIRING_LIMITS.blackGround.jBelow && c < PAIRING_LIMITS.blackGround.leanBelow

function dirties(wall: Undertone, finish: Undertone, measures: PairMeasures): boolean {
  const { lightFrom, dirties: limit } = PAIRING_LIMITS
  const bothLight = wall.j > lightFrom && finish.j > lightFrom
  if (bothLight)
    return (
      wall.b - finish.b > limit.yellower &&
      measures.lightness < -limit.darker &&
      finish.c < limit.finishLeanBelow
    )
  return (
    // A wall without a lean has no hue to be a dirty version of.
    wall.c >= limit.wallLeanFrom &&
    measures.hueDeg < limit.hueDeg &&
    Math.abs(measures.lightness) < limit.lightness &&
    cleanness(finish) > limit.cleaner * cleanness(wall)
  )
}

/** How much colour a surface has for the room its lightness leaves for colour. */
const cleanness = ({ c, j }: Undertone): number => c / roomForColour(j)
export const roomForColour = (j: number): number => Math.sqrt(Math.max(4, 104 - j))

function washesOut(wall: Undertone, finish: Undertone, measures: PairMeasures): boolean {
  const { lightFrom, washesOut: limit } = PAIRING_LIMITS
  return (
    wall.j > lightFrom &&
    finish.j > lightFrom &&
    finish.c > limit.finishLeanFrom &&
    wall.c < limit.share * finish.c &&
    measures.lightness > -limit.darker &&
    (measures.hueDeg < limit.hueDeg || wall.c < limit.paleBelow)
  )
}

function contrasts(wall: Undertone, finish: Undertone, { hueDeg }: PairMeasures): boolean {
  const limit = PAIRING_LIMITS
  return (
    hueDeg >= limit.contrastHueDeg &&
    Math.min(wall.c, finish.c) >= limit.contrastWeakerFrom &&
    Math.max(wall.c, finish.c) >= limit.contrastStrongerFrom
  )
}

function nearMisses({ difference, conflict, lightness, hueDeg }: PairMeasures): boolean {
  const limit = PAIRING_LIMITS.nearMiss
  if (!(difference > limit.fromE && difference < limit.belowE)) return false
  if (hueDeg < limit.sameHueDeg && Math.abs(lightness) > limit.apart) return false
  return conflict > limit.conflict || Math.abs(lightness) < limit.lightness
}
