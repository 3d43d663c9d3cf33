import { bestCompromise } from './best-compromise'
import { rankForRoom } from './rank-for-room'
import { deckOf, finish, room } from './ranking-scenes.fixture'

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
