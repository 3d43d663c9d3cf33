import { usualWays } from '../core/quantity/products'
import { listBoards } from '../db/boards'
import { listAllCandidates } from '../db/candidates'
import { listRoomPaint, USUAL_ROOM_PAINT } from '../db/room-paint'
import { listSchemes } from '../db/schemes'
import { findSettings } from '../db/settings'
import { testDb } from '../db/test-db.fixture'
import {
  aHouse,
  board,
  command,
  done,
  empty,
  idOf,
  roomPaint,
  said,
  scheme,
  wordsOf,
} from './house.fixture'
import { apply } from './apply'
import { DEFAULT_HOUSE_RULES } from '../core/advice/house-rules'

const db = testDb()
beforeEach(() => empty(db))

test('a board is kept whole, changed, taken out, and put back by an undo', async () => {
  const { visitId, candidateId } = await aHouse(db)
  await done(db, 'keep-board', board(visitId, candidateId, idOf(50)))
  await done(db, 'keep-board', board(visitId, candidateId, idOf(50), { count: 2, begun: null }))
  const [kept] = await listBoards(db, visitId)
  expect(kept).toEqual({
    ...{ id: idOf(50), candidateId, roomId: null, sheen: 'eggshell', count: 2, begun: null },
    ...{ widthMm: 600, heightMm: 600, borderMm: 25 },
  })
  const out = await done(db, 'keep-board', board(visitId, candidateId, idOf(50), { removed: true }))
  expect(await listBoards(db, visitId)).toEqual([])
  await done(db, 'undo', { visitId, commandId: out.id })
  expect(await listBoards(db, visitId)).toEqual([kept])
})

test.each([
  [
    'a second one of the same',
    {},
    /There is a board of this colour at this strength in this sheen already/,
  ],
  [
    'a border that leaves nothing',
    { borderMm: 300 },
    /Expected a border that leaves something to paint/,
  ],
  [
    'a day that does not exist',
    { begun: { date: '2026-02-30', clockMinute: 480 } },
    /Expected a date that exists/,
  ],
  ['an hour that is none', { begun: { date: '2026-02-20', clockMinute: 1500 } }, /clockMinute/],
  ['thirteen boards', { count: 13 }, /Expected 1 to 12 boards/],
  ['a strip in a room of nowhere', { roomId: idOf(999) }, /not in this visit/],
] as const)('%s is refused in words, and nothing is kept', async (_, change, words) => {
  const { visitId, candidateId } = await aHouse(db)
  await done(db, 'keep-board', board(visitId, candidateId, idOf(50)))
  const before = await listBoards(db, visitId)
  expect(
    await said(db, command(1, 'keep-board', board(visitId, candidateId, idOf(51), change))),
  ).toMatch(words)
  expect(await listBoards(db, visitId)).toEqual(before)
})

test('a candidate of another visit has no board here', async () => {
  const [here, there] = [await aHouse(db, 1), await aHouse(db, 2)]
  expect(
    await said(db, command(1, 'keep-board', board(here.visitId, there.candidateId, idOf(50)))),
  ).toMatch(/not in this visit/)
})

test('what decides the paint of a room is kept, and gone again when it is taken back', async () => {
  const { visitId, kitchenId } = await aHouse(db)
  const made = await done(
    db,
    'keep-room-paint',
    roomPaint(visitId, kitchenId, {
      oldWalls: { kind: 'lab', lab: [62, 20, 31.5] },
      featureWall: 'west',
      cabinetsM2: 7.25,
    }),
  )
  expect((await listRoomPaint(db, visitId)).get(kitchenId)).toEqual({
    ...USUAL_ROOM_PAINT,
    oldWalls: { kind: 'lab', lab: [62, 20, 31.5] },
    featureWall: 'west',
    cabinetsM2: 7.25,
  })
  await done(db, 'undo', { visitId, commandId: made.id })
  expect((await listRoomPaint(db, visitId)).size).toBe(0)
  expect(
    await said(db, command(2, 'keep-room-paint', roomPaint(visitId, kitchenId, { cabinetsM2: 0 }))),
  ).toMatch(/Expected an area above 0/)
})

test('a chosen scheme sends its colours to board, and the others stay on record', async () => {
  const { visitId, kitchenId, candidateId, colourIds } = await aHouse(db)
  const own = { candidateId, deckColourId: colourIds[0]! }
  // Nobody has taken this colour up: it becomes a candidate with the scheme, proposed for nothing yet.
  const trim = {
    surface: 'trim',
    candidateId: idOf(61),
    deckColourId: colourIds[1]!,
    strengthPercent: 50,
    sheen: 'satin',
  } as const
  const walls = { surface: 'walls', ...own, strengthPercent: 75, sheen: 'matt' } as const
  await done(db, 'keep-scheme', scheme(visitId, kitchenId, idOf(70), own, { parts: [walls, trim] }))
  await done(
    db,
    'keep-scheme',
    scheme(visitId, kitchenId, idOf(71), own, { name: 'Bold', accents: [colourIds[1]!] }),
  )
  const before = (await listAllCandidates(db, visitId)).find(({ id }) => id === idOf(61))
  expect(before).toMatchObject({ strengthPercent: 50, proposals: [] })
  const choosing = (schemeId: string, n: number) => ({
    visitId,
    schemeId,
    roomId: kitchenId,
    name: 'Calm',
    proposalIds: [idOf(n), idOf(n + 1)],
  })
  await done(db, 'choose-scheme', choosing(idOf(71), 80))
  await done(db, 'choose-scheme', choosing(idOf(70), 90))
  expect((await listSchemes(db, visitId)).map(({ name, isChosen }) => [name, isChosen])).toEqual([
    ['Calm', true],
    ['Bold', false],
  ])
  const stands = (await listAllCandidates(db, visitId)).flatMap(({ id, proposals }) =>
    proposals
      .filter(({ status }) => status === 'going to board')
      .map(({ surface, sheen }) => [id, surface, sheen].join(' ')),
  )
  expect(stands.sort()).toEqual([`${candidateId} walls matt`, `${idOf(61)} trim satin`].sort())
})

test('a room holds three schemes, each of its own name, of colours that are there', async () => {
  const { visitId, kitchenId, candidateId, colourIds } = await aHouse(db)
  const own = { candidateId, deckColourId: colourIds[0]! }
  const keep = (n: number, name: string, change = {}) =>
    said(
      db,
      command(n, 'keep-scheme', scheme(visitId, kitchenId, idOf(n), own, { name, ...change })),
    )
  expect(await keep(70, 'Calm')).toBe('kept')
  expect(await keep(71, 'CALM')).toMatch(/There is a scheme “CALM” in this room already/)
  expect(await keep(72, 'Bold', { accents: [idOf(999)] })).toMatch(/is not in this visit/)
  expect(await keep(73, 'Bold')).toBe('kept')
  expect(await keep(74, 'As is')).toBe('kept')
  expect(await keep(75, 'Fourth')).toMatch(/at most 3 schemes/)
})

test('furnishings come with a scheme or not; nobody having said, it is left open, and an undo brings that back', async () => {
  const { visitId, kitchenId, stoneId, candidateId, colourIds } = await aHouse(db)
  const own = { candidateId, deckColourId: colourIds[0]! }
  const comes = async () => (await listSchemes(db, visitId))[0]!.comes
  await done(db, 'keep-scheme', scheme(visitId, kitchenId, idOf(70), own))
  expect(await comes()).toBeNull()
  const settled = await done(
    db,
    'keep-scheme',
    scheme(visitId, kitchenId, idOf(70), own, { comes: [stoneId] }),
  )
  expect(await comes()).toEqual([stoneId])
  const another = scheme(visitId, kitchenId, idOf(70), own, { comes: [idOf(999)] })
  expect(await said(db, command(99, 'keep-scheme', another))).toMatch(/furnishing/)
  expect(await comes()).toEqual([stoneId])
  await done(db, 'undo', { visitId, commandId: settled.id })
  expect(await comes()).toBeNull()
})

test('a scheme is not chosen over a ruling that stands: nothing of it is', async () => {
  const { visitId, kitchenId, candidateId, colourIds } = await aHouse(db)
  const own = { candidateId, deckColourId: colourIds[0]! }
  await done(db, 'keep-scheme', scheme(visitId, kitchenId, idOf(70), own))
  await done(db, 'rule', {
    ...{
      visitId,
      roomId: kitchenId,
      candidateId,
      rulingId: idOf(95),
      surface: 'walls',
      sheen: 'matt',
    },
    compromise: '',
    gaps: [],
  })
  const answer = await apply(
    db,
    command(3, 'choose-scheme', {
      ...{ visitId, schemeId: idOf(70), roomId: kitchenId, name: 'Calm', proposalIds: [idOf(80)] },
    }),
    '2026-06-21T10:00:00.000Z',
  )
  expect(wordsOf(answer)).toMatch(/It is ruled on/)
  expect((await listSchemes(db, visitId))[0]!.isChosen).toBe(false)
})

test('how paint is reckoned stands beside the settings and survives them', async () => {
  const ways = { ...usualWays('us-gallons'), wastePercent: 15, leadBannedYear: 1978 }
  const set = { who: 'Ines Tarrow', lengths: 'feet', volumes: 'us-gallons' } as const
  const own = { ...set, houseRules: DEFAULT_HOUSE_RULES as never, firstSpeaks: 'eye' } as const
  expect(await said(db, command(1, 'keep-paint-ways', { paintWays: ways }))).toMatch(
    /Begin with your name/,
  )
  await done(db, 'keep-settings', own)
  await done(db, 'keep-paint-ways', { paintWays: ways })
  await done(db, 'keep-settings', { ...own, who: 'Orrin Vale' })
  expect((await findSettings(db))?.paintWays).toEqual(ways)
  const wrong = { ...ways, board: { widthMm: 200, heightMm: 600, borderMm: 100 } }
  expect(await said(db, command(2, 'keep-paint-ways', { paintWays: wrong }))).toMatch(
    /Expected a border that leaves something to paint/,
  )
})
