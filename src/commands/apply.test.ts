import { listAllCandidates } from '../db/candidates'
import { listCommands, namesInVisit } from '../db/commands'
import { sqlState } from '../db/db'
import { listDecks } from '../db/decks'
import { listLooks } from '../db/looks'
import { FIRST_OWN_WORDS } from '../db/settings'
import { listVisits } from '../db/visits'
import { testDb } from '../db/test-db.fixture'
import { apply } from './apply'
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
  NOW,
  room,
  said,
  taking,
  wholeRecord,
} from './house.fixture'
import type { PayloadOf } from './kinds'
import { historyOf, sentenceOf, tell } from './sentence'

const db = testDb()
afterEach(() => empty(db))

const count = async (table: string): Promise<number> =>
  ((await db.query(`select count(*)::int as n from ${table}`))[0] as { n: number }).n

test('a look comes back whole, as the hand that gave it knew it', async () => {
  const house = await aHouse(db)
  const sent = look(house, idOf(1))
  await done(db, 'keep-look', sent)
  const [kept] = await listLooks(db, house.visitId)
  const { candidate, lookId, ...same } = sent
  expect(kept).toEqual({
    ...same,
    visitId: undefined,
    photoHash: null,
    id: lookId,
    commandId: expect.any(String),
    candidate: { candidateId: candidate.candidateId, strengthPercent: 75, sheen: 'matt' },
    by: 'Ines Tarrow',
    madeAt: expect.stringContaining('2026-06-21 10:00:00'),
    retracted: false,
  })
})

test('whatever it was held against comes back: a wall, a trim, another candidate, a comparator, any paint, a keeper as a whole', async () => {
  const house = await aHouse(db)
  const kinds = [
    { kind: 'wall', plane: 'north' },
    { kind: 'trim', trim: 'clean-white' },
    { kind: 'candidate', candidateId: house.candidateId },
    { kind: 'comparator', name: 'true grey' },
    { kind: 'paint', deckColourId: house.colourIds[1]! },
    { kind: 'keeper', keeperId: house.stoneId, part: null },
  ] as const
  for (const [n, against] of kinds.entries())
    await done(
      db,
      'keep-look',
      look(house, idOf(n + 1), {
        against,
        seen: { as: 'screen' },
        model: null,
        client: null,
        lean: null,
      }),
    )
  const kept = await listLooks(db, house.visitId)
  expect(kept.map(({ against }) => against)).toEqual(kinds)
  expect(kept[0]).toMatchObject({ seen: { as: 'screen' }, model: null, client: null, lean: null })
})

test('an answer that was lost on its way: sent again, it is the same change and the same answer', async () => {
  const house = await aHouse(db)
  const sent = command(7, 'keep-look', look(house, idOf(1)))
  const first = await apply(db, sent, NOW)
  expect(first).toMatchObject({ ok: true, seq: expect.any(Number) })
  expect(await apply(db, sent, '2026-06-21T10:09:00.000Z')).toEqual(first)
  expect(await listLooks(db, house.visitId)).toHaveLength(1)
  expect(await count("event where subject = 'look'")).toBe(1)
})

test('one id with another payload is refused in words, and nothing is kept of it', async () => {
  const house = await aHouse(db)
  const sent = command(7, 'keep-look', look(house, idOf(1)))
  await apply(db, sent, NOW)
  const other = command(7, 'keep-look', look(house, idOf(1), { verdict: 'works' }))
  expect(await said(db, other)).toMatch(/stands for another change already/)
  expect((await listLooks(db, house.visitId)).map(({ verdict }) => verdict)).toEqual(['no'])
  // The order in which a payload's keys are written does not make it another.
  const turned = { ...sent, payload: Object.fromEntries(Object.entries(sent.payload).reverse()) }
  expect(await said(db, turned)).toBe('kept')
})

test('a change that has waited since why was kept in words is kept by keys, once, and is told as any', async () => {
  const house = await aHouse(db)
  const given = look(house, idOf(1))
  const waited = command(8, 'keep-look', {
    ...given,
    reasons: ['too green', 'can’t judge from here'],
    model: { ...given.model, judgement: 'no likely' },
  } as unknown as typeof given)
  const kept = await apply(db, waited, NOW)
  expect(kept).toMatchObject({ ok: true })
  expect(await apply(db, waited, NOW)).toEqual(kept)
  expect(await listLooks(db, house.visitId)).toMatchObject([
    { reasons: ['too-green', 'not-from-here'], model: { judgement: 'likely-not' } },
  ])
  const why = command(9, 'say-why', {
    ...{ visitId: house.visitId, lookId: idOf(1), keptBy: waited.id, lean: null, note: '' },
    ...{ client: null, reasons: ['near miss'] },
  } as unknown as PayloadOf<'say-why'>)
  expect(await apply(db, why, NOW)).toMatchObject({ ok: true })
  expect((await listLooks(db, house.visitId))[0]!.reasons).toEqual(['near-miss'])
  const told = sentenceOf(why, { get: () => 'it' }, FIRST_OWN_WORDS)
  expect(told).toBe('Said of “it”: near miss')
})

test('what is refused leaves nothing behind, and its id may be tried again', async () => {
  const house = await aHouse(db)
  const before = await wholeRecord(db)
  const commands = await count('command')
  const twin = command(9, 'keep-room', room(house.visitId, idOf(2), 'Kitchen'))
  expect(await said(db, twin)).toBe('name: This visit has a room “Kitchen” already.')
  expect(await wholeRecord(db)).toEqual(before)
  expect(await count('command')).toBe(commands)
  expect(await said(db, command(9, 'keep-room', room(house.visitId, idOf(2), 'Pantry')))).toBe(
    'kept',
  )
})

const visitOf = 'visitId'
test.each<[string, unknown, RegExp]>([
  ['no command at all', 42, /expected/i],
  ['one without an id', { kind: 'undo' }, /id/],
  [
    'one of a newer kind',
    { ...command(1, 'undo', {} as never), kind: 'weigh-anchor' },
    /“weigh-anchor”.*newer Elm Swatch/,
  ],
  [
    'a payload with a field missing',
    command(1, 'finish-visit', { [visitOf]: idOf(1) } as never),
    /finished/,
  ],
  [
    'a latitude of 95',
    command(1, 'keep-brief', brief(idOf(1), { latitudeDeg: 95 })),
    /latitudeDeg/,
  ],
  [
    'a date that does not exist',
    command(1, 'keep-brief', brief(idOf(1), { visitDate: '2026-02-30' })),
    /Expected a date that exists/,
  ],
  [
    'an hour that the clocks skip',
    command(1, 'keep-brief', brief(idOf(1), { visitDate: '2026-03-29', fromMinute: 90 })),
    /01:30: the clocks jump over it/,
  ],
  [
    'a name with a NUL in it',
    command(1, 'keep-brief', brief(idOf(1), { household: 'The\0Ashbys' })),
    /NUL/,
  ],
  [
    'half a surrogate pair',
    command(1, 'keep-brief', brief(idOf(1), { household: 'The \ud800' })),
    /NUL/,
  ],
  [
    'a visit that is not there',
    command(1, 'keep-room', room(idOf(77), idOf(2), 'Hall')),
    /no such visit/,
  ],
  ['nobody in particular', command(1, 'keep-brief', brief(idOf(1)), { actor: ' ' }), /actor/],
  [
    'a date that is no instant',
    command(1, 'keep-brief', brief(idOf(1)), { madeAt: 'yesterday' }),
    /madeAt/,
  ],
])('%s is refused in words', async (_, sent, words) => {
  expect(await said(db, sent)).toMatch(words)
  expect(await count('visit')).toBe(0)
  expect(await count('command where seq > 2')).toBe(0)
})

test('a definition of a visit that was taken out is refused; a look lands and says so', async () => {
  const house = await aHouse(db)
  await done(db, 'drop-candidate', { visitId: house.visitId, candidateId: house.candidateId })
  await done(db, 'remove-room', { visitId: house.visitId, roomId: house.kitchenId, removed: true })
  await done(db, 'remove-visit', { visitId: house.visitId, removed: true })
  expect(await listVisits(db)).toEqual([])
  expect(await said(db, command(1, 'keep-room', room(house.visitId, idOf(2), 'Loft')))).toBe(
    'This visit was removed; bring it back first.',
  )
  expect(await said(db, command(2, 'keep-look', look(house, idOf(3))))).toBe(
    'kept: Removed meanwhile: the visit, the room, the candidate.',
  )
  await done(db, 'remove-visit', { visitId: house.visitId, removed: false })
  expect(await listLooks(db, house.visitId)).toHaveLength(1)
})

test('a look at what was never there is refused: another visit’s keeper, an unknown colour', async () => {
  const [here, elsewhere] = [await aHouse(db, 1), await aHouse(db, 2)]
  const strayKeeper = look(here, idOf(1), {
    against: { kind: 'keeper', keeperId: elsewhere.stoneId, part: null },
  })
  expect(await said(db, command(1, 'keep-look', strayKeeper))).toMatch(/not there/)
  const strayRoom = look(here, idOf(1), { roomId: elsewhere.kitchenId })
  expect(await said(db, command(2, 'keep-look', strayRoom))).toMatch(/not of this room/)
  expect(await listLooks(db, here.visitId)).toEqual([])
})

test('two devices that took the same colour up under two ids look at one candidate', async () => {
  const house = await aHouse(db)
  const again = taking(house.visitId, house.hallId, house.colourIds[0]!, 500)
  expect(await said(db, command(1, 'take-up', again))).toBe('kept')
  const [only, ...others] = await listAllCandidates(db, house.visitId)
  expect(others).toEqual([])
  expect(only!.proposals.map(({ roomId }) => roomId)).toEqual([house.kitchenId, house.hallId])
  const theirs = look(house, idOf(1))
  await done(db, 'keep-look', {
    ...theirs,
    candidate: { ...theirs.candidate, candidateId: again.candidateId },
  })
  expect((await listLooks(db, house.visitId))[0]!.candidate.candidateId).toBe(house.candidateId)
})

test('two tabs ruling one pair: both verdicts are kept, in the order they came', async () => {
  const house = await aHouse(db)
  await Promise.all([
    apply(db, command(1, 'keep-look', look(house, idOf(1))), NOW),
    apply(
      db,
      command(2, 'keep-look', look(house, idOf(2), { verdict: 'works', reasons: [] })),
      NOW,
    ),
    apply(db, command(1, 'keep-look', look(house, idOf(1))), NOW),
  ])
  const kept = await listLooks(db, house.visitId)
  expect(kept.map(({ id }) => id).sort()).toEqual([idOf(1), idOf(2)])
})

test('a clock that is two years wrong keeps nobody from looking, and is noted beside the server’s', async () => {
  const house = await aHouse(db)
  const sent = command(1, 'keep-look', look(house, idOf(1)), { madeAt: '2024-06-21T10:00:00.000Z' })
  expect(await said(db, sent)).toBe(
    'kept: The clock of this device says 2024-06-21, the server’s 2026-06-21: both are noted.',
  )
  const ahead = {
    ...sent,
    id: idOf(2),
    madeAt: '2028-06-21T10:00:00.000Z',
    payload: look(house, idOf(2)),
  }
  expect(await said(db, ahead)).toMatch(/says 2028-06-21/)
  // A tablet that was in a cellar for a day is not wrong.
  const late = {
    ...sent,
    id: idOf(3),
    madeAt: '2026-06-20T10:00:00.000Z',
    payload: look(house, idOf(3)),
  }
  expect(await said(db, late)).toBe('kept')
})

test('the database itself refuses every other write', async () => {
  const house = await aHouse(db)
  await done(db, 'keep-look', look(house, idOf(1)))
  const before = await wholeRecord(db)
  for (const [sql, state] of [
    [
      "insert into room (id, visit_id, name, north_south_mm, east_west_mm, height_mm) select gen_random_uuid(), id, 'Loft', 4000, 4000, 2500 from visit",
      '23502',
    ],
    ["update look set verdict = 'works'", '23502'],
    ['update candidate set strength_percent = 50', '23502'],
    ['delete from keeper_colour', '23502'],
    ["update deck set name = 'Other'", '23502'],
    ['delete from look', 'P0001'],
    ['delete from visit', 'P0001'],
    ['delete from room', 'P0001'],
    ['delete from command', 'P0001'],
    ['delete from event', 'P0001'],
    ["update event set subject = 'lamp'", 'P0001'],
    ['delete from deck', 'P0001'],
    [
      "insert into deck_colour (id, deck_id, code, name, strip, strip_position, base, reading_kind, hex) select gen_random_uuid(), id, 'Z', 'Z', 'Z', 0, 'mid', 'srgb', '#000000' from deck",
      'P0001',
    ],
  ] as const) {
    const error: unknown = await db.query(sql).catch((e: unknown) => e)
    expect([sql, sqlState(error)]).toEqual([sql, state])
  }
  expect(await wholeRecord(db)).toEqual(before)
})

test('every event names its change, its visit, and through the change who made it', async () => {
  const house = await aHouse(db)
  await done(db, 'keep-look', look(house, idOf(1)))
  const strays = await db.query(
    `select e.subject from event e left join command c on c.id = e.command_id
     where c.actor is null or c.seq is null or (e.visit_id is null and e.subject <> 'deck')`,
  )
  expect(strays).toEqual([])
})

test('a copy of a room: a name that is taken, its own id, a room of another visit', async () => {
  const [house, other] = [await aHouse(db, 1), await aHouse(db, 2)]
  const copy = { visitId: house.visitId, roomId: house.kitchenId, copyId: idOf(5), name: 'Hall' }
  expect(await said(db, command(1, 'copy-room', copy))).toBe(
    'name: This visit has a room “Hall” already.',
  )
  const own = { ...copy, copyId: house.kitchenId, name: 'Twin' }
  expect(await said(db, command(2, 'copy-room', own))).toMatch(/id of its own/)
  expect(await said(db, command(3, 'copy-room', { ...own, copyId: house.hallId }))).toMatch(
    /another room/,
  )
  const stray = { ...copy, roomId: other.kitchenId, name: 'Twin' }
  expect(await said(db, command(4, 'copy-room', stray))).toMatch(/not in this visit/)
  expect(await said(db, command(5, 'copy-room', { ...copy, name: 'Twin' }))).toBe('kept')
  const [kitchen, , twin] = (await liveView(db, house.visitId)).rooms
  expect(twin).toMatchObject({
    name: 'Twin',
    windows: [{ bearingDeg: 180 }],
    lamps: [{ cctK: kitchen!.lamps[0]!.cctK }],
  })
})

test('a keeper left out of a room keeps the looks that were taken there', async () => {
  const house = await aHouse(db)
  const stone = keeper(house.visitId, house.kitchenId, house.stoneId, 'Stone', {
    roomIds: [house.hallId],
  })
  await done(db, 'keep-keeper', stone)
  await done(db, 'keep-look', look(house, idOf(1), { roomId: house.hallId }))
  await done(db, 'keep-keeper', { ...stone, roomIds: [] })
  expect((await liveView(db, house.visitId)).keepers[0]!.roomIds).toEqual([house.kitchenId])
  expect((await liveView(db, house.visitId)).looks).toHaveLength(1)
})

test('a deck is nobody’s until a change makes it ready, and takes no second one of its name', async () => {
  const house = await aHouse(db)
  expect((await listDecks(db)).map(({ colours }) => colours)).toEqual([2])
  const missing = { deckId: idOf(99), maker: 'Maker 1', name: 'Fan', colours: 2 }
  expect(await said(db, command(1, 'open-deck', missing))).toMatch(/some are missing/)
  expect(
    await said(db, command(2, 'take-up', taking(house.visitId, house.kitchenId, idOf(98), 600))),
  ).toMatch(/not there/)
})

test('the history tells each change in a sentence, also what was removed since', async () => {
  const house = await aHouse(db)
  await done(db, 'keep-look', look(house, idOf(1)))
  const { id } = await done(db, 'drop-candidate', {
    visitId: house.visitId,
    candidateId: house.candidateId,
  })
  await done(db, 'undo', { visitId: house.visitId, commandId: id })
  await done(db, 'rule-out', {
    visitId: house.visitId,
    candidateId: house.candidateId,
    reason: 'Mustard everywhere.',
  })
  const history = historyOf(
    await listCommands(db, house.visitId),
    await namesInVisit(db, house.visitId),
    FIRST_OWN_WORDS,
  )
  expect(history.map(({ sentence }) => sentence)).toEqual([
    'Oneling at 75 % ruled out for the house: Mustard everywhere.',
    'Undone: Oneling at 75 % dropped',
    'Oneling at 75 % dropped',
    'Oneling at 75 % beside Stone, vein in Kitchen: no: too green, muddied, leans yellow-green',
    'Oneling at 75 % proposed for Kitchen, walls',
    'Stone in Kitchen: stone, staying',
    expect.stringMatching(/^Lamp in Kitchen: \d+ K, \d+ lumens$/),
    'Window in Kitchen: faces south, 1.2 m × 1.2 m',
    'Room: Hall',
    'Room: Kitchen',
    'Brief: The Ashbys, Somewhere, 2026-06-21',
  ])
  expect(history.every(({ actor }) => actor === 'Ines Tarrow')).toBe(true)
})

test('a change is told when it is made and read without its payload; one from before that is told from it', async () => {
  const house = await aHouse(db)
  const { id } = await done(db, 'keep-look', look(house, idOf(1)))
  await done(db, 'undo', { visitId: house.visitId, commandId: id })
  const told = async () => {
    const commands = await listCommands(db, house.visitId)
    const history = historyOf(commands, await namesInVisit(db, house.visitId), FIRST_OWN_WORDS)
    return {
      payloads: commands.map(({ payload }) => payload),
      said: history.map((each) => each.sentence),
    }
  }
  const now = await told()
  expect(new Set(now.payloads)).toEqual(new Set([null]))
  expect(now.said[0]).toBe(`Undone: ${now.said[1]}`)
  await db.query(`update command set sentence = null`)
  const before = await told()
  expect(before.payloads).not.toContain(null)
  expect(before.said).toEqual(now.said)
  const commands = await listCommands(db, house.visitId)
  const stone = commands.find(({ kind }) => kind === 'keep-keeper')!
  expect(await tell(db, stone)).toBe('Stone in Kitchen: stone, staying')
})
