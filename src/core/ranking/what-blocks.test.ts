import { lrvPercent } from '../paint/lrv'
import { isGood } from '../pairing/chance'
import { prepareDeck, reflectanceOfRow } from './deck-rows'
import { chanceInRoom } from './rank-for-room'
import { deckOf, evenDeck, finish, room } from './ranking-scenes.fixture'
import { asIfChanged, whatBlocks, type Blocks } from './what-blocks'

const DEAR: Readonly<Record<string, number>> = { trim: 3, upholstery: 2, tile: 4, floor: 5 }
function counted(...of: Parameters<typeof whatBlocks>): Blocks {
  const steps = whatBlocks(...of)
  for (;;) {
    const { done, value } = steps.next()
    if (done) return value
  }
}

// A yellowed trim that no light wall gets past, an orange floor that most do.
const TRIM = finish('trim', [86, 3, 24])
const FLOOR = finish('floor', [55, 16, 30])
const deck = evenDeck()

/** How many colours of the deck work with all of these, judged one by one. */
function working(finishes: Parameters<typeof room>[0]): number {
  const judge = chanceInRoom(room(finishes))
  return Array.from(deck.places, (_, row) => row).filter((row) =>
    isGood(judge(reflectanceOfRow(deck.rows, row), 'spectral').chance),
  ).length
}

test('counted over the whole deck: what works as it is, without one keeper, and with it painted white', () => {
  const stays = [TRIM, FLOOR]
  const { works, blocks } = counted(prepareDeck(deck), room(stays), (id) => DEAR[id]!)
  const near = (counted: number, judged: number): void =>
    // One by one an observer’s spread is brought in, which moves what lies at the limit.
    expect(Math.abs(counted - judged)).toBeLessThanOrEqual(0.06 * deck.places.length)
  near(works, working(stays))
  const trim = blocks.find(({ keeperId }) => keeperId === 'trim')!
  near(trim.without!, working([FLOOR]))
  near(trim.paintedWhite!, working(asIfChanged(stays, { keeperId: 'trim', how: 'painted white' })))
  expect(trim.paintedWhite!).toBeGreaterThan(works)
  expect(blocks.find(({ keeperId }) => keeperId === 'floor')?.paintedWhite ?? null).toBeNull()
})

test('as if a change were made: that keeper is gone, or clean white as a whole; the others stay', () => {
  const mottled = { ...TRIM, varies: true, shows: 0.4 }
  const stays = [mottled, FLOOR]
  expect(asIfChanged(stays, { keeperId: 'trim', how: 'without' })).toEqual([FLOOR])
  const [floor, white, ...more] = asIfChanged(stays, { keeperId: 'trim', how: 'painted white' })
  expect([floor, more]).toEqual([FLOOR, []])
  expect(white).toMatchObject({ keeperId: 'trim', varies: false, shows: 1, source: 'maker' })
  expect(lrvPercent(white!.reflectance)).toBeGreaterThan(85)
  expect(asIfChanged(stays, { keeperId: 'none', how: 'painted white' })).toEqual(stays)
})

test('what is cheap to change comes first, and what would change nothing is not named', () => {
  const stays = [FLOOR, finish('upholstery', [50, 30, 20]), TRIM]
  const { works, blocks } = counted(prepareDeck(deck), room(stays), (id) => DEAR[id]!)
  const order = blocks.map(({ keeperId }) => DEAR[keeperId]!)
  expect(order).toEqual([...order].sort((p, q) => p - q))
  for (const { without } of blocks) expect(without!).toBeGreaterThan(works)
})

test('what stays alone can be painted, and is not taken away: nothing would be left to rank for', () => {
  const alone = (stays: ReturnType<typeof finish>): Blocks =>
    counted(prepareDeck(deck), room([stays]), () => 1)
  const { works, blocks } = alone(TRIM)
  expect(blocks).toEqual([
    { keeperId: 'trim', without: null, paintedWhite: expect.any(Number) as number },
  ])
  expect(blocks[0]!.paintedWhite).toBeGreaterThan(works)
  expect(alone(FLOOR).blocks).toEqual([])
})

test('a colour counts once, at whichever of its strengths it works', () => {
  const [full] = [deckOf([[92, 0, 3]])]
  const twice = {
    ...deckOf([
      [92, 0, 3],
      [93, 0, 2],
    ]),
    places: [0, 0],
  }
  const stays = room([FLOOR])
  expect(counted(prepareDeck(full!), stays, () => 1).works).toBe(1)
  expect(counted(prepareDeck(twice), stays, () => 1).works).toBe(1)
})
