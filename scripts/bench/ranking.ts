import { DEFAULT_HOUSE_RULES } from '../../src/core/advice/house-rules'
import { ORDINARY_ROOM } from '../../src/core/advice/ordinary-room.fixture'
import type { RoomCharacter } from '../../src/core/advice/room-character'
import { prepareLight } from '../../src/core/colour/appearance'
import { daylightSpectrum } from '../../src/core/colour/daylight'
import { ledSpectrum } from '../../src/core/colour/led'
import { planckianSpectrum } from '../../src/core/colour/planckian'
import { BANDS } from '../../src/core/colour/spectrum'
import { reflectanceOfReading } from '../../src/core/paint/reading'
import { atStrength } from '../../src/core/paint/strength'
import { KEEPER_KINDS } from '../../src/core/pairing/keeper-kind'
import { roleOf } from '../../src/core/pairing/role'
import {
  holdTo,
  nothingKnown,
  prepareRoom,
  type RankedRoom,
} from '../../src/core/ranking/ranked-room'
import { prepareDeck, type DeckRows } from '../../src/core/ranking/deck-rows'
import { rankDeck, rankForRoom } from '../../src/core/ranking/rank-for-room'
import { pairPoints } from '../../src/core/ranking/worth'
import { seededRandom } from '../../src/core/seeded-random'
import { emptyUndertones, flatUndertones } from '../../src/core/undertone/flat-undertones'
import { medianMs } from './median'
import { plainLight, plainUndertone } from './plain-appearance'

const COLOURS = 2000
const STRENGTHS = [150, 100, 75, 50, 25]
const PLAIN_SHARE = 40
const TURNS = 9
const WARM_UP_TURNS = 2
const MOST = 200

const random = seededRandom(5)
const surface = () =>
  reflectanceOfReading({
    kind: 'lab',
    lab: [30 + 62 * random(), 24 * random() - 10, 34 * random() - 12],
  })
const quietSurface = () =>
  reflectanceOfReading({
    kind: 'lab',
    lab: [40 + 50 * random(), 6 + 4 * random(), 10 + 8 * random()],
  })

const whiteBase = reflectanceOfReading({ kind: 'lab', lab: [96.2, -0.2, 1.5] })

function deckOf(colours: number): DeckRows {
  const rows = new Float64Array(colours * STRENGTHS.length * BANDS)
  for (let i = 0; i < colours; i++) {
    const full = surface()
    STRENGTHS.forEach((strength, s) =>
      rows.set(atStrength(full, whiteBase, strength), (i * STRENGTHS.length + s) * BANDS),
    )
  }
  const each = Array.from({ length: colours * STRENGTHS.length }, (_, row) => row)
  return {
    rows,
    places: each.map((row) => Math.floor(row / STRENGTHS.length)),
    strengthsPercent: each.map((row) => STRENGTHS[row % STRENGTHS.length]!),
    sources: each.map(() => 'maker'),
  }
}

const character = {
  ...ORDINARY_ROOM,
  wants: ['brighter'],
  willNotHave: 'no grey',
} satisfies RoomCharacter
const roomWith = (of: () => Float64Array): RankedRoom => ({
  lights: [
    ...[9000, 7500, 6500, 5500, 5000].map((k) => prepareLight(daylightSpectrum(k), 400)),
    prepareLight(planckianSpectrum(2700), 60),
    prepareLight(ledSpectrum(3000, 82), 120),
    prepareLight(ledSpectrum(4000, 90), 300),
  ].map((light) => ({ light, matters: 1 })),
  finishes: Array.from({ length: 12 }, (_, i) => ({
    keeperId: String(i),
    reflectance: of(),
    source: 'reader' as const,
    varies: false,
    role: roleOf(KEEPER_KINDS[i % KEEPER_KINDS.length]!, DEFAULT_HOUSE_RULES),
    shows: 1,
    matters: 1,
    inView: 1,
  })),
  character,
  rules: DEFAULT_HOUSE_RULES,
})

/** Ranking a deck for a room: cut short, with every pair judged, and against the same appearances through a general-purpose colour library. */
export function benchRanking(): void {
  const deck = deckOf(COLOURS)
  const candidates = deck.places.length
  const quarrelling = roomWith(surface)
  const pairs = candidates * quarrelling.lights.length * quarrelling.finishes.length
  const start = performance.now()
  rankForRoom(deck, quarrelling, MOST)
  const coldMs = performance.now() - start
  // The machine's speed swings by two within seconds: the ways are timed in turns and ratios are taken turn by turn.
  const some = candidates / PLAIN_SHARE
  const turns = Array.from({ length: TURNS }, () => {
    const ranked = medianMs(3, () => rankForRoom(deck, quarrelling, MOST), 1)
    const whole = medianMs(1, () => everyPair(deck, quarrelling), 0)
    const plain = PLAIN_SHARE * medianMs(1, () => plainUndertones(deck, quarrelling, some), 0)
    const flat = medianMs(1, () => flatOnly(deck, quarrelling), 0)
    return { ranked, whole, plain, flat, cut: whole / ranked, ratio: plain / flat }
  }).slice(WARM_UP_TURNS)
  const middle = (of: keyof (typeof turns)[number]): string =>
    turns
      .map((turn) => turn[of])
      .sort((p, q) => p - q)
      [Math.floor(turns.length / 2)]!.toFixed(0)

  console.log(
    `ranking ${COLOURS} colours × ${STRENGTHS.length} strengths × ${quarrelling.lights.length} lights × ${quarrelling.finishes.length} keepers (${pairs.toLocaleString('en-GB')} pairs), the best ${MOST}, exactly:`,
  )
  console.log(
    `  cold ${coldMs.toFixed(0)} ms, warm ${middle('ranked')} ms; every pair judged ${middle('whole')} ms, ratio ${middle('cut')}`,
  )
  console.log(
    `  appearances alone: flat ${middle('flat')} ms, on colorjs.io ${middle('plain')} ms (from a fortieth), ratio ${middle('ratio')}`,
  )
  const agreeing = roomWith(quietSurface)
  console.log(
    `  in a room whose keepers agree: ${medianMs(5, () => rankForRoom(deck, agreeing, MOST), 2).toFixed(0)} ms`,
  )
  printSlope(agreeing)
  printWhole(quarrelling, agreeing)
  console.log(`  peak memory ${Math.round(process.resourceUsage().maxRSS / 1024)} MB`)
}

/** Every pair of every row in every light, none left out. */
function everyPair({ rows, places }: DeckRows, ranked: RankedRoom): number {
  const room = prepareRoom(ranked)
  const seen = emptyUndertones(places.length)
  let sum = 0
  const known = Array.from(places, () => nothingKnown(room))
  ranked.lights.forEach(({ light }, l) => {
    flatUndertones(light, rows, seen)
    for (let row = 0; row < places.length; row++)
      holdTo(room, l, { j: seen.j[row]!, a: seen.a[row]!, b: seen.b[row]! }, known[row]!)
  })
  for (const { scores } of known) sum += pairPoints(scores, room)
  return sum
}

function flatOnly({ rows, places }: DeckRows, { lights }: RankedRoom): void {
  const seen = emptyUndertones(places.length)
  for (const { light } of lights) flatUndertones(light, rows, seen)
}

function plainUndertones({ rows }: DeckRows, { lights }: RankedRoom, count: number): number {
  let sum = 0
  for (const { light } of lights) {
    const plain = plainLight(light)
    for (let i = 0; i < count; i++)
      sum += plainUndertone(plain, [...rows.subarray(i * BANDS, (i + 1) * BANDS)]).j
  }
  return sum
}

const WHOLE_COLOURS = 20_000
const ALONE_SHARE = 200

/** The trade's largest deck: the first two hundred and then every row, beside its appearances through a general-purpose colour library. */
function printWhole(quarrelling: RankedRoom, agreeing: RankedRoom): void {
  const deck = deckOf(WHOLE_COLOURS)
  const start = performance.now()
  const prepared = prepareDeck(deck)
  const preparedMs = performance.now() - start
  const rows = deck.places.length
  console.log(
    `${WHOLE_COLOURS.toLocaleString('en-GB')} colours × ${STRENGTHS.length} strengths × ${quarrelling.lights.length} lights × ${quarrelling.finishes.length} keepers; what hangs on no room, once: ${preparedMs.toFixed(0)} ms`,
  )
  for (const [name, room] of [
    ['keepers that quarrel', quarrelling],
    ['keepers that agree', agreeing],
  ] as const) {
    const turns = Array.from({ length: 5 }, () => {
      const began = performance.now()
      let first = 0
      for (const step of rankDeck(prepared, room, MOST))
        if ('first' in step) first = performance.now() - began
      return { first, all: performance.now() - began }
    })
    const said = (of: 'first' | 'all'): string =>
      turns
        .map((turn) => turn[of])
        .sort((p, q) => p - q)
        .map((ms) => ms.toFixed(0))
        .join(', ')
    console.log(
      `  ${name}: the first ${MOST} after ${said('first')} ms, all after ${said('all')} ms`,
    )
  }
  const plain =
    ALONE_SHARE * medianMs(1, () => plainUndertones(deck, quarrelling, rows / ALONE_SHARE), 0)
  console.log(
    `  the same appearances alone on colorjs.io: ${plain.toFixed(0)} ms (from a two-hundredth)`,
  )
}

function printSlope(room: RankedRoom): void {
  const sizes = [2500, 5000, 10_000, 20_000]
  const times = sizes.map((rows) => {
    const part = deckOf(rows / STRENGTHS.length)
    return medianMs(3, () => rankForRoom(part, room, MOST))
  })
  const slope = Math.log(times.at(-1)! / times[0]!) / Math.log(sizes.at(-1)! / sizes[0]!)
  console.log(
    `  ${sizes.map((size, i) => `${size}: ${times[i]!.toFixed(0)} ms`).join(', ')}; exponent ${slope.toFixed(2)} (1 is linear)`,
  )
}
