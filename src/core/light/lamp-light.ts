import { finite, finiteAll } from '../check'
import { checkedLamp, checkedRoom } from './checked'
import { ILLUMINANT_SPECTRA } from '../colour/illuminant'
import { ledSpectrum } from '../colour/led'
import { xyzOfSpectrum } from '../colour/observer'
import { planckianSpectrum } from '../colour/planckian'
import { addScaled, SPECTRUM_LENGTH, type Spectrum } from '../colour/spectrum'
import { BULBS, LAMP_PLACES } from './fittings'
import type { LitRoom, RoomLamp } from './room'
import { dot, lampAt, minus, type PlacedSpot, type Vector } from './spot'

const MM2_PER_M2 = 1e6

const bulbs = new Map<string, Spectrum>()

/** A bulb's light, its luminous sum one lux; found once for each kind and temperature. */
export function bulbSpectrum({ bulb, cctK }: Pick<RoomLamp, 'bulb' | 'cctK'>): Spectrum {
  finite(cctK, "a lamp's cctK")
  const key = `${bulb} ${cctK}`
  const before = bulbs.get(key)
  if (before) return before
  const raw = rawBulb(bulb, cctK)
  const y = xyzOfSpectrum(raw)[1]
  const spectrum = raw.map((power) => power / y)
  bulbs.set(key, spectrum)
  return spectrum
}

// An LED of this make reaches so far; warmer and cooler ones are taken as radiators of their temperature.
const LED_RANGE_K = [2200, 7000] as const

function rawBulb(bulb: RoomLamp['bulb'], cctK: number): Spectrum {
  if (bulb === 'tube') return ILLUMINANT_SPECTRA[cctK < 4100 ? 'F11' : cctK < 5500 ? 'F2' : 'F7']
  if (bulb === 'filament' || cctK < LED_RANGE_K[0] || cctK > LED_RANGE_K[1])
    return planckianSpectrum(cctK)
  return ledSpectrum(cctK, BULBS[bulb].ra)
}

/** Lamps at a spot: directly, and bounced with all the rest; over the surfaces together where there is no spot. */
export function lampLight(
  room: LitRoom,
  spot: PlacedSpot | null,
  area: number,
  mean: Spectrum,
): Spectrum {
  checkedRoom(room).lamps.forEach(checkedLamp)
  if (!(area > 0 && area < Infinity)) throw new RangeError(`area must be above 0 m², got ${area}`)
  finiteAll(mean, 'mean reflectances')
  const sum = new Float64Array(SPECTRUM_LENGTH)
  const evening = room.lamps.filter((lamp) => lamp.evening)
  for (const lamp of evening.length > 0 ? evening : room.lamps) {
    const light = bulbSpectrum(lamp)
    const direct = spot ? luxFromLamp(lamp, lampAt(room, lamp), spot) : lamp.lumens / area
    const spread = lamp.lumens / area
    addScaled(
      sum,
      light.map((power, i) => power * (direct + (spread * mean[i]!) / (1 - mean[i]!))),
      1,
    )
  }
  return sum
}

/** Lux straight from a lamp that hangs at a place, as a point that sends its light up and down, each half evenly. */
export function luxFromLamp(lamp: RoomLamp, at: Vector, spot: PlacedSpot): number {
  const ray = minus(at, spot.at)
  const square = dot(ray, ray)
  const cosine = dot(ray, spot.normal) / Math.sqrt(square)
  if (cosine <= 0) return 0
  const { uplight } = LAMP_PLACES[lamp.place]
  // Seen from below the lamp's lower half shines, from above its upper half.
  const half = ray[2] >= 0 ? 1 - uplight : uplight
  const candela = (finite(lamp.lumens, "a lamp's lumens") * half) / (2 * Math.PI)
  return (candela * cosine * MM2_PER_M2) / Math.max(square, 0.25 * MM2_PER_M2)
}
