import { appearanceOf, inViewOf, prepareLight, WHITE_CARD } from '../../src/core/colour/appearance'
import { ucsDifference } from '../../src/core/colour/cam16'
import { colourRenderingIndex } from '../../src/core/colour/colour-rendering'
import { ILLUMINANT_SPECTRA } from '../../src/core/colour/illuminant'
import { ledSpectrum } from '../../src/core/colour/led'
import { PLAIN_WINDOW, type LitRoom, type RoomWindow } from '../../src/core/light/room'
import { roomLight, type RoomLight } from '../../src/core/light/room-light'
import { SKIES, skyIlluminance, type Sky } from '../../src/core/light/sky'
import { sunPosition, type Place } from '../../src/core/light/sun-position'

const room = (window: Partial<RoomWindow> & { readonly bearingDeg: number }): LitRoom => ({
  northSouthMm: 4500,
  eastWestMm: 4000,
  heightMm: 2600,
  windows: [{ ...PLAIN_WINDOW, ...window }],
  lamps: [],
})
const ROOMS: Readonly<Record<string, LitRoom>> = {
  north: room({ bearingDeg: 0 }),
  'east, a house opposite': room({ bearingDeg: 90, opposite: 'brick', oppositeDeg: 20 }),
  'south, an overhang': room({ bearingDeg: 180, overhangMm: 900 }),
  west: room({ bearingDeg: 270 }),
}
const PLACES: readonly Place[] = [
  { latitudeDeg: 52, longitudeDeg: 0 },
  { latitudeDeg: -34, longitudeDeg: 151 },
]
const DAYS = [Date.UTC(2026, 2, 20), Date.UTC(2026, 5, 21), Date.UTC(2026, 11, 21)]
// Under this nobody judges a colour.
const JUDGED_FROM_LUX = 20
const EYE = prepareLight(ILLUMINANT_SPECTRA.D65, 300)

/** The clear sky through the horizon, and how far a white card's colour moves in a minute. */
export function printEdges(): void {
  for (const sky of SKIES) {
    let [most, at] = [0, 0]
    for (let h = -6; h < 20; h += 0.02) {
      // Two minutes are about 0.35° where the sun rises fastest in the middle latitudes.
      const ratio =
        skyIlluminance(sky, h + 0.35).diffuseHorizontalLux /
        skyIlluminance(sky, h).diffuseHorizontalLux
      if (ratio > most) [most, at] = [ratio, h]
    }
    console.log(
      `  ${sky} sky: × ${most.toFixed(2)} at most in two minutes (at ${at.toFixed(1)}°); at the horizon ${skyIlluminance(sky, 0).diffuseHorizontalLux} lux`,
    )
  }
  for (const sky of SKIES) {
    const worst = { card: 0, where: '', lux: 1, whereLux: '' }
    for (const [name, lit] of Object.entries(ROOMS))
      for (const place of PLACES)
        for (const day of DAYS) followDay(lit, place, day, sky, name, worst)
    console.log(
      `  ${sky} sky: the white moves ${worst.card.toFixed(2)} units at most in a minute (${worst.where}), the light × ${worst.lux.toFixed(2)} (${worst.whereLux})`,
    )
  }
}

function followDay(
  lit: LitRoom,
  place: Place,
  day: number,
  sky: Sky,
  name: string,
  worst: { card: number; where: string; lux: number; whereLux: string },
): void {
  let before: RoomLight | null = null
  for (let minute = 0; minute < 1440; minute++) {
    const utcMs = day + minute * 60_000
    if (sunPosition(place, utcMs).altitudeDeg < -8) {
      before = null
      continue
    }
    const light: RoomLight | null = roomLight(lit, place, { utcMs, sky, lampsOn: false })
    if (
      light &&
      before &&
      Math.min(light.illuminanceLux, before.illuminanceLux) > JUDGED_FROM_LUX
    ) {
      // An eye that stays as it is from one minute to the next.
      const [p, q] = [before, light].map(
        ({ spectrum }) => appearanceOf(inViewOf(EYE, spectrum), WHITE_CARD).ucs,
      )
      const moved = ucsDifference(p!, q!)
      const where = `${name}, ${new Date(utcMs).toISOString().slice(5, 16)} UTC, ${place.latitudeDeg}°`
      if (moved > worst.card) Object.assign(worst, { card: moved, where })
      const ratio = Math.max(
        light.illuminanceLux / before.illuminanceLux,
        before.illuminanceLux / light.illuminanceLux,
      )
      if (ratio > worst.lux) Object.assign(worst, { lux: ratio, whereLux: where })
    }
    before = light
  }
}

/** LEDs as asked and as they came, colour rendering. */
export function printRendering(): void {
  for (const ra of [70, 80, 90, 95]) {
    const off = [2200, 2700, 3000, 4000, 5000, 5700, 6500].map(
      (cctK) => colourRenderingIndex(ledSpectrum(cctK, ra)) - ra,
    )
    console.log(
      `  Ra ${ra} from 2,200 to 6,500 K: off by ${Math.max(...off.map(Math.abs)).toFixed(1)} at most`,
    )
  }
}
