// npm run accuracy: the figures of docs/model.md, measured anew.
import { ciede2000 } from '../src/core/colour/ciede2000'
import { colourRenderingIndex } from '../src/core/colour/colour-rendering'
import { colourTemperature } from '../src/core/colour/cct'
import { daylightSpectrum } from '../src/core/colour/daylight'
import { ILLUMINANT_SPECTRA } from '../src/core/colour/illuminant'
import { labFromXyz } from '../src/core/colour/lab'
import { ledSpectrum } from '../src/core/colour/led'
import { bandWeights, whitePoint, xyzOfSpectrum, xyzUnder } from '../src/core/colour/observer'
import { planckianSpectrum } from '../src/core/colour/planckian'
import type { Spectrum, Xyz } from '../src/core/colour/spectrum'
import * as samples from '../src/core/colour/tables/test-colour-samples'
import { smoothestReflectance } from '../src/core/paint/smoothest-reflectance'
import { printByEye } from './accuracy/by-eye'
import { printChances } from './accuracy/chances'
import { printDemo } from './accuracy/demo'
import { printEdges, printRendering } from './accuracy/edges'
import { printEye, printStaircase } from './accuracy/eye'
import { printOddDays } from './accuracy/odd-days'
import { printOwnHouse } from './accuracy/own-house'
import { printPaint } from './accuracy/paint'
import { printPhoto } from './accuracy/photo'
import { printRoom } from './accuracy/room'
import { printAdaptation, printSmoothness } from './accuracy/smoothness'
import { printTrade } from './accuracy/trade'
import { judgeRatings, judgeReasons } from './fit/judged'
import { printFigures } from './fit/print-figures'

function median(values: readonly number[]): number {
  const sorted = [...values].sort((p, q) => p - q)
  const half = sorted.length / 2
  return (sorted[Math.floor(half)]! + sorted[Math.ceil(half) - 1]!) / 2
}

console.log(
  'One number in (XYZ under D65), colour under another light out; ΔE00 on CIE test colour samples 1–8',
)
const lights: Readonly<Record<string, Spectrum>> = {
  A: ILLUMINANT_SPECTRA.A,
  F2: ILLUMINANT_SPECTRA.F2,
  F11: ILLUMINANT_SPECTRA.F11,
  D50: ILLUMINANT_SPECTRA.D50,
  'LED 2700 K, Ra 82': ledSpectrum(2700, 82),
}
/** XYZ of a measured table itself, every 5 nm, Y of a perfect white 100. */
function tableXyz(sample: readonly number[], spectrum: Spectrum): Xyz {
  const scale = 100 / xyzOfSpectrum(spectrum)[1]
  const lit = spectrum.map((power, i) => power * sample[i]! * scale)
  return xyzOfSpectrum(lit)
}

const measured = Object.values(samples)
const found = measured.map((sample) =>
  smoothestReflectance(tableXyz(sample, ILLUMINANT_SPECTRA.D65)),
)
for (const [name, spectrum] of Object.entries(lights)) {
  const [weights, white] = [bandWeights(spectrum), whitePoint(spectrum)]
  const misses = measured.map((sample, i) =>
    ciede2000(
      labFromXyz(tableXyz(sample, spectrum), white),
      labFromXyz(xyzUnder(weights, found[i]!), white),
    ),
  )
  console.log(
    `  ${name}: median ${median(misses).toFixed(2)}, worst ${Math.max(...misses).toFixed(2)}`,
  )
}

console.log('CCT of Planckian radiators from 1,800 to 25,000 K')
const off = Array.from({ length: 200 }, (_, i) => 1800 * (25_000 / 1800) ** (i / 199)).map((cctK) =>
  Math.abs(colourTemperature(whitePoint(planckianSpectrum(cctK))).cctK / cctK - 1),
)
console.log(`  worst ${(100 * Math.max(...off)).toFixed(3)} %`)

console.log('CIE general colour rendering index')
for (const name of ['F2', 'F7', 'F11'] as const)
  console.log(`  ${name}: ${colourRenderingIndex(ILLUMINANT_SPECTRA[name]).toFixed(1)}`)
for (const [cctK, ra] of [
  [2700, 82],
  [3000, 90],
  [4000, 80],
  [6500, 75],
] as const) {
  const led = ledSpectrum(cctK, ra)
  const got = colourTemperature(whitePoint(led))
  console.log(
    `  LED asked ${cctK} K, Ra ${ra}: ${got.cctK.toFixed(0)} K, Duv ${got.duv.toFixed(4)}, Ra ${colourRenderingIndex(led).toFixed(1)}`,
  )
}

console.log('White of daylight 6,504 K against D65')
const [x, y] = [daylightSpectrum(6504), ILLUMINANT_SPECTRA.D65].map((light) => whitePoint(light))
console.log(`  ${Math.max(...x!.map((value, i) => Math.abs(value - y![i]!))).toFixed(4)} of 100`)

// A test only sees that it runs: what fits and simulates takes minutes.
if (process.env.ELM_SMALL) process.exit(0)

console.log('Photo: camera, light and cards over 24 finishes, ΔE00')
printPhoto()
console.log('A finish matched by eye, simulated eyes')
printByEye()
console.log('Paint: ladder and hiding')
printPaint()
console.log('Light at its edges')
printEdges()
console.log('Colour rendering of LEDs as asked')
printRendering()
console.log('Days on which clocks change')
printOddDays()

console.log('What the trade says (common practice), as shares that hold')
printTrade()
console.log('What own ratings say (ratings/), to fits that did not see them')
const judged = judgeRatings()
printFigures(judged, judgeReasons(judged))
console.log('Largest change of a chance for the smallest steps')
printSmoothness()
console.log('Five colours under LED lamps of 2,700 K at 150 lx')
printAdaptation()
console.log('The demo read again: how sure, and where eye and judge say opposite things')
printDemo(process.argv.includes('--pairs'))
console.log(
  'A house of five rooms and a deck of sixty: the first ten, and what is said of one pair in two places',
)
printOwnHouse()
console.log(
  'Chance against frequency over physical errors of reading and another observer, per cent',
)
printChances()
printRoom()
printEye()
printStaircase()
