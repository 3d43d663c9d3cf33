import { colourTemperature } from '../colour/cct'
import { xyzOfSpectrum } from '../colour/observer'
import { planckianSpectrum } from '../colour/planckian'
import type { Spectrum } from '../colour/spectrum'
import type { RoomLight } from './room-light'

/** What a light meter said, in lux and kelvin. */
export interface MeterFigures {
  readonly lux: number
  readonly cctK: number
}

/** How the model is corrected: daylight and lamps apart, for they err apart. */
export interface Pin {
  /** Metered over modelled illuminance. */
  readonly gain: number
  /** Metered less modelled colour, mired (1e6 / K), where equal steps look alike. */
  readonly miredShift: number
}

export interface Pins {
  readonly daylight: Pin | null
  readonly lamps: Pin | null
}

export const NO_PINS: Pins = { daylight: null, lamps: null }

/** A reading and the model's light at its spot and moment. */
export interface Metered {
  readonly figures: MeterFigures
  readonly model: RoomLight
}

const isLampLight = ({ parts, illuminanceLux }: RoomLight): boolean =>
  parts.lamp > illuminanceLux / 2

/** The correction from a room's readings: the geometric mean of the ratios, the mean of the shifts. */
export function pinsFrom(readings: readonly Metered[]): Pins {
  const of = (kind: boolean): Pin | null => {
    const own = readings.filter(({ model }) => isLampLight(model) === kind)
    if (own.length === 0) return null
    const mean = (value: (each: Metered) => number): number =>
      own.reduce((sum, each) => sum + value(each), 0) / own.length
    return {
      gain: Math.exp(mean(({ figures, model }) => Math.log(figures.lux / model.illuminanceLux))),
      miredShift: mean(({ figures, model }) => 1e6 / figures.cctK - 1e6 / model.cctK),
    }
  }
  return { daylight: of(false), lamps: of(true) }
}

const LEAST_K = 1500
const MOST_K = 25_000
// Each brings the colour temperature nearer by an order of magnitude.
const TILT_STEPS = 3

/**
 * A light corrected by a room's pins, in proportion to how much of it is daylight and lamps. Its spectrum is tilted as
 * one radiator's differs from another's, which moves the colour and keeps its bands.
 */
export function pinned(light: RoomLight, pins: Pins): RoomLight {
  if (!pins.daylight && !pins.lamps) return light
  const lampShare = light.parts.lamp / light.illuminanceLux
  const mix = (of: (pin: Pin) => number, none: number): number =>
    (1 - lampShare) * (pins.daylight ? of(pins.daylight) : none) +
    lampShare * (pins.lamps ? of(pins.lamps) : none)
  const gain = mix((pin) => pin.gain, 1)
  const shift = mix((pin) => pin.miredShift, 0)
  const tilted = tiltedTo(light, 1e6 / light.cctK + shift)
  const scale = (gain * light.illuminanceLux) / xyzOfSpectrum(tilted)[1]
  const spectrum = tilted.map((power) => power * scale)
  const { sky, sun, ground, bounce, lamp } = light.parts
  return {
    ...light,
    ...colourTemperature(xyzOfSpectrum(spectrum)),
    spectrum,
    illuminanceLux: gain * light.illuminanceLux,
    parts: {
      sky: sky * gain,
      sun: sun * gain,
      ground: ground * gain,
      bounce: bounce * gain,
      lamp: lamp * gain,
    },
  }
}

/** The light tilted until its own colour temperature is the one asked for, in mired. */
function tiltedTo(light: RoomLight, wantedMired: number): Spectrum {
  const from = planckianSpectrum(clampK(light.cctK))
  let tilted = light.spectrum
  let aimMired = wantedMired
  for (let step = 0; step < TILT_STEPS; step++) {
    const to = planckianSpectrum(clampK(1e6 / aimMired))
    tilted = light.spectrum.map((power, i) => (power * to[i]!) / from[i]!)
    aimMired += wantedMired - 1e6 / colourTemperature(xyzOfSpectrum(tilted)).cctK
  }
  return tilted
}

const clampK = (cctK: number): number => Math.min(MOST_K, Math.max(LEAST_K, cctK))

// A reading further off than this is questioned, not swallowed.
const QUESTIONED_RATIO = 4
const QUESTIONED_K = 1500

/** What may be wrong with a reading that disagrees with the model, in words; null where it does not. */
export function questionOf({ figures, model }: Metered): string | null {
  const ratio = figures.lux / model.illuminanceLux
  const said: string[] = []
  if (ratio > QUESTIONED_RATIO)
    said.push(
      `${ratio.toFixed(1)} times as bright as expected: is a lamp on, or is the meter in the sun or nearer the window?`,
    )
  if (ratio < 1 / QUESTIONED_RATIO)
    said.push(
      `${(1 / ratio).toFixed(1)} times dimmer than expected: is a curtain drawn, or is the meter in shade or further in?`,
    )
  const off = figures.cctK - model.cctK
  if (Math.abs(off) > QUESTIONED_K)
    said.push(
      `${Math.round(Math.abs(off)).toLocaleString('en-GB')} K ${off < 0 ? 'warmer' : 'cooler'} than expected: ` +
        (off < 0
          ? 'is a lamp on, or the sun on a warm wall?'
          : 'is it blue sky alone, or a screen nearby?'),
    )
  return said.length > 0 ? said.join(' ') : null
}
