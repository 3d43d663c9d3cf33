import { prepareLight, screenColour } from '../../src/core/colour/appearance'
import { dayRibbon } from '../../src/core/light/ribbon'
import { PLAIN_LAMP, PLAIN_WINDOW } from '../../src/core/light/room'
import { roomLight } from '../../src/core/light/room-light'
import { xyzFromLab } from '../../src/core/colour/lab'
import { smoothestReflectance } from '../../src/core/paint/smoothest-reflectance'
import { generateDeck } from '../../demo/deck-generator'
import { medianMs } from './median'
import { plainScreenHex } from './plain-appearance'
import { benchRanking } from './ranking'
import { utcDay } from '../../src/core/light/utc-day.fixture'

const place = { latitudeDeg: 52, longitudeDeg: 0 }
const day = utcDay('2026-06-21')
const room = {
  northSouthMm: 4500,
  eastWestMm: 4000,
  heightMm: 2600,
  windows: [{ ...PLAIN_WINDOW, bearingDeg: 270, widthMm: 1600 }],
  lamps: [PLAIN_LAMP],
}
const noon = { utcMs: day.startUtcMs + 43_200_000, sky: 'clear', lampsOn: false } as const
const deck = generateDeck()
const targets = Array.from({ length: 2000 }, (_, i) => {
  const { reading } = deck[i % deck.length]!
  return xyzFromLab(reading.kind === 'lab' ? reading.lab : [50, 0, 0])
})
const coldStart = performance.now()
const reflectances = targets.map((xyz) => smoothestReflectance(xyz))
const coldReflectanceMs = (performance.now() - coldStart) / targets.length
const light = roomLight(room, place, noon)!

const line = (what: string, ms: number): void => console.log(`${what}: ${ms.toFixed(3)} ms`)

line(
  'light of a room at a moment',
  medianMs(200, () => roomLight(room, place, noon)),
)
line(
  'light at a spot at another moment, and 30 swatches in it',
  medianMs(100, () => {
    const here = roomLight(room, place, noon, { plane: 'tilted', depth: 'middle' })!
    const prepared = prepareLight(here.spectrum, here.illuminanceLux)
    for (let i = 0; i < 30; i++) screenColour(prepared, reflectances[i]!)
  }),
)
line(
  'ribbon of a room’s day',
  medianMs(20, () => dayRibbon({ room, place, day }, 'clear')),
)
console.log(
  `reflectance of one deck colour, of ${targets.length}: cold ${coldReflectanceMs.toFixed(3)} ms, warm ` +
    `${(medianMs(5, () => targets.forEach((xyz) => smoothestReflectance(xyz)), 2) / targets.length).toFixed(3)} ms`,
)

const swatches = reflectances.slice(0, 200)
function relight(): string[] {
  const prepared = prepareLight(light.spectrum, light.illuminanceLux)
  return swatches.map((reflectance) => screenColour(prepared, reflectance).hex)
}
const relightStart = performance.now()
const hexes = relight()
const coldRelightMs = performance.now() - relightStart
const plainSwatches = swatches.map((reflectance) => [...reflectance])
const prepared = prepareLight(light.spectrum, light.illuminanceLux)
const plain = plainSwatches.map((reflectance) => plainScreenHex(prepared, reflectance))
const apart = hexes.filter((hex, i) => hex !== plain[i]).length
const warmMs = medianMs(50, relight, 10)
const plainMs = medianMs(
  10,
  () => plainSwatches.forEach((reflectance) => plainScreenHex(prepared, reflectance)),
  3,
)
console.log(
  `relighting 200 swatches, light prepared anew: cold ${coldRelightMs.toFixed(2)} ms, warm ${warmMs.toFixed(2)} ms; ` +
    `plain on colorjs.io ${plainMs.toFixed(1)} ms; ratio ${(plainMs / warmMs).toFixed(0)}; ` +
    `${apart} of ${hexes.length} differ by a step of 255`,
)

benchRanking()
