import { mkdtempSync, readdirSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { DEFAULT_HOUSE_RULES } from '../core/advice/house-rules'
import { findPhoto, storePhoto } from '../store/photos'
import { listKeepers } from '../db/keepers'
import { listCommands } from '../db/commands'
import { listFinishLooks } from '../db/finish-looks'
import { listSweeps } from '../db/sweeps'
import { listLooks } from '../db/looks'
import { listRooms } from '../db/rooms'
import { findSettings } from '../db/settings'
import { testDb } from '../db/test-db.fixture'
import { findVisit, listVisits, VISITS_A_PAGE } from '../db/visits'
import {
  aHouse,
  brief,
  command,
  done,
  empty,
  idOf,
  keeper,
  liveView,
  look,
  room,
  said,
  window,
} from './house.fixture'
import type { PayloadOf } from './kinds'

const db = testDb()
afterEach(() => empty(db))

test('keepers come dearest first, what was said of its cost before its kind, each with its colours in order', async () => {
  const house = await aHouse(db)
  const add = (n: number, name: string, change: object) =>
    done(db, 'keep-keeper', keeper(house.visitId, house.kitchenId, idOf(n), name, change))
  await add(1, 'Cheap boards', { kind: 'floor', dearness: 1 })
  await add(2, 'Heirloom rug', { kind: 'rug', dearness: 5 })
  await add(3, 'Boards', { kind: 'floor' })
  await add(4, 'Rug', { kind: 'rug', state: 'arriving' })
  const keepers = await listKeepers(db, house.visitId)
  expect(keepers.map(({ name }) => name)).toEqual([
    ...['Boards', 'Heirloom rug', 'Stone', 'Rug', 'Cheap boards'],
  ])
  expect(keepers[2]!.colours.map(({ part, reading }) => [part, reading.kind])).toEqual([
    ['ground', 'lab'],
    ['vein', 'srgb'],
  ])
})

test('a spectrum and a match by eye come back as they were read', async () => {
  const house = await aHouse(db)
  const reading = {
    kind: 'spectral' as const,
    wavelengthsNm: Array.from({ length: 31 }, (_, i) => 400 + 10 * i),
    reflectance: Array.from({ length: 31 }, (_, i) => 0.1234567 + i / 97),
  }
  const shift = [
    { towards: 'darker' as const, size: 'clearly' as const },
    { towards: 'greener' as const, size: 'a little' as const },
  ]
  const tile = keeper(house.visitId, house.kitchenId, idOf(1), 'Tile', {
    kind: 'tile',
    colours: [
      { part: 'glaze', sharePercent: 80, reading, source: 'uncalibrated' },
      { part: 'grout', sharePercent: 20, deckColourId: house.colourIds[0]!, shift },
    ],
  })
  await done(db, 'keep-keeper', tile)
  const kept = (await listKeepers(db, house.visitId)).find(({ name }) => name === 'Tile')!
  expect(kept.colours[0]).toMatchObject({ reading, source: 'uncalibrated', shift: [] })
  expect(kept.colours[1]).toMatchObject({ deckColourName: 'Oneling, Maker 1, Fan, X1', shift })
  // Fewer colours than before: the rest goes.
  await done(db, 'keep-keeper', { ...tile, colours: [tile.colours[1]!] })
  const after = (await listKeepers(db, house.visitId)).find(({ name }) => name === 'Tile')!
  expect(after.colours.map(({ part }) => part)).toEqual(['grout'])
})

test('a finish in several rooms is one; a room of another visit is not one of its rooms', async () => {
  const [house, other] = [await aHouse(db, 1), await aHouse(db, 2)]
  const roomIds = [house.hallId, other.hallId]
  await done(
    db,
    'keep-keeper',
    keeper(house.visitId, house.kitchenId, house.stoneId, 'Stone', { roomIds }),
  )
  const [once, ...more] = await listKeepers(db, house.visitId)
  expect(more).toEqual([])
  expect([...once!.roomIds].sort()).toEqual([house.kitchenId, house.hallId].sort())
})

test('nobody changes another visit’s things by saying that they are their own', async () => {
  const [house, other] = [await aHouse(db, 1), await aHouse(db, 2)]
  const before = await liveView(db, house.visitId)
  const from = other.visitId
  for (const [n, change] of [
    command(1, 'keep-room', room(from, house.kitchenId, 'Mine')),
    command(2, 'keep-window', { ...window(from, other.kitchenId, house.windowId), widthMm: 500 }),
    command(3, 'keep-keeper', keeper(from, other.kitchenId, house.stoneId, 'Mine')),
    command(4, 'remove-room', { visitId: from, roomId: house.kitchenId, removed: true }),
    command(5, 'remove-fitting', { visitId: from, fittingId: house.lampId, what: 'lamp' }),
    command(6, 'drop-candidate', { visitId: from, candidateId: house.candidateId }),
    command(7, 'rule-out', { visitId: from, candidateId: house.candidateId, reason: 'mine' }),
    command(8, 'choose-lead', { visitId: from, roomId: house.kitchenId, keeperId: house.stoneId }),
  ].entries())
    expect([n, await said(db, change)]).toEqual([n, expect.stringMatching(/visit|room/)])
  expect(await liveView(db, house.visitId)).toEqual(before)
})

test('a keeper leads only in a room that it is in', async () => {
  const { visitId, hallId, kitchenId, stoneId } = await aHouse(db)
  expect(
    await said(db, command(1, 'choose-lead', { visitId, roomId: hallId, keeperId: stoneId })),
  ).toMatch(/not in this room/)
  await done(db, 'choose-lead', { visitId, roomId: kitchenId, keeperId: stoneId })
  expect((await liveView(db, visitId)).rooms.map(({ leadKeeperId }) => leadKeeperId)).toEqual([
    stoneId,
    null,
  ])
})

test('a house that is turned later takes its windows along, but not one that was given a bearing of its own', async () => {
  const house = await aHouse(db)
  const put = (n: number, change: object) =>
    done(db, 'keep-window', {
      ...window(house.visitId, house.hallId, idOf(n)),
      widthMm: 900,
      ...change,
    })
  await put(1, { bearingDeg: 180 })
  await put(2, { bearingDeg: 200 })
  await put(3, { bearingDeg: 90, glazing: 'solid' })
  await done(db, 'keep-room', room(house.visitId, house.hallId, 'Hall', { northDeg: 33 }))
  const hall = (await listRooms(db, house.visitId)).find(({ id }) => id === house.hallId)!
  expect(hall.windows.map(({ bearingDeg }) => bearingDeg)).toEqual([200, 213])
  // A door lets no light in: it is no window of the room, and stands in its wall all the same.
  expect(hall.doors).toEqual([
    {
      id: idOf(3),
      bearingDeg: 123,
      widthMm: 900,
      heightMm: hall.doors[0]!.heightMm,
      alongPercent: null,
    },
  ])
})

test('a room that is not set up yet becomes like another; one that has a window of its own does not', async () => {
  const house = await aHouse(db)
  const { visitId, kitchenId, hallId } = house
  await done(db, 'keep-room', room(visitId, kitchenId, 'Kitchen', { northDeg: 20, heightMm: 3100 }))
  await done(db, 'make-alike', { visitId, roomId: hallId, likeRoomId: kitchenId })
  const [kitchen, hall] = await listRooms(db, visitId)
  expect(hall).toMatchObject({ name: 'Hall', northDeg: 20, heightMm: 3100 })
  const without = (fittings: readonly { readonly id: string }[]) =>
    fittings.map((fitting) => ({ ...fitting, id: '' }))
  expect(without(hall!.windows)).toEqual(without(kitchen!.windows))
  expect(without(hall!.lamps)).toEqual(without(kitchen!.lamps))
  expect(hall!.windows[0]!.id).not.toBe(kitchen!.windows[0]!.id)
  const again = command(1, 'make-alike', { visitId, roomId: hallId, likeRoomId: kitchenId })
  expect(await said(db, again)).toMatch(/windows or lamps of its own/)
})

test('the order of a day plan is kept, and let go', async () => {
  const { visitId, kitchenId, hallId } = await aHouse(db)
  await done(db, 'order-plan', { visitId, roomIds: [hallId, kitchenId] })
  expect((await findVisit(db, visitId))!.planOrder).toEqual([hallId, kitchenId])
  await done(db, 'order-plan', { visitId, roomIds: [] })
  expect((await findVisit(db, visitId))!.planOrder).toEqual([])
})

test('settings are one row, kept in the record; what is no name, unit or school is refused and changes nothing', async () => {
  expect(await findSettings(db)).toBeNull()
  const settings = {
    who: 'Ines Tarrow',
    lengths: 'feet',
    volumes: 'us-gallons',
    words: 'british',
    houseRules: { ...DEFAULT_HOUSE_RULES, 'north-room': 'lean-in' } as never,
    firstSpeaks: 'model',
  } as const
  await done(db, 'keep-settings', { ...settings, who: ' Ines Tarrow ' })
  await done(db, 'keep-settings', settings)
  expect(await findSettings(db)).toEqual({ ...settings, paintWays: null, dailyBackup: false })
  for (const [n, change] of [
    { who: ' ' },
    { lengths: 'cubits' },
    { words: 'dutch' },
    { houseRules: {} },
  ].entries())
    expect(
      await said(db, {
        ...command(n + 1, 'keep-settings', settings),
        payload: { ...settings, ...change },
      }),
    ).toMatch(/who: Expected your name|lengths: |words: |houseRules/)
  expect(await findSettings(db)).toEqual({ ...settings, paintWays: null, dailyBackup: false })
})

test('what does not fit its room is refused at the field', async () => {
  const { visitId, kitchenId, windowId } = await aHouse(db)
  const wide = { ...window(visitId, kitchenId, windowId), widthMm: 3200 }
  expect(await said(db, command(1, 'keep-window', wide))).toBe(
    'widthMm: Expected at most 3 m, the width of the south wall, got 3.2 m.',
  )
  const high = { ...window(visitId, kitchenId, windowId), heightMm: 2000, sillMm: 900 }
  expect(await said(db, command(2, 'keep-window', high))).toMatch(
    /^heightMm: .*at most 2.5 m.*got 2.9 m/,
  )
  const narrow = room(visitId, kitchenId, 'Kitchen', { eastWestMm: 1000 })
  expect(await said(db, command(3, 'keep-room', narrow))).toMatch(
    /What stands at 180° is 1.2 m wide/,
  )
})

test('a look may say a lean and give no verdict; one that says neither is refused', async () => {
  const house = await aHouse(db)
  const seen = (lookId: string, change: Partial<PayloadOf<'keep-look'>>) =>
    look(house, lookId, {
      against: { kind: 'comparator', name: 'true grey' },
      verdict: null,
      reasons: [],
      lean: 'pink',
      ...change,
    })
  await done(db, 'keep-look', seen(idOf(1), {}))
  expect(await listLooks(db, house.visitId)).toMatchObject([{ verdict: null, lean: 'pink' }])
  for (const nothing of [{ lean: null, client: null }, { reasons: ['too-pink' as const] }])
    expect(await said(db, command(2, 'keep-look', seen(idOf(2), nothing)))).toMatch(
      /Expected a verdict, a lean that was seen, the best of several, or what the client said/,
    )
  expect(await listLooks(db, house.visitId)).toHaveLength(1)
  // What a client was shown and said stands by itself.
  const answered = { lean: null, client: { says: 'no' as const, words: '' } }
  await done(db, 'keep-look', seen(idOf(4), answered))
})

test('why is said of a look after its verdict, is taken back by itself, and goes with the look', async () => {
  const house = await aHouse(db)
  const lookId = idOf(1)
  await done(db, 'keep-look', look(house, lookId, { reasons: [], note: '', client: null }))
  const [kept] = await listLooks(db, house.visitId)
  const says = {
    ...{ visitId: house.visitId, lookId, keptBy: kept!.commandId! },
    ...{ reasons: ['too-green' as const], lean: null, note: 'Mustard.' },
    client: { says: 'lit up' as const, words: '' },
  }
  const sent = command(900, 'say-why', says)
  expect(await said(db, sent)).toBe('kept')
  const now = async () => (await listLooks(db, house.visitId))[0]!
  expect(await now()).toMatchObject({ verdict: 'no', reasons: ['too-green'], note: 'Mustard.' })
  // Another visit’s look is not this one’s to speak of.
  const other = await aHouse(db, 2)
  expect(await said(db, command(901, 'say-why', { ...says, visitId: other.visitId }))).toMatch(
    /not in this visit/,
  )
  const undoing = (n: number, commandId: string) =>
    said(db, command(n, 'undo', { visitId: house.visitId, commandId }))
  expect(await undoing(902, sent.id)).toBe('kept')
  expect(await now()).toMatchObject({ reasons: [], note: '', client: null })
  await done(db, 'say-why', says)
  // The look goes with what was said of it, and comes back with it.
  expect(await undoing(903, kept!.commandId!)).toBe('kept')
  expect(await now()).toMatchObject({ retracted: true, reasons: ['too-green'] })
  expect(await said(db, command(904, 'say-why', says))).toMatch(/taken back/)
  expect(await undoing(905, idOf(903))).toBe('kept')
  expect(await now()).toMatchObject({ retracted: false, reasons: ['too-green'] })
})

test('what arrives is held against what stays: two finishes of the house, and not one', async () => {
  const house = await aHouse(db)
  const other = await aHouse(db, 2)
  await done(
    db,
    'keep-keeper',
    keeper(house.visitId, house.kitchenId, idOf(80), 'Sofa', { state: 'arriving' }),
  )
  const held: PayloadOf<'keep-finish-look'> = {
    visitId: house.visitId,
    lookId: idOf(81),
    roomId: house.kitchenId,
    arrivingId: idOf(80),
    besideId: house.stoneId,
    seenAs: 'sample',
    light: { ...look(house, idOf(82)).light },
    verdict: 'no',
    model: { version: '11', judgement: 'likely-not', chance: 0.2, sentence: 'Clashes.' },
  }
  await done(db, 'keep-finish-look', held)
  expect(await listFinishLooks(db, house.visitId)).toMatchObject([
    { arrivingId: idOf(80), besideId: house.stoneId, verdict: 'no', by: 'Ines Tarrow' },
  ])
  for (const [n, [change, words]] of (
    [
      [{ besideId: idOf(80) }, /Expected two finishes, got one/],
      [{ besideId: other.stoneId }, /not of this house/],
      [{ roomId: other.kitchenId }, /not of this house/],
      [{ verdict: 'works-lighter' as 'works' }, /verdict/],
    ] as const
  ).entries())
    expect(
      await said(
        db,
        command(n + 1, 'keep-finish-look', { ...held, lookId: idOf(83 + n), ...change }),
      ),
    ).toMatch(words)
  expect(await listFinishLooks(db, house.visitId)).toHaveLength(1)
})

test('a sweep says what stayed past a finish of this house, is told in the history, and goes with its finish', async () => {
  const house = await aHouse(db)
  const other = await aHouse(db, 2)
  const swept: PayloadOf<'keep-sweep'> = {
    visitId: house.visitId,
    sweepId: idOf(81),
    roomId: house.kitchenId,
    keeperId: house.stoneId,
    seenAs: 'sample',
    light: { ...look(house, idOf(82)).light },
    stayed: [house.candidateId],
  }
  const { id } = await done(db, 'keep-sweep', swept)
  expect(await listSweeps(db, house.visitId)).toMatchObject([
    { keeperId: house.stoneId, stayed: [house.candidateId], by: 'Ines Tarrow' },
  ])
  const told = await listCommands(db, house.visitId)
  expect(told.find((each) => each.id === id)?.sentence).toBe(
    'Swept past Stone in Kitchen: 1 candidate left in',
  )
  for (const [n, change] of [
    { keeperId: other.stoneId },
    { roomId: other.kitchenId },
    { stayed: ['none'] },
  ].entries())
    expect(
      await said(db, command(n + 1, 'keep-sweep', { ...swept, sweepId: idOf(83 + n), ...change })),
    ).toMatch(/not of this house|stayed/)
  await done(db, 'remove-keeper', {
    visitId: house.visitId,
    keeperId: house.stoneId,
    removed: true,
  })
  expect(await listSweeps(db, house.visitId)).toEqual([])
})

test('what is in progress stands first, finished last, what was taken out nowhere; found by household or place', async () => {
  const seen = await aHouse(db)
  await done(db, 'keep-look', look(seen, idOf(1)))
  const visits = [
    ['Done', '2026-01-05'],
    ['Coming', '2027-01-05'],
    ['Gone', '2027-01-06'],
  ] as const
  for (const [n, [household, visitDate]] of visits.entries())
    await done(db, 'keep-brief', brief(idOf(20 + n), { household, visitDate }))
  await done(db, 'finish-visit', { visitId: idOf(20), finished: true })
  await done(db, 'remove-visit', { visitId: idOf(22), removed: true })
  expect(
    (await listVisits(db)).map(({ household, stage, looks }) => [household, stage, looks]),
  ).toEqual([
    ['The Ashbys', 'in-progress', 1],
    ['Coming', 'planned', 0],
    ['Done', 'finished', 0],
  ])
  expect((await listVisits(db, 'ash')).map(({ household }) => household)).toEqual(['The Ashbys'])
  expect(await listVisits(db, '100%_')).toEqual([])
})

test('what was dropped, taken out or taken back counts nowhere in the list', async () => {
  const house = await aHouse(db)
  await done(db, 'keep-look', look(house, idOf(1)))
  const counted = async (): Promise<unknown> => {
    const [visit] = await listVisits(db)
    return [visit!.rooms, visit!.candidates, visit!.looks]
  }
  expect(await counted()).toEqual([2, 1, 1])
  await done(db, 'drop-candidate', { visitId: house.visitId, candidateId: house.candidateId })
  expect(await counted()).toEqual([2, 0, 0])
  await done(db, 'remove-room', { visitId: house.visitId, roomId: house.hallId, removed: true })
  expect(await counted()).toEqual([1, 0, 0])
})

test('visits come a page at a time, each once', async () => {
  const many = VISITS_A_PAGE + 3
  for (let n = 0; n < many; n++)
    await done(db, 'keep-brief', brief(idOf(n), { household: `House ${n}` }))
  const pages = [await listVisits(db, '', 0), await listVisits(db, '', 1)]
  expect(pages.map(({ length }) => length)).toEqual([VISITS_A_PAGE, 3])
  expect(new Set(pages.flat().map(({ id }) => id)).size).toBe(many)
  expect(pages[0]![0]!.total).toBe(many)
})

test('a photo is kept once by its bytes, as a file and a row; a hash of none, and one whose file is gone, find none', async () => {
  const dataDir = mkdtempSync(join(tmpdir(), 'elm-photos-'))
  const jpeg = new Uint8Array([1, 2, 3, 4])
  // SHA-256 of 01 02 03 04, by sha256sum.
  const hash = '9f64a747e1b97f131fabb6b447296c9b6f0201e79fb3c5356e6c77e89b6a806a'
  expect(await storePhoto(dataDir, jpeg)).toBe(hash)
  expect(await storePhoto(dataDir, jpeg)).toBe(hash)
  expect(readdirSync(join(dataDir, 'photos', hash.slice(0, 2)))).toEqual([`${hash}.jpg`])
  expect(await findPhoto(db, dataDir, hash)).toBeNull()
  await done(db, 'keep-photo', { hash, widthPx: 2, heightPx: 2, byteLength: 4 })
  expect(new Uint8Array((await findPhoto(db, dataDir, hash))!)).toEqual(jpeg)
  expect(await findPhoto(db, dataDir, '../../etc/passwd')).toBeNull()
  rmSync(dataDir, { recursive: true })
  expect(await findPhoto(db, dataDir, hash)).toBeNull()
})

test('what stays is taken out where it is listed, and put back; a look beside it stays on record', async () => {
  const house = await aHouse(db)
  const { visitId, stoneId: keeperId } = house
  await done(db, 'keep-look', look(house, idOf(1)))
  await done(db, 'remove-keeper', { visitId, keeperId, removed: true })
  expect(await listKeepers(db, visitId)).toEqual([])
  expect(await listLooks(db, visitId)).toHaveLength(1)
  await done(db, 'remove-keeper', { visitId, keeperId, removed: false })
  expect((await listKeepers(db, visitId)).map(({ id }) => id)).toEqual([keeperId])
  const other = await aHouse(db, 2)
  expect(
    await said(
      db,
      command(9, 'remove-keeper', { visitId: other.visitId, keeperId, removed: true }),
    ),
  ).toBe('That keeper is not in this visit.')
})
