import { prepareLight } from '../../src/core/colour/appearance'
import { daylightSpectrum } from '../../src/core/colour/daylight'
import { ledSpectrum } from '../../src/core/colour/led'
import { planckianSpectrum } from '../../src/core/colour/planckian'
import { BANDS } from '../../src/core/colour/spectrum'
import { pairingOf } from '../../src/core/pairing/pairing'
import { fitToRoom } from '../../src/core/ranking/rank'
import { gradeOf } from '../../src/core/pairing/pair-grade'
import { reflectanceOfReading } from '../../src/core/paint/reading'
import { atStrength } from '../../src/core/paint/strength'
import { seededRandom } from '../../src/core/seeded-random'
import { medianMs } from './median'
import { plainLight, plainUndertone } from './plain-appearance'

const COLOURS = 2000
const STRENGTHS = [150, 100, 75, 50, 25]
const PLAIN_SHARE = 20
const TURNS = 9
const WARM_UP_TURNS = 2

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
const finishes = Array.from({ length: 12 }, () => ({
  reflectance: surface(),
  weight: 1,
  mayBeSetOff: true,
}))

/** Ranking a deck for a room, against the same formulas through a general-purpose colour library. */
export function benchRanking(): void {
  const rows = deckRows(COLOURS)
  const candidates = rows.length / BANDS
  const pairs = candidates * lights.length * finishes.length
  const start = performance.now()
  const fit = fitToRoom(rows, lights, finishes)
  const coldMs = performance.now() - start
  const some = candidates / PLAIN_SHARE
  let plain: readonly PlainFit[] = []
  // The machine's speed swings by two within seconds: the two are timed in turns and the ratio is taken turn by turn.
  const turns = Array.from({ length: TURNS }, () => {
    const warm = medianMs(5, () => fitToRoom(rows, lights, finishes), 3)
    const plainly = PLAIN_SHARE * medianMs(1, () => (plain = plainFits(rows, some)), 0)
    return { warm, plainly, ratio: plainly / warm }
  }).slice(WARM_UP_TURNS)
  const middle = (of: 'warm' | 'plainly' | 'ratio'): number =>
    turns.map((turn) => turn[of]).sort((p, q) => p - q)[Math.floor(turns.length / 2)]!
  const farthest = Math.max(
    ...plain.map(({ worst, mean }, i) =>
      Math.max(Math.abs(worst - fit.worst[i]!), Math.abs(mean - fit.mean[i]!)),
    ),
  )

  console.log(
    `ranking ${COLOURS} colours × ${STRENGTHS.length} strengths × ${lights.length} lights × ${finishes.length} keepers (${pairs.toLocaleString('en-GB')} pairs), appearances included:`,
  )
  console.log(
    `  cold ${coldMs.toFixed(0)} ms, warm ${middle('warm').toFixed(0)} ms; plain on colorjs.io ${middle('plainly').toFixed(0)} ms (from a twentieth); ratio ${middle('ratio').toFixed(0)}`,
  )
  console.log(`  worst and mean of ${some} candidates agree within ${farthest.toExponential(1)}`)
  printSlope()
  console.log(`  peak memory ${Math.round(process.resourceUsage().maxRSS / 1024)} MB`)
}

interface PlainFit {
  readonly worst: number
  readonly mean: number
}

/** The first candidates' fits, pair by pair on objects. */
function plainFits(rows: Float64Array, count: number): PlainFit[] {
  const plain = lights.map(({ light: prepared }) => {
    const light = plainLight(prepared)
    return {
      light,
      stays: finishes.map(({ reflectance }) => plainUndertone(light, [...reflectance])),
    }
  })
  return Array.from({ length: count }, (_, i) => {
    const surface = [...rows.subarray(i * BANDS, (i + 1) * BANDS)]
    const grades = plain.flatMap(({ light, stays }) => {
      const wall = plainUndertone(light, surface)
      return stays.map((finish) => gradeOf(pairingOf(wall, finish), wall, finish))
    })
    return {
      worst: Math.max(...grades),
      mean: grades.reduce((sum, grade) => sum + grade, 0) / grades.length,
    }
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
