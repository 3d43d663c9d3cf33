import { checkedRoom } from './checked'
import { colourTemperature } from '../colour/cct'
import { xyzOfSpectrum } from '../colour/observer'
import { SPECTRUM_LENGTH, type Spectrum } from '../colour/spectrum'
import { CURTAINS, OPPOSITES } from './fittings'
import { lampLight } from './lamp-light'
import {
  surfaceAreaM2,
  windowAreaM2,
  windowTransmittance,
  type LitRoom,
  type RoomWindow,
} from './room'
import { reflectancesOf } from './room-reflectance'
import type { Sky } from './sky'
import { luxOf, profileDeg } from './sky-vault'
import {
  ALL_WALLS,
  dot,
  minus,
  panesOf,
  placeSpot,
  type Pane,
  type PlacedSpot,
  type SpotChoice,
} from './spot'
import { sunPosition, type Place, type SunPosition } from './sun-position'
import type { Outside } from './surface-colours'
import { toWallMm, wallFacing } from './walls'
import {
  addReflected,
  emptyLightSum,
  entersRoom,
  groundReceives,
  oppositeReceives,
  outdoors,
  spectrumOf,
  viewOf,
  windowLight,
  type LightSum,
  type Outdoors,
  type WindowLight,
} from './window-light'

/** The light at a spot of a room at one moment. */
export interface RoomLight {
  /** 81 values; their luminous sum is the illuminance. */
  readonly spectrum: Spectrum
  readonly illuminanceLux: number
  readonly cctK: number
  readonly duv: number
  /** Where the illuminance comes from, lux. */
  readonly parts: LightParts
  readonly sun: SunPosition
  /** True when direct sun enters through a window. */
  readonly directSun: boolean
}

export interface LightParts {
  /** Sky seen through a window. */
  readonly sky: number
  /** Direct sun after its first bounce off floor or wall. */
  readonly sun: number
  /** The ground and what stands opposite, seen through a window. */
  readonly ground: number
  /** What the room's own surfaces send back. */
  readonly bounce: number
  /** Lamps, seen or bounced. */
  readonly lamp: number
}

export interface LightMoment {
  readonly utcMs: number
  readonly sky: Sky
  readonly lampsOn: boolean
  /** As at night: nothing comes through the windows. */
  readonly lampsAlone?: boolean
}

const RAD = Math.PI / 180
// Under this nobody judges a colour.
const DARK_LUX = 0.5

/**
 * Light at a spot of a room, away from the patch of direct sun itself.
 *
 * Each window receives sky, ground, what stands opposite and sun (`windowLight`). Of this a spot sees its share through
 * the panes: the sky at each pane's own height, or what hides it. All that entered, and the first bounce of the
 * sun's patch off floor or wall, is then reflected between the room's surfaces, band by band, E(λ) = E₀(λ) / (1 − ρ̄(λ)).
 * Lamps light a spot directly by the inverse square and the cosine, and bounce alike. `walls` is the mean over all
 * surfaces.
 *
 * @returns null when it is too dark to see a colour
 */
export function roomLight(
  room: LitRoom,
  place: Place,
  moment: LightMoment,
  spot: SpotChoice = ALL_WALLS,
): RoomLight | null {
  return roomLights(room, place, moment, [spot])[0]!
}

/** The same at several spots of a room at one moment; what comes in is worked out once. */
export function roomLights(
  room: LitRoom,
  place: Place,
  moment: LightMoment,
  spots: readonly SpotChoice[],
): (RoomLight | null)[] {
  checkedRoom(room)
  const entering = whatEnters(room, place, moment)
  return spots.map((spot) => lightAt(room, moment, entering, spot))
}

/** What comes through the windows of a room at a moment, before it is shared out. */
interface Entering {
  readonly sun: SunPosition
  /** Null by night and for a room without windows. */
  readonly out: Outdoors | null
  readonly windows: readonly { readonly window: RoomWindow; readonly light: WindowLight }[]
  /** Spread over all surfaces, lux. */
  readonly entered: LightSum
  readonly enteredSkyLux: number
  /** Direct sun that lands on the floor and on the walls, lumens. */
  readonly sunOnFloor: number
  readonly sunOnWalls: number
  readonly directSun: boolean
}

function whatEnters(room: LitRoom, place: Place, moment: LightMoment): Entering {
  const sun = sunPosition(place, moment.utcMs)
  const entered = emptyLightSum()
  if (room.windows.length === 0 || moment.lampsAlone)
    return {
      sun,
      out: null,
      windows: [],
      entered,
      enteredSkyLux: 0,
      sunOnFloor: 0,
      sunOnWalls: 0,
      directSun: false,
    }
  const area = surfaceAreaM2(room)
  const out = outdoors(moment.sky, sun)
  let enteredSkyLux = 0
  let sunOnFloor = 0
  let sunOnWalls = 0
  let directSun = false
  const windows = room.windows.map((window) => {
    const light = windowLight(out, window)
    const inside = windowTransmittance(window) * windowAreaM2(window)
    addSum(entered, light.diffuse, inside / area)
    enteredSkyLux += (light.skyLux * inside) / area
    // A curtain that spreads the sun leaves no patch of it.
    if (CURTAINS[window.curtain].diffuses)
      addReflected(entered, 'sky', { sky: [0, 0, 0], sunLux: light.sunLux }, inside / area)
    else {
      const share = floorShare(room, window, sun)
      sunOnFloor += light.sunLux * inside * share
      sunOnWalls += light.sunLux * inside * (1 - share)
      directSun ||= entersRoom(out, window, light.sunLux)
    }
    return { window, light }
  })
  return { sun, out, windows, entered, enteredSkyLux, sunOnFloor, sunOnWalls, directSun }
}

/** Of the sun through a window, how much lands on the floor before it reaches the wall opposite. */
function floorShare(room: LitRoom, window: RoomWindow, sun: SunPosition): number {
  if (window.pitchDeg < 90) return 1
  const depthMm = 2 * toWallMm(room, wallFacing(room, window.bearingDeg))
  const profile = profileDeg(sun.altitudeDeg, sun.azimuthDeg, window.bearingDeg)
  const highestMm = depthMm * Math.tan(profile * RAD)
  return Math.min(1, Math.max(0, (highestMm - window.sillMm) / window.heightMm))
}

function lightAt(
  room: LitRoom,
  moment: LightMoment,
  { sun, out, windows, entered, enteredSkyLux, sunOnFloor, sunOnWalls, directSun }: Entering,
  spot: SpotChoice,
): RoomLight | null {
  const area = surfaceAreaM2(room)
  const placed = spot === ALL_WALLS ? null : 'at' in spot ? spot : placeSpot(room, spot)
  const { mean, floor, wall } = reflectancesOf(room)
  const spread = out ? spectrumOf(entered, out.sunlight) : new Float64Array(SPECTRUM_LENGTH)
  let direct = spread
  let seenSkyLux = enteredSkyLux
  if (out && placed) {
    const seen = emptyLightSum()
    seenSkyLux = windows.reduce(
      (sum, { window, light }) => sum + addSeen(seen, out, room, window, light, placed),
      0,
    )
    direct = spectrumOf(seen, out.sunlight)
  }
  const patch = new Float64Array(SPECTRUM_LENGTH)
  const bounce = new Float64Array(SPECTRUM_LENGTH)
  for (let i = 0; i < SPECTRUM_LENGTH; i++) {
    const again = 1 / (1 - mean[i]!)
    if (out) patch[i] = (out.sunlight[i]! * (sunOnFloor * floor[i]! + sunOnWalls * wall[i]!)) / area
    bounce[i] = spread[i]! * mean[i]! * again + patch[i]! * (again - 1)
  }
  const lamps = moment.lampsOn ? lampLight(room, placed, area, mean) : null

  const spectrum = direct.map((power, i) => power + patch[i]! + bounce[i]! + (lamps?.[i] ?? 0))
  const xyz = xyzOfSpectrum(spectrum)
  if (!(xyz[1] >= DARK_LUX)) return null
  return {
    spectrum,
    illuminanceLux: xyz[1],
    ...colourTemperature(xyz),
    parts: {
      // Summed from the components, the sky may come out a hair over the whole.
      sky: Math.min(seenSkyLux, lux(direct)),
      sun: lux(patch),
      ground: Math.max(0, lux(direct) - seenSkyLux),
      bounce: lux(bounce),
      lamp: lamps ? lux(lamps) : 0,
    },
    sun,
    directSun,
  }
}

const lux = (spectrum: Spectrum): number => xyzOfSpectrum(spectrum)[1]

function addSum(to: LightSum, from: LightSum, weight: number): void {
  from.sky.forEach((daylight, at) => {
    for (let k = 0; k < 3; k++) to.sky[at]![k]! += weight * daylight[k]!
  })
  from.sun.forEach((value, at) => (to.sun[at]! += weight * value))
}

/**
 * Adds what a spot sees through a window, pane by pane.
 *
 * @returns lux of sky in it
 */
function addSeen(
  seen: LightSum,
  out: Outdoors,
  room: LitRoom,
  window: RoomWindow,
  light: WindowLight,
  spot: PlacedSpot,
): number {
  const { hiddenBelowDeg, hiddenAboveDeg } = viewOf(window)
  const ground = groundReceives(out, window.bearingDeg)
  const front = hiddenBelowDeg > 0 ? oppositeReceives(out, window.bearingDeg) : null
  const before = luxOf(seen.sky[0]!)
  for (const pane of panesOf(room, window)) {
    const view = viewThrough(pane, spot, room.northDeg ?? 0)
    if (!view) continue
    const weight = view.steradians * view.cosine * pane.transmittance
    if (pane.diffuses) {
      // A curtain glows with all the window receives.
      addSum(seen, light.diffuse, weight / Math.PI)
      addReflected(seen, 'sky', { sky: [0, 0, 0], sunLux: light.sunLux }, weight / Math.PI)
      continue
    }
    const profile = profileDeg(view.altitudeDeg, view.azimuthDeg, window.bearingDeg)
    if (view.altitudeDeg <= 0) addReflected(seen, window.ground, ground, weight / Math.PI)
    else if (front && OPPOSITES[window.opposite].lab && profile < hiddenBelowDeg)
      addReflected(seen, window.opposite as Outside, front, weight / Math.PI)
    else if (profile <= hiddenAboveDeg)
      out.vault.addFrom(seen.sky[0]!, view.altitudeDeg, view.azimuthDeg, weight)
  }
  return luxOf(seen.sky[0]!) - before
}

/** How a spot sees a pane, or null where it faces away. */
function viewThrough({ at, normal, areaMm2 }: Pane, spot: PlacedSpot, northDeg: number) {
  const ray = minus(at, spot.at)
  const square = dot(ray, ray)
  const distance = Math.sqrt(square)
  const cosine = dot(ray, spot.normal) / distance
  const out = -dot(ray, normal) / distance
  if (cosine <= 0 || out <= 0) return null
  return {
    cosine,
    // No nearer than the pane is wide: a patch is not a point.
    steradians: (out * areaMm2) / Math.max(square, areaMm2),
    altitudeDeg: Math.asin(ray[2] / distance) / RAD,
    // The pane and the spot lie in the room's own axes, the sky in the compass's.
    azimuthDeg: (Math.atan2(ray[0], ray[1]) / RAD + northDeg + 360) % 360,
  }
}
