import { randomUUID } from 'node:crypto'
import { z } from 'zod'
import { DEFAULT_HOUSE_RULES, HOUSE_RULE_NAMES, schoolsOf } from '../core/advice/house-rules'
import { PLAIN_WINDOW } from '../core/light/room'
import { addCandidate, dropCandidate, listCandidates } from './candidates'
import { many, RowShapeError, sqlState, UNIQUE_VIOLATION, type Db } from './db'
import { addDeck, listDecks, searchDeckColours } from './decks'
import { listKeepersInRoom, PLAIN_KEEPER, saveKeeper } from './keepers'
import { keepLook, listLooks, retractLook } from './looks'
import { migrate } from './migrate'
import { COLOURS, seenPair, visit } from './seen-pair.fixture'
import { dbOver } from './pglite'
import { getRoom, listRooms, removeWindow, saveRoom, saveWindow } from './rooms'
import { findVisit, listVisits, saveVisit, setVisitFinished } from './visits'

let db: Db

beforeAll(async () => {
  db = dbOver(globalThis.pglite)
  await migrate(db)
})
afterEach(() => db.exec('truncate visit, deck, event cascade'))

const EventRow = z.object({
  what: z.string(),
  subject: z.string(),
  before: z.unknown(),
  after: z.unknown(),
})
const events = (subject: string) =>
  many(
    db,
    EventRow,
    'select what, subject, before, after from event where subject = $1 order by number',
    [subject],
  )

test('migrating again changes nothing', async () => {
  await migrate(db)
  const numbers = 'select number from migration order by number'
  const done = await many(db, z.object({ number: z.number() }), numbers)
  expect(done.map(({ number }) => number)).toEqual(done.map((_, i) => i + 1))
})

test('the schools of the database are those of the house rules, no more and no fewer', async () => {
  const rows = await many(
    db,
    z.object({ rule: z.string(), school: z.string() }),
    'select * from school',
  )
  const offered = HOUSE_RULE_NAMES.flatMap((rule) =>
    schoolsOf(rule).map(({ school }) => `${rule} ${school}`),
  )
  expect(rows.map(({ rule, school }) => `${rule} ${school}`).sort()).toEqual(offered.sort())
})

test('a visit comes back as it was written, a second write of the same id changes it', async () => {
  const v = visit()
  await saveVisit(db, v)
  await saveVisit(db, { ...v, household: 'The Elders' })
  expect(await findVisit(db, v.id)).toEqual({ ...v, household: 'The Elders', stage: 'planned' })
  expect((await events('visit')).map(({ what }) => what)).toEqual(['insert', 'update'])
})

test('what is in progress stands first, finished last', async () => {
  const { visit: seen, look } = await seenPair(db)
  await keepLook(db, look)
  const done = visit({ household: 'Done' })
  const coming = visit({ household: 'Coming', visitDate: '2027-01-05' })
  await saveVisit(db, done)
  await saveVisit(db, coming)
  await setVisitFinished(db, done.id, true)
  expect((await listVisits(db)).map(({ id, stage, looks }) => [id, stage, looks])).toEqual([
    [seen.id, 'in-progress', 1],
    [coming.id, 'planned', 0],
    [done.id, 'finished', 0],
  ])
})

test.each([
  ['latitude', { latitudeDeg: 95 }],
  ['an empty household', { household: '  ' }],
  [
    'a school nobody offers',
    { houseRules: { ...DEFAULT_HOUSE_RULES, 'weakest-strength': '40' as '50' } },
  ],
  ['a date that does not exist', { visitDate: '2026-02-30' }],
])('the database itself refuses %s, and nothing is half-stored', async (_, change) => {
  await expect(saveVisit(db, visit(change))).rejects.toThrow()
  expect(await listVisits(db)).toEqual([])
  expect(await events('visit')).toEqual([])
})

test('a look is kept once however often it is sent, and undone by striking it out', async () => {
  const { visit: v, look } = await seenPair(db)
  const first = await keepLook(db, look)
  const again = await keepLook(db, { ...look, verdict: 'works', note: 'changed on the way' })
  expect(again).toEqual(first)
  expect(first).toMatchObject({
    verdict: 'no',
    reasons: ['too green'],
    note: 'Mustard.',
    lightDate: '2026-06-21',
    retracted: false,
  })
  await retractLook(db, look.id)
  expect(await listLooks(db, v.id)).toMatchObject([{ id: look.id, retracted: true, verdict: 'no' }])
  expect((await events('look')).map(({ what }) => what)).toEqual(['insert', 'update'])
})

test('a look at something that is not there, or is in another visit, is not kept', async () => {
  const here = await seenPair(db)
  expect(await keepLook(db, { ...here.look, candidateId: randomUUID() })).toBeNull()
  expect(await keepLook(db, { ...here.look, roomId: randomUUID() })).toBeNull()
  const elsewhere = visit()
  await saveVisit(db, elsewhere)
  const [colour] = await searchDeckColours(db, 'x1')
  const stray = {
    id: randomUUID(),
    visitId: elsewhere.id,
    deckColourId: colour!.deckColourId,
    strengthPercent: 50,
  }
  await addCandidate(db, stray)
  expect(await keepLook(db, { ...here.look, candidateId: stray.id })).toBeNull()
  expect(await listLooks(db, here.visit.id)).toEqual([])
})

test('a keeper whose colour cannot be stored leaves no trace', async () => {
  const { roomId } = await seenPair(db)
  const id = randomUUID()
  const bad = saveKeeper(db, { ...PLAIN_KEEPER, id, roomId, name: 'Ghost', kind: 'tile' }, [
    { part: 'glaze', sharePercent: 50, reading: { kind: 'lab', lab: [50, 0, 0] } },
    { part: 'grout', sharePercent: 500, reading: { kind: 'lab', lab: [50, 0, 0] } },
  ])
  await expect(bad).rejects.toThrow()
  expect((await listKeepersInRoom(db, roomId)).map(({ name }) => name)).toEqual(['Stone'])
  expect((await events('keeper')).map(({ after }) => (after as { name: string }).name)).toEqual([
    'Stone',
  ])
})

test('windows come and go with their room, and the event remembers what went', async () => {
  const { roomId, visit: v } = await seenPair(db)
  const window = { ...PLAIN_WINDOW, id: randomUUID(), bearingDeg: 270, widthMm: 1200 }
  await saveWindow(db, roomId, window)
  expect((await getRoom(db, roomId)).windows).toEqual([window])
  await removeWindow(db, window.id)
  expect((await listRooms(db, v.id))[0]!.windows).toEqual([])
  const [, gone] = await events('room_window')
  expect(gone).toMatchObject({ what: 'delete', before: { bearing_deg: 270 }, after: null })
})

test('a deck is taken in whole or not at all', async () => {
  const deck = { maker: 'M', name: 'Fan', whiteBase: [96, 0, 1] } as const
  expect(await addDeck(db, deck, COLOURS)).toEqual(expect.any(String))
  expect(await addDeck(db, deck, COLOURS)).toBeNull()
  expect(await addDeck(db, { ...deck, name: 'Twice' }, [COLOURS[0]!, COLOURS[0]!])).toBeNull()
  expect((await listDecks(db)).map(({ name, colours }) => [name, colours])).toEqual([['Fan', 2]])
})

test('taking the same colour up twice leaves one candidate; one that was looked at stays', async () => {
  const { visit: v, candidateId, look } = await seenPair(db)
  const [taken] = await listCandidates(db, v.id)
  await addCandidate(db, {
    id: randomUUID(),
    visitId: v.id,
    deckColourId: taken!.deckColourId,
    strengthPercent: 75,
  })
  expect(await listCandidates(db, v.id)).toHaveLength(1)
  await keepLook(db, look)
  expect(await dropCandidate(db, candidateId)).toBe(false)
  expect(await listCandidates(db, v.id)).toHaveLength(1)
})

test('a row of the wrong shape is named by its column', async () => {
  await expect(many(db, z.object({ n: z.string() }), 'select 1 as n')).rejects.toThrow(
    RowShapeError,
  )
  await expect(many(db, z.object({ n: z.string() }), 'select 1 as n')).rejects.toThrow(/column n/)
})

test('two rooms of one name in one visit are told apart by SQLSTATE', async () => {
  const { visit: v } = await seenPair(db)
  const twin: Parameters<typeof saveRoom>[1] = {
    id: randomUUID(),
    visitId: v.id,
    name: 'Kitchen',
    northSouthMm: 4000,
    eastWestMm: 3000,
    heightMm: 2500,
    useHours: 'daytime',
    treatment: 'plain',
  }
  const error: unknown = await saveRoom(db, twin).catch((e: unknown) => e)
  expect(sqlState(error)).toBe(UNIQUE_VIOLATION)
})
