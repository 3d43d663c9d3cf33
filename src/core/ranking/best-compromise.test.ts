import type { Reflectance } from '../colour/spectrum'
import type { ReadingSource } from '../paint/reading'
import { bestCompromise, compromiseAmong, type BestCompromise } from './best-compromise'
import { compromiseWords } from './compromise-words'
import { reflectanceOfRow } from './deck-rows'
import { chanceInRoom, rankForRoom } from './rank-for-room'
import { deckOf, finish, room } from './ranking-scenes.fixture'

interface Colour {
  readonly reflectance: Reflectance
  readonly source: ReadingSource
}

test('the compromise names its weakest keeper, and the one whose change would lift it', () => {
  // The pink beige suits stone and floor; the green tile is in its way.
  const stays = [
    finish('stone', [66, 9, 14]),
    finish('tile', [70, -8, 8]),
    finish('floor', [55, 9, 24]),
  ]
  const deck = deckOf([
    [82, 5, 11],
    [72, 6, 15],
  ])
  const ranked = rankForRoom(deck, room(stays), 10)
  const best = bestCompromise(ranked, deck, room(stays))!
  expect(best.row).toBe(ranked[0]!.row)
  expect(stays[best.finish]!.keeperId).toBe('tile')
  expect(best.lift).toMatchObject({ keeperId: 'tile' })
  expect(best.lift!.chance).toBeGreaterThan(best.chance + 0.15)
})

test('where something works, or nothing is ranked, there is no compromise', () => {
  const stays = [finish('stone', [66, 9, 14]), finish('floor', [60, 9, 15])]
  const deck = deckOf([[82, 5, 11]])
  expect(bestCompromise(rankForRoom(deck, room(stays), 10), deck, room(stays))).toBeNull()
  expect(bestCompromise([], deckOf([]), room(stays))).toBeNull()
})

test('among a few colours the compromise is the one whose worst pair is the least bad', () => {
  const stays = [
    finish('stone', [66, 9, 14]),
    finish('tile', [70, -8, 8]),
    finish('floor', [55, 9, 24]),
  ]
  // A strong pink and a strong green each please one and fail the other; the greyed one fails neither as badly.
  const [pink, greyed, green] = [
    [72, 16, 10],
    [80, 1, 7],
    [72, -14, 12],
  ].map((lab) => {
    const { rows, sources } = deckOf([lab as [number, number, number]])
    return { reflectance: reflectanceOfRow(rows, 0), source: sources[0]! }
  }) as [Colour, Colour, Colour]
  const best = compromiseAmong([pink, greyed, green], room(stays))!
  expect(best.colour).toBe(greyed)
  const worstOf = (colour: Colour) => chanceInRoom(room(stays))(colour.reflectance, colour.source)
  expect(best.weighed).toBeGreaterThan(worstOf(pink).weighed)
  expect(best.weighed).toBeGreaterThan(worstOf(green).weighed)
  expect(compromiseAmong([], room(stays))).toBeNull()
})

test('the compromise is said aloud with what stands in its way', () => {
  const stays = {
    finishes: [
      { keeperId: 'a', name: 'Stone counter' },
      { keeperId: 'b', name: 'Green tile' },
    ],
    lights: [{ name: 'at midday' }, { name: 'under lamps' }],
  }
  const words = (lift: BestCompromise['lift']) =>
    compromiseWords({ finish: 1, light: 1, lift }, 'Oneling at 75 %', stays)
  expect(words(null)).toBe(
    'Best compromise: Oneling at 75 %, weakest beside Green tile under lamps.',
  )
  expect(words({ keeperId: 'b', chance: 0.9 })).toMatch(/With another Green tile it would work\.$/)
  expect(words({ keeperId: 'b', chance: 0.5 })).toMatch(/Another Green tile would help most\.$/)
})
