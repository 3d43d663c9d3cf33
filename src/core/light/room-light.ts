import { colourTemperature } from '../colour/cct'
import { addPerLux } from '../colour/mix-lights'
import { daylightFromComponents } from '../colour/daylight'
import { xyzOfSpectrum } from '../colour/observer'
import { planckianSpectrum } from '../colour/planckian'
import { addScaled, type Spectrum } from '../colour/spectrum'
import {
  GLAZING_TRANSMITTANCE,
  ROOM_REFLECTANCE,
  surfaceAreaM2,
  windowAreaM2,
  windowDaylightFactorPercent,
  type LitRoom,
} from './room'
import { luxOf, skyIlluminance, skyVault, type DaylightSum, type Sky } from './sky'
import { sunPosition, type Place, type SunPosition } from './sun-position'
import { sunCctK, sunlightSpectrum } from './sunlight'

/** The light at the walls of a room at one moment. */
export interface RoomLight {
  /** 81 values; their luminous sum is the illuminance. */
  readonly spectrum: Spectrum
  readonly illuminanceLux: number
  readonly cctK: number
  readonly duv: number
  /** Where the illuminance comes from, lux. */
  readonly parts: {
    readonly sky: number
    readonly sun: number
    readonly ground: number
    readonly lamp: number
  }
  readonly sun: SunPosition
  /** True when direct sun enters through a window. */
  readonly directSun: boolean
}

export interface LightMoment {
  readonly utcMs: number
  readonly sky: Sky
  readonly lampsOn: boolean
}

const RAD = Math.PI / 180

// Paving, soil and grass before a house, common practice.
const GROUND_REFLECTANCE = 0.15

// Share of the horizontal illuminance that an upright window gets under the CIE overcast sky with
// open ground before it: 0.396 from the sky (Moon and Spencer), half the ground's reflectance below.
const OVERCAST_WALL_SHARE = 0.396 + GROUND_REFLECTANCE / 2

// Flatter than 80° the sun meets the reveal, not the room.
const GRAZING_COSINE = Math.cos(80 * RAD)

// Under this nobody judges a colour.
const DARK_LUX = 0.5

/**
 * Light at the walls of a room, away from the patch of direct sun itself.
 *
 * Each window receives sky (the part of the vault it faces), ground and sun. Sky and ground light
 * the room by its average daylight factor, scaled from the overcast sky that the factor is defined
 * for to what the window receives now; direct sun falls on a patch and lights the walls after one
 * bounce. Room surfaces count as grey. Lamps spread their lumens over all surfaces.
 *
 * @returns null when it is too dark to see a colour
 */
export function roomLight(room: LitRoom, place: Place, moment: LightMoment): RoomLight | null {
  const sun = sunPosition(place, moment.utcMs)
  const vault = skyVault(moment.sky, sun)
  const { directNormalLux } = skyIlluminance(moment.sky, sun.altitudeDeg)
  const area = surfaceAreaM2(room)

  const diffuse: DaylightSum = [0, 0, 0]
  const parts = { sky: 0, sun: 0, ground: 0, lamp: 0 }
  let sunOnGroundToRoom = 0
  let directSun = false
  for (const window of room.windows) {
    const gain = windowDaylightFactorPercent(room, window) / 100 / OVERCAST_WALL_SHARE
    const fromSky = vault.onWall(window.bearingDeg)
    const groundView = GROUND_REFLECTANCE / 2
    for (let k = 0; k < 3; k++)
      diffuse[k]! += gain * (fromSky[k]! + groundView * vault.horizontal[k]!)
    parts.sky += gain * luxOf(fromSky)
    parts.ground += gain * groundView * luxOf(vault.horizontal)
    sunOnGroundToRoom +=
      gain * groundView * directNormalLux * Math.max(0, Math.sin(sun.altitudeDeg * RAD))

    const incidence = cosineOnWall(sun, window.bearingDeg)
    if (incidence > 0 && directNormalLux > 0) {
      directSun ||= incidence >= GRAZING_COSINE
      const flux = directNormalLux * incidence * windowAreaM2(window) * GLAZING_TRANSMITTANCE
      parts.sun += (flux * ROOM_REFLECTANCE) / (area * (1 - ROOM_REFLECTANCE))
    }
  }
  parts.ground += sunOnGroundToRoom

  const spectrum = daylightFromComponents(...diffuse)
  const sunLux = parts.sun + sunOnGroundToRoom
  if (sunLux > 0) addScaled(spectrum, sunlightSpectrum(sunCctK(sun.altitudeDeg)), sunLux)
  if (moment.lampsOn)
    for (const lamp of room.lamps) {
      const lux = lamp.lumens / (area * (1 - ROOM_REFLECTANCE))
      addPerLux(spectrum, planckianSpectrum(lamp.cctK), lux)
      parts.lamp += lux
    }

  const xyz = xyzOfSpectrum(spectrum)
  if (!(xyz[1] >= DARK_LUX)) return null
  return { spectrum, illuminanceLux: xyz[1], ...colourTemperature(xyz), parts, sun, directSun }
}

/** Cosine of the sun's incidence on an upright plane facing a bearing; 0 when it stands behind. */
function cosineOnWall(sun: SunPosition, bearingDeg: number): number {
  if (sun.altitudeDeg <= 0) return 0
  const facing = Math.cos((sun.azimuthDeg - bearingDeg) * RAD)
  return Math.max(0, Math.cos(sun.altitudeDeg * RAD) * facing)
}
