import { finite, finiteAll } from '../check'
import { daylightWeights } from '../colour/daylight'
import { xyzOfSpectrum } from '../colour/observer'
import { S0, S1, S2 } from '../colour/tables/daylight-components'
import { checkedSun } from './checked'
import { SKY_KINDS, skyIlluminance, type Sky } from './sky'
import type { SunPosition } from './sun-position'

const RAD = Math.PI / 180

/**
 * Correlated colour temperature of one patch of sky, kelvin.
 *
 * Cloud is 6,500 K. Clear sky runs from white around the sun (5,800 K, warmer as it sets) to
 * 11,000 K high up and away from it, whiter again along the horizon: the range commonly measured,
 * 8,000 to 12,000 K away from the sun. Reckoned in mired, where equal steps look alike.
 */
export function skyPatchCctK(
  sky: Sky,
  sunAltitudeDeg: number,
  patchAltitudeDeg: number,
  fromSunDeg: number,
): number {
  finiteAll([sunAltitudeDeg, patchAltitudeDeg, fromSunDeg], 'heights and angles of the sky')
  const { cloud } = SKY_KINDS[sky]
  return 1e6 / patchMired(cloud, sunwardMired(sunAltitudeDeg), patchAltitudeDeg, fromSunDeg)
}

const CLOUD_MIRED = 1e6 / 6500
const BLUEST_MIRED = 90

function patchMired(
  cloud: number,
  sunward: number,
  patchAltitudeDeg: number,
  fromSunDeg: number,
): number {
  if (cloud === 1) return CLOUD_MIRED
  const apart = fromSunDeg / 35
  const blueness = (1 - Math.exp(-apart * apart)) * (1 - 0.45 * Math.exp(-patchAltitudeDeg / 12))
  const clear = sunward + (BLUEST_MIRED - sunward) * blueness
  return clear + (CLOUD_MIRED - clear) * cloud
}

function sunwardMired(sunAltitudeDeg: number): number {
  if (sunAltitudeDeg >= 0) return 172 + 60 * Math.exp(-sunAltitudeDeg / 6)
  // After sunset the glow gives way to the blue hour.
  return 232 - 17 * Math.min(6, -sunAltitudeDeg)
}

/** Daylight as a sum of the three components of the CIE series; their luminous sum is in lux. */
export type DaylightSum = [s0: number, s1: number, s2: number]

// Y of each component under the 2° observer: makes a unit of daylight one lux.
const COMPONENT_Y = [S0, S1, S2].map((component) => xyzOfSpectrum(component)[1]) as DaylightSum

const WEIGHT_TABLE_STEP_MIRED = 0.5
let weightTable: Float64Array | undefined

/** Adds `lux` of daylight of a colour in mired to a sum that begins at a place, in place. */
function addMired(
  sum: { [k: number]: number },
  from: number,
  unclamped: number,
  lux: number,
): void {
  weightTable ??= tabulateWeights()
  const mired = Math.min(250, Math.max(40, unclamped))
  const at = (mired - 40) / WEIGHT_TABLE_STEP_MIRED
  const index = Math.min(Math.floor(at), weightTable.length / 3 - 2)
  const rest = at - index
  for (let k = 0; k < 3; k++) {
    const here = weightTable[index * 3 + k]!
    sum[from + k]! += lux * (here + rest * (weightTable[index * 3 + 3 + k]! - here))
  }
}

export const luxOf = (sum: Readonly<DaylightSum>): number =>
  finite(sum[0] * COMPONENT_Y[0] + sum[1] * COMPONENT_Y[1] + sum[2] * COMPONENT_Y[2], 'daylight')

function tabulateWeights(): Float64Array {
  const rows = 210 / WEIGHT_TABLE_STEP_MIRED + 1
  const table = new Float64Array(rows * 3)
  for (let row = 0; row < rows; row++) {
    const [m1, m2] = daylightWeights(1e6 / (40 + row * WEIGHT_TABLE_STEP_MIRED))
    const y = luxOf([1, m1, m2])
    table.set([1 / y, m1 / y, m2 / y], row * 3)
  }
  return table
}

interface Patch {
  readonly altitudeDeg: number
  readonly sinAltitude: number
  readonly cosAltitude: number
  readonly azimuthDeg: number
  readonly solidAngle: number
}

const RING_DEG = 10
const SECTOR_DEG = 10

// The vault in patches of 10° by 10°, each with its exact solid angle.
const PATCHES: readonly Patch[] = Array.from({ length: 90 / RING_DEG }, (_, ring) => {
  const low = Math.sin(ring * RING_DEG * RAD)
  const high = Math.sin((ring + 1) * RING_DEG * RAD)
  const altitudeDeg = (ring + 0.5) * RING_DEG
  return Array.from({ length: 360 / SECTOR_DEG }, (_, sector) => ({
    altitudeDeg,
    sinAltitude: Math.sin(altitudeDeg * RAD),
    cosAltitude: Math.cos(altitudeDeg * RAD),
    azimuthDeg: (sector + 0.5) * SECTOR_DEG,
    solidAngle: (high - low) * SECTOR_DEG * RAD,
  }))
}).flat()

/** What a plane sees of the sky. */
export interface SkyOpening {
  /** Where the plane faces, and how steeply: 90 upright, 0 flat on its back. */
  readonly bearingDeg: number
  readonly pitchDeg: number
  /** Sky lower than this against the plane's own bearing is hidden, and higher than that; 0 and 90 for none. */
  readonly hiddenBelowDeg: number
  readonly hiddenAboveDeg: number
}

/** The sky of one moment: what each plane receives from it. */
export interface SkyVault {
  /** Daylight from the sky alone on open flat ground. */
  readonly horizontal: Readonly<DaylightSum>
  /** Daylight from the sky alone on a plane, of what it sees. */
  on(opening: SkyOpening): DaylightSum
  /** Adds what a cone of `steradians` about a direction sends, weighted, to a sum. */
  addFrom(sum: DaylightSum, altitudeDeg: number, azimuthDeg: number, weight: number): void
}

const OPEN: Omit<SkyOpening, 'bearingDeg' | 'pitchDeg'> = { hiddenBelowDeg: 0, hiddenAboveDeg: 90 }

/** An upright plane with nothing before it. */
export const openWall = (bearingDeg: number): SkyOpening => ({
  bearingDeg: finite(bearingDeg, 'a bearing'),
  pitchDeg: 90,
  ...OPEN,
})

/**
 * Height of a direction against a plane that faces a bearing: the angle in the upright section across it, in which a
 * long row of houses or an overhang is one line. 90 and more behind the plane.
 */
export function profileDeg(altitudeDeg: number, azimuthDeg: number, bearingDeg: number): number {
  const ahead = Math.cos((azimuthDeg - bearingDeg) * RAD)
  finiteAll([altitudeDeg, ahead], 'angles')
  return Math.atan2(Math.tan(altitudeDeg * RAD), ahead) / RAD
}

/**
 * The sky as luminous patches: CIE general sky for the pattern, IES for the amount, the colour of
 * each patch by its place; a window sums the part it sees.
 */
export function skyVault(sky: Sky, sun: SunPosition): SkyVault {
  checkedSun(sun)
  const { gradation, indicatrix, cloud } = SKY_KINDS[sky]
  const sunSin = Math.sin(sun.altitudeDeg * RAD)
  const sunCos = Math.cos(sun.altitudeDeg * RAD)
  const floor = Math.exp((indicatrix[1] * Math.PI) / 2)
  const relativeLuminance = (sinAltitude: number, cosFromSun: number, fromSun: number): number =>
    (1 + gradation[0] * Math.exp(gradation[1] / Math.max(0.01, sinAltitude))) *
    (1 +
      indicatrix[0] * (Math.exp(indicatrix[1] * fromSun) - floor) +
      indicatrix[2] * cosFromSun * cosFromSun)
  const cosFrom = (sinAltitude: number, cosAltitude: number, azimuthDeg: number): number => {
    const cos =
      sinAltitude * sunSin + cosAltitude * sunCos * Math.cos((azimuthDeg - sun.azimuthDeg) * RAD)
    return Math.min(1, Math.max(-1, cos))
  }

  // Three numbers a patch: its part of a daylight sum, for a plane that faces it squarely.
  const lit = new Float64Array(PATCHES.length * 3)
  let relative = 0
  const sunward = sunwardMired(sun.altitudeDeg)
  for (let i = 0; i < PATCHES.length; i++) {
    const patch = PATCHES[i]!
    const cosFromSun = cosFrom(patch.sinAltitude, patch.cosAltitude, patch.azimuthDeg)
    const fromSun = Math.acos(cosFromSun)
    const flux = relativeLuminance(patch.sinAltitude, cosFromSun, fromSun) * patch.solidAngle
    relative += flux * patch.sinAltitude
    addMired(lit, i * 3, patchMired(cloud, sunward, patch.altitudeDeg, fromSun / RAD), flux)
  }
  const scale = skyIlluminance(sky, sun.altitudeDeg).diffuseHorizontalLux / relative

  function sumOver(weightOf: (patch: Patch) => number): DaylightSum {
    let s0 = 0
    let s1 = 0
    let s2 = 0
    for (let i = 0; i < PATCHES.length; i++) {
      const weight = weightOf(PATCHES[i]!)
      if (weight <= 0) continue
      s0 += weight * lit[i * 3]!
      s1 += weight * lit[i * 3 + 1]!
      s2 += weight * lit[i * 3 + 2]!
    }
    return [scale * s0, scale * s1, scale * s2]
  }

  return {
    horizontal: sumOver(({ sinAltitude }) => sinAltitude),
    on({ bearingDeg, pitchDeg, hiddenBelowDeg, hiddenAboveDeg }) {
      const [up, out] = [Math.cos(pitchDeg * RAD), Math.sin(pitchDeg * RAD)]
      const cut = hiddenBelowDeg > 0 || hiddenAboveDeg < 90
      return sumOver((patch) => {
        const facing =
          patch.sinAltitude * up +
          patch.cosAltitude * out * Math.cos((patch.azimuthDeg - bearingDeg) * RAD)
        if (facing <= 0) return 0
        return cut ? facing * seenShare(patch, bearingDeg, hiddenBelowDeg, hiddenAboveDeg) : facing
      })
    },
    addFrom(sum, altitudeDeg, azimuthDeg, weight) {
      const [sin, cos] = [Math.sin(altitudeDeg * RAD), Math.cos(altitudeDeg * RAD)]
      const cosFromSun = cosFrom(sin, cos, azimuthDeg)
      const fromSun = Math.acos(cosFromSun)
      addMired(
        sum,
        0,
        patchMired(cloud, sunward, altitudeDeg, fromSun / RAD),
        scale * weight * relativeLuminance(sin, cosFromSun, fromSun),
      )
    },
  }
}

/** How much of a patch lies between two edges, so that an edge that creeps over it makes no step. */
function seenShare(patch: Patch, bearingDeg: number, belowDeg: number, aboveDeg: number): number {
  const profile = profileDeg(patch.altitudeDeg, patch.azimuthDeg, bearingDeg)
  const low = Math.min(1, Math.max(0, (profile - belowDeg) / RING_DEG + 0.5))
  const high = aboveDeg < 90 ? Math.min(1, Math.max(0, (aboveDeg - profile) / RING_DEG + 0.5)) : 1
  return low * high
}
