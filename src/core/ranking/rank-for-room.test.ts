import fc from 'fast-check'
import { isGood } from '../pairing/chance'
import { pairReading } from '../pairing/pair-reading'
import type { KeeperKind } from '../pairing/keeper-kind'
import { prepareLight } from '../colour/appearance'
import { daylightSpectrum } from '../colour/daylight'
import { ledSpectrum } from '../colour/led'
import type { Lab } from '../colour/lab'
import { DAYLIGHT } from '../undertone/daylight'
import { lrvPercent } from '../paint/lrv'
import { reflectanceOfReading } from '../paint/reading'
import { seededRandom } from '../seeded-random'
import { undertoneOf } from '../undertone/undertone'
import { DEFAULT_HOUSE_RULES } from '../advice/house-rules'
import { roleOf, weightsOf } from '../pairing/role'
import { lifted, pairTerms, scoreOf } from '../pairing/score'
import { finishesOf } from './asked-room'
import { prepareRoom, type RankedRoom } from './ranked-room'
import { chanceInRoom, rankDeck, rankForRoom } from './rank-for-room'
import { prepareDeck, reflectanceOfRow, type DeckRows } from './deck-rows'
import { deckOf, finish, rankingScenes, room } from './ranking-scenes.fixture'
import { asksOf, worthOf } from './worth'

const random = seededRandom(3)
const mixedDeck = (labs: readonly Lab[]): DeckRows =>
  deckOf(labs, (row) => (row % 5 === 0 ? 'screen' : 'maker'))
const someLabs = (count: number): Lab[] =>
  Array.from({ length: count }, () => [25 + 68 * random(), 16 * random() - 7, 22 * random() - 8])
const noon = prepareLight(daylightSpectrum(6500), 400)
const north = prepareLight(daylightSpectrum(8500), 90)
const lamps = prepareLight(ledSpectrum(2700, 82), 100)

/** The worth of every row, one at a time and whole: each pair by the terms that it is made of. */
function plainWorths(deck: DeckRows, ranked: RankedRoom): number[] {
  const prepared = prepareRoom(ranked)
  const asks = asksOf(prepared)
  const keepers = [...new Set(ranked.finishes.map(({ keeperId }) => keeperId))]
  return Array.from(deck.places, (_, row) => {
    const wall = reflectanceOfRow(deck.rows, row)
    const scores = keepers.map(() => 10)
    for (const { light, matters } of ranked.lights)
      for (const { keeperId, role, reflectance, shows } of ranked.finishes) {
        const [w, f] = [wall, reflectance].map((each) => undertoneOf(light, each))
        const score = scoreOf(pairTerms(w!, f!, role.kind).terms, weightsOf(role))
        const k = keepers.indexOf(keeperId)
        scores[k] = Math.min(scores[k]!, lifted(score, shows * matters))
      }
    const place = { undertone: undertoneOf(DAYLIGHT, wall), lrvPercent: lrvPercent(wall) }
    return worthOf(wall, place, scores, prepared, asks).worth
  })
}

test('cut short, a ranking is the whole ranking’s beginning', () => {
  const deck = mixedDeck(someLabs(500))
  const kinds: readonly KeeperKind[] = ['stone', 'trim', 'rug', 'floor', 'tile', 'carpet']
  for (let turn = 0; turn < 6; turn++) {
    const keepers = someLabs(1 + turn).map((lab, i) =>
      finish(kinds[(i + turn) % 6]!, lab, { matters: i === 0 ? 1 : 0.5, shows: i === 1 ? 0.4 : 1 }),
    )
    const ranked = room(
      keepers,
      {
        wants: turn % 2 === 0 ? ['brighter'] : [],
        willNotHave: turn % 3 === 0 ? 'no grey' : '',
        contrast: (['open', 'high', 'low'] as const)[turn % 3]!,
        daylightFactorPercent: [0.8, 3, 9][turn % 3]!,
        hasCarpet: turn > 3,
      },
      [noon, north, lamps],
    )
    const worths = plainWorths(deck, ranked)
    const whole = worths.map((_, row) => row).sort((p, q) => worths[q]! - worths[p]! || p - q)
    const steps = [...rankDeck(prepareDeck(deck), ranked, 25)]
    const first = steps.flatMap((step) => ('first' in step ? step.first : []))
    expect(first.map(({ row }) => row)).toEqual(whole.slice(0, 25))
    for (const { row, worth } of first) expect(Math.abs(worth - worths[row]!)).toBeLessThan(1e-6)
    const all = steps.at(-1)!
    if (!('order' in all)) throw new Error('the last step is the whole ranking')
    expect([...all.order].sort((p, q) => p - q)).toEqual(worths.map((_, row) => row))
    // Far below the best, what does not work is ranked by some of the lights.
    const farBelow = worths[whole[24]!]! - 0.2
    for (const [row, worth] of worths.entries())
      if (all.works[row] || worth > farBelow) expect(all.worths[row]!).toBeCloseTo(worth, 6)
      else expect(all.worths[row]!).toBeGreaterThan(worth - 1e-6)
    for (const { row, weighed } of first) expect(all.works[row]).toBe(isGood(weighed) ? 1 : 0)
    for (let i = 1; i < all.order.length; i++)
      expect(all.worths[all.order[i - 1]!]! - all.worths[all.order[i]!]!).toBeGreaterThan(-2e-6)
  }
})

test('whether a colour works with all that stays is known of every one, as it is judged by itself', () => {
  const deck = mixedDeck(someLabs(300))
  const ranked = room([finish('stone', [66, 9, 14]), finish('tile', [80, 3, 8])], {}, [noon, lamps])
  const all = [...rankDeck(prepareDeck(deck), ranked, 5)].at(-1)!
  if (!('order' in all)) throw new Error('the last step is the whole ranking')
  const judge = chanceInRoom(ranked)
  const working = Array.from({ length: 300 }, (_, row) =>
    isGood(judge(reflectanceOfRow(deck.rows, row), deck.sources[row]!).weighed) ? 1 : 0,
  )
  expect([...all.works]).toEqual(working)
  const count = working.filter(Boolean).length
  expect(count).toBeGreaterThan(5)
  expect(count).toBeLessThan(200)
})

test('a ranking judges a pair as the bench does', () => {
  const labs = someLabs(60)
  for (const kind of ['stone', 'trim', 'curtain', 'floor', 'tile'] as const) {
    const stays = finish(kind, [68, 6, 12], { source: 'photo' })
    const judge = chanceInRoom(room([stays], {}, [lamps]))
    for (const lab of labs) {
      const wall = reflectanceOfReading({ kind: 'lab', lab })
      const reading = pairReading(
        lamps,
        { reflectance: wall, source: 'maker', strengthPercent: 100 },
        {
          name: 'keeper',
          role: stays.role,
          varies: false,
          colours: [
            { part: 'all', sharePercent: 100, reflectance: stays.reflectance, source: 'photo' },
          ],
        },
      )
      expect(judge(wall, 'maker').chance).toBeCloseTo(reading.chance, 9)
    }
  }
})

test('the order of the deck changes nothing', () => {
  const labs = someLabs(200)
  const ranked = room([finish('stone', [66, 9, 14])])
  const names = (order: readonly { readonly row: number }[], of: readonly Lab[]) =>
    order.map(({ row }) => of[row]!.join(' '))
  const back = [...labs].reverse()
  expect(names(rankForRoom(deckOf(back), ranked, 20), back)).toEqual(
    names(rankForRoom(deckOf(labs), ranked, 20), labs),
  )
})

test('the weakest pair is named, by light and by finish, and what matters less weighs less', () => {
  // A stone that takes the beige, a green tile that does not.
  const [stone, tile] = [finish('stone', [66, 9, 14]), finish('tile', [78, -8, 6])]
  const beige = reflectanceOfReading({ kind: 'lab', lab: [82, 5, 11] })
  const both = chanceInRoom(room([stone, tile], {}, [noon, lamps]))(beige, 'maker')
  expect(both.finish).toBe(1)
  expect(both.chance).toBeLessThan(0.3)
  expect(both.weighed).toBeCloseTo(both.chance, 9)
  const little = chanceInRoom(room([stone, { ...tile, matters: 0.4 }], {}, [noon, lamps]))
  expect(little(beige, 'maker').weighed).toBeGreaterThan(0.55)
  expect(little(beige, 'maker').chance).toBeCloseTo(both.chance, 9)
  // The weights of lights: the one that is hardly used gives way to the one that counts.
  const oneLight = (matters: readonly number[]) =>
    chanceInRoom({
      ...room([tile], {}, [noon, lamps]),
      lights: [noon, lamps].map((light, i) => ({ light, matters: matters[i]! })),
    })(beige, 'maker')
  expect(oneLight([1, 0.3]).light).toBe(0)
  expect(oneLight([0.3, 1]).light).toBe(1)
})

test('nothing to rank is no ranking, and a room without a light or a finish is refused', () => {
  const ranked = room([finish('stone', [66, 9, 14])])
  expect(rankForRoom(deckOf([]), ranked, 10)).toEqual([])
  const deck = deckOf(someLabs(5))
  expect(rankForRoom(deck, ranked, 50)).toHaveLength(5)
  expect(() => rankForRoom(deck, { ...ranked, lights: [] }, 5)).toThrow(/at least one light/)
  expect(() => rankForRoom(deck, { ...ranked, finishes: [] }, 5)).toThrow(/at least one finish/)
})

const DIM_AND_WISHED = {
  wants: ['brighter'],
  willNotHave: 'no grey, nothing cold',
  daylightFactorPercent: 0.9,
} as const

/** The worth of one wall in a room, whole. */
function worthIn(ranked: RankedRoom, lab: Lab): number {
  return plainWorths(deckOf([lab]), ranked)[0]!
}
const number = (min: number, max: number) => fc.double({ min, max, noNaN: true })
const someLab = fc.tuple(number(30, 94), number(-8, 9), number(-8, 14))

// Of 60,000 steps the largest moved it by 0.0204: of a near grey, from one side of no lean to the other.
test('no step of 0.1 unit moves a worth by more than 0.025', () => {
  const ranked = room([finish('stone', [66, 9, 14]), finish('trim', [92, 0, 8])], DIM_AND_WISHED, [
    noon,
    lamps,
  ])
  fc.assert(
    fc.property(
      someLab,
      fc.constantFrom([0.1, 0, 0], [0, 0.1, 0], [0, 0, 0.1]),
      ([l, a, b], [dl, da, db]) => {
        const moved: Lab = [l + dl!, a + da!, b + db!]
        expect(Math.abs(worthIn(ranked, [l, a, b]) - worthIn(ranked, moved))).toBeLessThan(0.025)
      },
    ),
    { numRuns: 150 },
  )
})

test('nor does 1 % of a part’s share', () => {
  const surface = (lab: Lab) => reflectanceOfReading({ kind: 'lab', lab })
  const stone = (veinShare: number) =>
    finishesOf(
      [
        {
          id: 'stone',
          name: 'Stone',
          kind: 'stone',
          dearness: null,
          viewShare: 'much',
          varies: false,
          role: roleOf('stone', DEFAULT_HOUSE_RULES),
          colours: [
            ['ground', 100 - veinShare, surface([70, 0, 1])] as const,
            ['vein', veinShare, surface([62, 9, 12])] as const,
          ].map(([part, sharePercent, reflectance]) => ({
            part,
            sharePercent,
            reflectance,
            source: 'reader' as const,
          })),
        },
      ],
      null,
    )
  fc.assert(
    fc.property(someLab, fc.integer({ min: 0, max: 48 }), (lab, share) => {
      const [less, more] = [share, share + 1].map((percent) =>
        worthIn(room(stone(percent), DIM_AND_WISHED, [noon]), lab),
      )
      expect(Math.abs(less! - more!)).toBeLessThan(0.03)
    }),
    { numRuns: 150 },
  )
})

test('what the trade expects to lead does', () => {
  expect(rankingScenes().filter(({ holds }) => !holds)).toEqual([])
})
