import { randomUUID } from 'node:crypto'
import { mkdtempSync, readdirSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Db } from './db'
import { searchDeckColours } from './decks'
import {
  KeeperLookedAtError,
  listKeepers,
  listKeepersInRoom,
  PLAIN_KEEPER,
  saveKeeper,
} from './keepers'
import { keepLook } from './looks'
import { migrate } from './migrate'
import { findPhoto, keepPhoto } from './photos'
import { dbOver } from './pglite'
import { getRoom, saveRoom, setLead } from './rooms'
import { seenPair, visit } from './seen-pair.fixture'
import { saveVisit } from './visits'

let db: Db

beforeAll(async () => {
  db = dbOver(globalThis.pglite)
  await migrate(db)
})
afterEach(() => db.exec('truncate visit, deck, event, photo cascade'))

const otherRoom = async (visitId: string): Promise<string> => {
  const id = randomUUID()
  await saveRoom(db, {
    id,
    visitId,
    name: `Room ${id.slice(0, 4)}`,
    northSouthMm: 4000,
    eastWestMm: 3000,
    heightMm: 2500,
    useHours: 'daytime',
    treatment: 'plain',
  })
  return id
}

test('keepers come dearest first, each with its colours in order', async () => {
  const { roomId } = await seenPair(db)
  const rug = {
    ...PLAIN_KEEPER,
    id: randomUUID(),
    roomId,
    name: 'Rug',
    kind: 'rug',
    state: 'arriving',
  } as const
  const floor = {
    ...PLAIN_KEEPER,
    id: randomUUID(),
    roomId,
    name: 'Boards',
    kind: 'floor',
  } as const
  const [colour] = await searchDeckColours(db, 'Twoling')
  await saveKeeper(db, rug, [
    { part: 'field', sharePercent: 100, deckColourId: colour!.deckColourId },
  ])
  await saveKeeper(db, floor, [
    { part: 'boards', sharePercent: 100, reading: { kind: 'srgb', hex: '#806040' } },
  ])
  const keepers = await listKeepersInRoom(db, roomId)
  expect(keepers.map(({ name }) => name)).toEqual(['Boards', 'Stone', 'Rug'])
  expect(keepers[1]!.colours.map(({ part, reading }) => [part, reading.kind])).toEqual([
    ['ground', 'lab'],
    ['vein', 'srgb'],
  ])
  expect(keepers[2]!.colours[0]).toMatchObject({
    reading: { kind: 'srgb', hex: '#6b5a4a' },
    deckColourId: colour!.deckColourId,
  })
})

test('what was said of its cost to change goes before its kind', async () => {
  const { roomId } = await seenPair(db)
  const grey = [
    { part: 'all', sharePercent: 100, reading: { kind: 'lab', lab: [50, 0, 0] } },
  ] as const
  const save = (name: string, kind: 'floor' | 'rug', dearness: number | null) =>
    saveKeeper(db, { ...PLAIN_KEEPER, id: randomUUID(), roomId, name, kind, dearness }, grey)
  await save('Cheap boards', 'floor', 1)
  await save('Heirloom rug', 'rug', 5)
  // A stone between them, by its kind.
  expect((await listKeepersInRoom(db, roomId)).map(({ name }) => name)).toEqual([
    'Heirloom rug',
    'Stone',
    'Cheap boards',
  ])
})

test('a spectrum and a match by eye come back as they were read', async () => {
  const { roomId } = await seenPair(db)
  const [colour] = await searchDeckColours(db, 'Oneling')
  const reading = {
    kind: 'spectral',
    wavelengthsNm: Array.from({ length: 31 }, (_, i) => 400 + 10 * i),
    reflectance: Array.from({ length: 31 }, (_, i) => 0.1234567 + i / 97),
  } as const
  const shift = [
    { towards: 'darker', size: 'clearly' },
    { towards: 'greener', size: 'a little' },
  ] as const
  const id = randomUUID()
  await saveKeeper(db, { ...PLAIN_KEEPER, id, roomId, name: 'Tile', kind: 'tile' }, [
    { part: 'glaze', sharePercent: 80, reading, source: 'uncalibrated' },
    { part: 'grout', sharePercent: 20, deckColourId: colour!.deckColourId, shift },
  ])
  const [tile] = (await listKeepersInRoom(db, roomId)).filter((keeper) => keeper.id === id)
  expect(tile!.colours[0]).toMatchObject({ reading, source: 'uncalibrated', shift: [] })
  expect(tile!.colours[1]).toMatchObject({ deckColourName: 'X1 Oneling', shift })
})

test('a finish in several rooms is one, is listed in each, and leaves a room only unseen', async () => {
  const { visit: v, roomId, keeper, look } = await seenPair(db)
  const [second, third] = [await otherRoom(v.id), await otherRoom(v.id)]
  const elsewhere = visit()
  await saveVisit(db, elsewhere)
  const foreign = await otherRoom(elsewhere.id)
  const colours = [
    { part: 'ground', sharePercent: 100, reading: { kind: 'lab', lab: [66, 9, 14] } },
  ] as const
  await saveKeeper(db, { ...keeper, roomIds: [second, third, foreign] }, colours)
  const [once, ...more] = await listKeepers(db, v.id)
  expect(more).toEqual([])
  expect([...once!.roomIds].sort()).toEqual([roomId, second, third].sort())
  // A room of another visit is not one of its rooms.
  expect(await listKeepersInRoom(db, foreign)).toEqual([])
  expect((await listKeepersInRoom(db, second)).map(({ id }) => id)).toEqual([keeper.id])

  expect(await keepLook(db, { ...look, roomId: second })).not.toBeNull()
  await saveKeeper(db, { ...keeper, roomIds: [second] }, colours)
  expect(await listKeepersInRoom(db, third)).toEqual([])
  await expect(
    saveKeeper(db, { ...keeper, name: 'Renamed', roomIds: [] }, colours),
  ).rejects.toThrow(KeeperLookedAtError)
  // Nothing half-stored: the name is as it was.
  expect((await listKeepersInRoom(db, second))[0]!.name).toBe('Stone')
})

test('a keeper leads only in a room that it is in', async () => {
  const { visit: v, roomId, keeper } = await seenPair(db)
  const other = await otherRoom(v.id)
  expect(await setLead(db, other, keeper.id)).toBe(false)
  expect((await getRoom(db, other)).leadKeeperId).toBeNull()
  expect(await setLead(db, roomId, keeper.id)).toBe(true)
  expect((await getRoom(db, roomId)).leadKeeperId).toBe(keeper.id)
})

test('a photo is kept once by its bytes, as a file and a row, and a hash of none finds none', async () => {
  const dataDir = mkdtempSync(join(tmpdir(), 'elm-photos-'))
  const photo = { jpeg: new Uint8Array([1, 2, 3, 4]), widthPx: 2, heightPx: 2 }
  // SHA-256 of 01 02 03 04, by sha256sum.
  const hash = '9f64a747e1b97f131fabb6b447296c9b6f0201e79fb3c5356e6c77e89b6a806a'
  expect(await keepPhoto(db, dataDir, photo)).toBe(hash)
  expect(await keepPhoto(db, dataDir, photo)).toBe(hash)
  expect(readdirSync(join(dataDir, 'photos', hash.slice(0, 2)))).toEqual([`${hash}.jpg`])
  expect(new Uint8Array((await findPhoto(db, dataDir, hash))!)).toEqual(photo.jpeg)
  expect(await findPhoto(db, dataDir, '../../etc/passwd')).toBeNull()
  rmSync(dataDir, { recursive: true })
})
