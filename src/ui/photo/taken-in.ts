import { daylightSpectrum } from '@/core/colour/daylight'
import type { Spectrum } from '@/core/colour/spectrum'
import { BULBS, type Bulb } from '@/core/light/fittings'
import { bulbSpectrum } from '@/core/light/lamp-light'
import type { RoomLight } from '@/core/light/room-light'
import { expectedNumber, typedNumber } from '@/core/typed-number'

/** What the consultant says of the light a photo was taken in. */
export interface TakenIn {
  readonly by: 'room' | 'daylight' | 'lamp' | 'unknown'
  readonly bulb: Bulb
  /** Kelvin, as typed. */
  readonly kelvin: string
}

export const FIRST_TAKEN_IN: TakenIn = { by: 'room', bulb: 'led-80', kelvin: '2700' }

export const TAKEN_IN_WORDS: readonly (readonly [TakenIn['by'], string])[] = [
  ['room', 'this room’s light, as the bar shows it'],
  ['daylight', 'daylight by a window'],
  ['lamp', 'a lamp'],
  ['unknown', 'not known'],
]

// The middle of what windows let in, common practice.
const WINDOW_K = 5800
const LAMP_RANGE_K = [1800, 7000] as const

/** A light that is known, with its name; null where nothing is known of it. */
export type SaidLight =
  | {
      readonly ok: true
      readonly spectrum: Spectrum | null
      /** At the wall; null where nobody knows. */
      readonly illuminanceLux: number | null
      readonly words: string
    }
  | { readonly ok: false; readonly message: string }

export function saidLight(
  { by, bulb, kelvin }: TakenIn,
  room: Pick<RoomLight, 'spectrum' | 'illuminanceLux'> | null,
): SaidLight {
  const illuminanceLux = null
  switch (by) {
    case 'room':
      return room
        ? { ok: true, ...room, words: 'this room’s light of the moment' }
        : { ok: false, message: 'The bar shows no light to see by: say what light it was.' }
    case 'daylight':
      return {
        ok: true,
        spectrum: daylightSpectrum(WINDOW_K),
        illuminanceLux,
        words: 'daylight by a window',
      }
    case 'unknown':
      return { ok: true, spectrum: null, illuminanceLux, words: 'a light that is not known' }
    case 'lamp': {
      const cctK = typedNumber(kelvin)
      const [least, most] = LAMP_RANGE_K
      if (cctK === null || cctK < least || cctK > most)
        return { ok: false, message: expectedNumber(least, most, 'K', kelvin) }
      return {
        ok: true,
        spectrum: bulbSpectrum({ bulb, cctK }),
        illuminanceLux,
        words: `the light of a lamp: ${BULBS[bulb].words}, ${cctK.toLocaleString('en-GB')} K`,
      }
    }
  }
}
