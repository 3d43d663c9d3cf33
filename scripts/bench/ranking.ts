import { prepareLight } from '../../src/core/colour/appearance'
import { daylightSpectrum } from '../../src/core/colour/daylight'
import { ledSpectrum } from '../../src/core/colour/led'
import { planckianSpectrum } from '../../src/core/colour/planckian'
import { BANDS } from '../../src/core/colour/spectrum'
import { measurePair, pairingOf } from '../../src/core/judge/pairing'
import { fitToRoom } from '../../src/core/judge/rank'
import { reflectanceOfReading } from '../../src/core/paint/reading'
import { atStrength } from '../../src/core/paint/strength'
import { seededRandom } from '../../src/core/seeded-random'
import { medianMs } from './median'
import { plainLight, plainUndertone } from './plain-appearance'

const COLOURS = 2000
const STRENGTHS = [150, 100, 75, 50, 25]
const PLAIN_SHARE = 20

const random = seededRandom(5)
const surface = () =>
  reflectanceOfReading({
    kind: 'lab',
    lab: [30 + 62 * random(), 24 * random() - 10, 34 * random() - 12],
  })

const whiteBase = reflectanceOfReading({ kind: 'lab', lab: [96.2, -0.2, 1.5] })

function deckRows(colours: number): Float64Array {
  const rows = new Float64Array(colours * STRENGTHS.length * BANDS)
  for (let i = 0; i < colours; i++) {
    const full = surface()
    STRENGTHS.forEach((strength, s) =>
      rows.set(atStrength(full, whiteBase, strength), (i * STRENGTHS.length + s) * BANDS),
    )
  }
  return rows
}

const lights = [
  ...[9000, 7500, 6500, 5500, 5000].map((k) => prepareLight(daylightSpectrum(k), 400)),
  prepareLight(planckianSpectrum(2700), 60),
  prepareLight(ledSpectrum(3000, 82), 120),
  prepareLight(ledSpectrum(4000, 90), 300),
].map((light) => ({ light, weight: 1 }))
const finishes = Array.from({ length: 12 }, () => ({ reflectance: surface(), weight: 1 }))

/** Ranking a deck for a room, against the same formulas through a general-purpose colour library. */
export function benchRanking(): void {
  const rows = deckRows(COLOURS)
  const candidates = rows.length / BANDS
  const pairs = candidates * lights.length * finishes.length
  const start = performance.now()
  const fit = fitToRoom(rows, lights, finishes)
  const coldMs = performance.now() - start
  const warmMs = medianMs(9, () => fitToRoom(rows, lights, finishes))

  const some = candidates / PLAIN_SHARE
  const plainStart = performance.now()
  const works = plainWorks(rows, some)
  const plainMs = (performance.now() - plainStart) * PLAIN_SHARE
  const agree = works.filter((all, i) => all === fit.worst[i]! <= 0.5).length

  console.log(
    `ranking ${COLOURS} colours × ${STRENGTHS.length} strengths × ${lights.length} lights × ${finishes.length} keepers (${pairs.toLocaleString('en-GB')} pairs):`,
  )
  console.log(
    `  cold ${coldMs.toFixed(0)} ms, warm ${warmMs.toFixed(0)} ms; plain on colorjs.io ${plainMs.toFixed(0)} ms (from a twentieth); ratio ${(plainMs / warmMs).toFixed(0)}`,
  )
  console.log(`  the two agree on ${agree} of ${works.length} candidates`)
  printSlope()
  console.log(`  peak memory ${Math.round(process.resourceUsage().maxRSS / 1024)} MB`)
}

/** For each of the first candidates, whether every pair works, pair by pair on objects. */
function plainWorks(rows: Float64Array, count: number): boolean[] {
  const plain = lights.map(({ light: prepared }) => {
    const light = plainLight(prepared)
    return {
      light,
      stays: finishes.map(({ reflectance }) => plainUndertone(light, [...reflectance])),
    }
  })
  return Array.from({ length: count }, (_, i) => {
    const wallSurface = [...rows.subarray(i * BANDS, (i + 1) * BANDS)]
    let all = true
    for (const { light, stays } of plain) {
      const wall = plainUndertone(light, wallSurface)
      for (const finish of stays) {
        const pairing = pairingOf(wall, finish)
        const { conflict } = measurePair(wall, finish)
        if (
          !['connects', 'quiet stretch', 'contrasts', 'bridges'].includes(pairing) ||
          Number.isNaN(conflict)
        )
          all = false
      }
    }
    return all
  })
}

function printSlope(): void {
  const sizes = [2500, 5000, 10_000, 20_000]
  const times = sizes.map((colours) => {
    const part = deckRows(colours / STRENGTHS.length)
    return medianMs(3, () => fitToRoom(part, lights, finishes))
  })
  const slope = Math.log(times.at(-1)! / times[0]!) / Math.log(sizes.at(-1)! / sizes[0]!)
  console.log(
    `  ${sizes.map((size, i) => `${size}: ${times[i]!.toFixed(0)} ms`).join(', ')}; exponent ${slope.toFixed(2)} (1 is linear)`,
  )
}
