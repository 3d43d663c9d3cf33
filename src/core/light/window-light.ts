import { finite, finiteAll } from '../check'
import { checkedSun, checkedWindow } from './checked'
import { daylightFromComponents } from '../colour/daylight'
import { addScaled, SPECTRUM_LENGTH, type Spectrum } from '../colour/spectrum'
import { OPPOSITES } from './fittings'
import type { RoomWindow } from './room'
import { skyIlluminance, type Sky } from './sky'
import { luxOf, openWall, profileDeg, skyVault, type DaylightSum, type SkyVault } from './sky-vault'
import type { SunPosition } from './sun-position'
import { sunCctK, sunlightSpectrum } from './sunlight'
import { OUTSIDE, outsideReflectances, type Outside } from './surface-colours'

const RAD = Math.PI / 180
// Flatter than 80° the sun meets the reveal, not the room.
const GRAZING_COSINE = Math.cos(80 * RAD)

/** The daylight of one moment, outdoors. */
export interface Outdoors {
  readonly sun: SunPosition
  readonly vault: SkyVault
  /** Illuminance of the sun on a plane that faces it. */
  readonly directNormalLux: number
  /** Direct sunlight, its luminous sum one lux. */
  readonly sunlight: Spectrum
}

export function outdoors(sky: Sky, sun: SunPosition): Outdoors {
  return {
    sun,
    vault: skyVault(sky, sun),
    directNormalLux: skyIlluminance(sky, sun.altitudeDeg).directNormalLux,
    sunlight: sunlightSpectrum(sunCctK(sun.altitudeDeg)),
  }
}

/**
 * Daylight on its way in, kept apart by what it was last reflected by, so that it is turned into a spectrum once: the
 * sky's light and the sun's, each in lux before the reflection.
 */
export interface LightSum {
  readonly sky: readonly DaylightSum[]
  readonly sun: Float64Array
}

export const emptyLightSum = (): LightSum => ({
  sky: OUTSIDE.map((): DaylightSum => [0, 0, 0]),
  sun: new Float64Array(OUTSIDE.length),
})

/** Adds a weight of the light that a reflector outside receives, in place. */
export function addReflected(
  sum: LightSum,
  by: Outside,
  received: { readonly sky: Readonly<DaylightSum>; readonly sunLux: number },
  weight: number,
): void {
  finiteAll([weight, received.sunLux, ...received.sky], 'what is received')
  const at = OUTSIDE.indexOf(by)
  for (let k = 0; k < 3; k++) sum.sky[at]![k]! += weight * received.sky[k]!
  sum.sun[at]! += weight * received.sunLux
}

/** The spectrum of a sum, 81 values whose luminous sum is in lux, and the lux of its parts before mixing. */
export function spectrumOf(sum: LightSum, sunlight: Spectrum): Spectrum {
  const spectrum = new Float64Array(SPECTRUM_LENGTH)
  const reflectances = outsideReflectances()
  sum.sky.forEach((daylight, at) => {
    const sun = sum.sun[at]!
    if (daylight[0] === 0 && sun === 0) return
    const light = daylightFromComponents(...daylight)
    if (sun > 0) addScaled(light, sunlight, sun)
    const reflectance = reflectances[at]!
    for (let i = 0; i < SPECTRUM_LENGTH; i++) spectrum[i]! += light[i]! * reflectance[i]!
  })
  return spectrum
}

/** What stands between a window and the sky, as angles against its own bearing. */
export interface WindowView {
  readonly hiddenBelowDeg: number
  readonly hiddenAboveDeg: number
}

export function viewOf(window: RoomWindow): WindowView {
  const { opposite, oppositeDeg, overhangMm, heightMm } = checkedWindow(window)
  return {
    hiddenBelowDeg: opposite === 'sky' ? 0 : oppositeDeg,
    hiddenAboveDeg: overhangMm > 0 ? Math.atan2(heightMm / 2, overhangMm) / RAD : 90,
  }
}

/** What the ground outside and the front of what stands opposite receive. */
interface Received {
  readonly sky: Readonly<DaylightSum>
  readonly sunLux: number
}

// A house of two storeys and a window of the lower one, common practice.
const HOUSE_HEIGHT_M = 6
const WINDOW_ABOVE_GROUND_M = 2

/**
 * Light on the ground before a window. With the sun behind the house the ground lies in the house's own shadow as far
 * as that reaches; of the view down, the part beyond is sunlit.
 */
export function groundReceives(
  { vault, sun, directNormalLux }: Outdoors,
  bearingDeg: number,
): Received {
  finiteAll(
    [bearingDeg, directNormalLux, sun.altitudeDeg, sun.azimuthDeg, ...vault.horizontal],
    'angles and light outdoors',
  )
  const sine = Math.max(0, Math.sin(sun.altitudeDeg * RAD))
  const behind = Math.max(0, -Math.cos((sun.azimuthDeg - bearingDeg) * RAD))
  const shadowM = (HOUSE_HEIGHT_M * behind) / Math.max(0.02, Math.tan(sun.altitudeDeg * RAD))
  const sunlit = WINDOW_ABOVE_GROUND_M / Math.hypot(WINDOW_ABOVE_GROUND_M, shadowM)
  return { sky: vault.horizontal, sunLux: directNormalLux * sine * sunlit }
}

/** A front that looks at the window, its own sky half open. */
export function oppositeReceives(
  { vault, sun, directNormalLux }: Outdoors,
  bearingDeg: number,
): Received {
  finite(directNormalLux, 'directNormalLux')
  const towards = (finite(bearingDeg, 'a bearing') + 180) % 360
  return {
    sky: vault.on(openWall(towards)),
    sunLux: directNormalLux * Math.max(0, cosineOn(sun, towards, 90)),
  }
}

/** Light on the outside of a window, lux by lux of what it comes from, before glass and curtain. */
export interface WindowLight {
  /** All but the direct sun. */
  readonly diffuse: LightSum
  readonly skyLux: number
  /** Direct sun on the opening, shaded by what stands opposite and by the overhang. */
  readonly sunLux: number
}

/**
 * What a window receives: the sky it sees between what stands opposite and its overhang, the ground, the front
 * opposite, and direct sun.
 */
export function windowLight(out: Outdoors, window: RoomWindow): WindowLight {
  checkedSun(out.sun)
  finite(out.directNormalLux, 'directNormalLux')
  const { bearingDeg, pitchDeg, opposite } = checkedWindow(window)
  const view = viewOf(window)
  const diffuse = emptyLightSum()
  const fromSky = out.vault.on({ bearingDeg, pitchDeg, ...view })
  addReflected(diffuse, 'sky', { sky: fromSky, sunLux: 0 }, 1)
  // The ground fills the lower half before an upright window, less before a tilted one.
  addReflected(
    diffuse,
    window.ground,
    groundReceives(out, bearingDeg),
    (1 - Math.cos(pitchDeg * RAD)) / 2,
  )
  if (OPPOSITES[opposite].lab && view.hiddenBelowDeg > 0)
    addReflected(
      diffuse,
      opposite as Outside,
      oppositeReceives(out, bearingDeg),
      // View factor of a long front from the horizon up to its height, on a plane of that pitch.
      (Math.sin((view.hiddenBelowDeg + 90 - pitchDeg) * RAD) - Math.cos(pitchDeg * RAD)) / 2,
    )
  return { diffuse, skyLux: luxOf(fromSky), sunLux: directSun(out, window) }
}

/** Cosine of the sun's incidence on a plane; negative behind it, 0 by night. */
export function cosineOn(
  { altitudeDeg, azimuthDeg }: SunPosition,
  bearingDeg: number,
  pitchDeg: number,
): number {
  finiteAll([altitudeDeg, azimuthDeg, bearingDeg, pitchDeg], 'angles')
  if (altitudeDeg <= 0) return 0
  const out = Math.cos(altitudeDeg * RAD) * Math.cos((azimuthDeg - bearingDeg) * RAD)
  return Math.sin(altitudeDeg * RAD) * Math.cos(pitchDeg * RAD) + out * Math.sin(pitchDeg * RAD)
}

// The sun is half a degree wide.
const SUN_DEG = 0.53
// A house across the street, a hedge at the end of a garden: about so far from the window (common practice).
const OPPOSITE_M = 12

/**
 * Direct sun on an opening. What stands opposite uncovers it from the top of the glass down, as the sun climbs over it; an
 * overhang shades it from the top down, by its depth times the tangent of the sun's height across the wall. Both edges are
 * as soft as the sun is wide.
 */
function directSun({ sun, directNormalLux }: Outdoors, window: RoomWindow): number {
  const { bearingDeg, pitchDeg, heightMm, overhangMm } = window
  const cosine = cosineOn(sun, bearingDeg, pitchDeg)
  if (cosine <= 0 || directNormalLux === 0) return 0
  const { hiddenBelowDeg } = viewOf(window)
  const profile = profileDeg(sun.altitudeDeg, sun.azimuthDeg, bearingDeg)
  // The angle over which the line sweeps the glass: the glass as it is seen from the roof line.
  const sweepDeg =
    Math.atan((heightMm / 1000 / OPPOSITE_M) * Math.cos(hiddenBelowDeg * RAD) ** 2) / RAD + SUN_DEG
  const uncovered =
    hiddenBelowDeg > 0 ? Math.min(1, Math.max(0, (profile - hiddenBelowDeg) / sweepDeg + 0.5)) : 1
  const shaded =
    profile < 90 && overhangMm > 0
      ? Math.min(1, Math.max(0, (overhangMm * Math.tan(profile * RAD)) / heightMm))
      : overhangMm > 0
        ? 1
        : 0
  return directNormalLux * cosine * uncovered * (1 - shaded)
}

/** Whether direct sun comes through, flatter than the reveal lets it not counting. */
export const entersRoom = (
  { sun, directNormalLux }: Outdoors,
  window: RoomWindow,
  lux: number,
): boolean =>
  lux > 0.5 * directNormalLux * cosineOn(sun, window.bearingDeg, window.pitchDeg) &&
  cosineOn(sun, window.bearingDeg, window.pitchDeg) >= GRAZING_COSINE
