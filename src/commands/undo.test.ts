import { DEFAULT_HOUSE_RULES } from '../core/advice/house-rules'
import { latestOfDevice, listCommands } from '../db/commands'
import { findSettings } from '../db/settings'
import { RECORD_TABLES, type TableName } from '../db/codec'
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
  lamp,
  liveView,
  look,
  NOW,
  room,
  said,
  taking,
  window,
  wholeRecord,
  type House,
} from './house.fixture'
import type { Command, KindName, PayloadOf } from './kinds'

const db = testDb()
afterEach(() => empty(db))

const some = <K extends KindName>(kind: K, payload: PayloadOf<K>) => ({ kind, payload })

const SOFA = idOf(80)

/** One change of each kind that a house takes. */
const CHANGES: readonly ((house: House) => { kind: KindName; payload: unknown })[] = [
  (h) =>
    some(
      'keep-brief',
      brief(h.visitId, {
        household: 'The Elms',
        houseRules: { ...brief(h.visitId).houseRules, trim: 'same' } as never,
      }),
    ),
  (h) => some('finish-visit', { visitId: h.visitId, finished: true }),
  (h) => some('remove-visit', { visitId: h.visitId, removed: true }),
  (h) =>
    some(
      'keep-room',
      room(h.visitId, h.hallId, 'Long hall', { eastWestMm: 1500, seenFrom: [h.kitchenId] }),
    ),
  (h) => some('keep-room', room(h.visitId, idOf(50), 'Loft')),
  (h) =>
    some('copy-room', { visitId: h.visitId, roomId: h.kitchenId, copyId: idOf(51), name: 'Twin' }),
  (h) => some('order-rooms', { visitId: h.visitId, roomIds: [h.hallId, h.kitchenId] }),
  (h) => some('remove-room', { visitId: h.visitId, roomId: h.kitchenId, removed: true }),
  (h) => some('keep-window', { ...window(h.visitId, h.kitchenId, h.windowId), widthMm: 900 }),
  (h) => some('keep-window', window(h.visitId, h.kitchenId, idOf(52))),
  (h) => some('keep-lamp', lamp(h.visitId, h.kitchenId, idOf(53))),
  (h) => some('remove-fitting', { visitId: h.visitId, fittingId: h.lampId, what: 'lamp' }),
  (h) =>
    some('keep-keeper', keeper(h.visitId, h.kitchenId, idOf(54), 'Tile', { roomIds: [h.hallId] })),
  (h) =>
    some(
      'keep-keeper',
      keeper(h.visitId, h.kitchenId, h.stoneId, 'Grey stone', {
        colours: [
          {
            part: 'all',
            sharePercent: 100,
            deckColourId: h.colourIds[1]!,
            shift: [{ towards: 'lighter', size: 'a little' }],
          },
        ],
      }),
    ),
  (h) => some('choose-lead', { visitId: h.visitId, roomId: h.kitchenId, keeperId: h.stoneId }),
  (h) => some('take-up', taking(h.visitId, h.hallId, h.colourIds[1]!, 55, 100)),
  (h) =>
    some('propose', {
      ...{
        visitId: h.visitId,
        proposalId: idOf(57),
        candidateId: h.candidateId,
        roomId: h.kitchenId,
      },
      ...{
        surface: 'walls',
        sheen: 'eggshell',
        status: 'ruled out',
        reason: 'too-green',
        withdrawn: false,
        replaces: null,
      },
    }),
  (h) => some('rule-out', { visitId: h.visitId, candidateId: h.candidateId, reason: 'too-green' }),
  (h) =>
    some('rule-out-lean', {
      ...{ visitId: h.visitId, roomId: h.kitchenId, lean: 'pink', strong: false, out: true },
    }),
  (h) => some('drop-candidate', { visitId: h.visitId, candidateId: h.candidateId }),
  (h) =>
    some('rule', {
      ...{ visitId: h.visitId, roomId: h.kitchenId, candidateId: h.candidateId },
      ...{ rulingId: idOf(60), surface: 'walls', sheen: 'satin', compromise: '', gaps: [] },
    }),
  (h) => some('keep-look', look(h, idOf(58))),
  (h) =>
    some('keep-finish-look', {
      ...{ visitId: h.visitId, roomId: h.kitchenId, lookId: idOf(62), seenAs: 'sample' },
      ...{ arrivingId: SOFA, besideId: h.stoneId, verdict: 'works', model: null },
      light: { ...look(h, idOf(61)).light },
    }),
  (h) =>
    some('keep-sweep', {
      ...{ visitId: h.visitId, roomId: h.kitchenId, sweepId: idOf(64), seenAs: 'sample' },
      ...{ keeperId: h.stoneId, stayed: [h.candidateId] },
      light: { ...look(h, idOf(61)).light },
    }),
  (h) =>
    some('keep-reading', {
      ...{
        visitId: h.visitId,
        readingId: idOf(59),
        roomId: h.kitchenId,
        date: '2026-12-21',
        minute: 700,
      },
      sky: 'clear',
      lampsOn: false,
      spot: 'walls',
      lux: 180,
      cctK: 5200,
      device: 'typed',
    }),
]

test('undo of each kind gives the view before, undo of that the view after, and nothing is ever gone', async () => {
  const house = await aHouse(db)
  await done(
    db,
    'keep-keeper',
    keeper(house.visitId, house.kitchenId, SOFA, 'Sofa', { state: 'arriving' }),
  )
  const before = await liveView(db, house.visitId)
  const takenBack = async (id: number, target: number): Promise<unknown> => {
    const undoing = { visitId: house.visitId, commandId: idOf(target) }
    expect(await said(db, command(id, 'undo', undoing))).toBe('kept')
    return liveView(db, house.visitId)
  }
  for (const [i, change] of CHANGES.entries()) {
    const { kind, payload } = change(house)
    const n = 1000 + 10 * i
    expect([kind, await said(db, command(n, kind, payload as never))]).toEqual([kind, 'kept'])
    const after = await liveView(db, house.visitId)
    expect([kind, after]).not.toEqual([kind, before])
    const rows = await rowCounts()
    expect([kind, await takenBack(n + 1, n)]).toEqual([kind, before])
    expect(await rowCounts()).toEqual(rows)
    expect([kind, await takenBack(n + 2, n + 1)]).toEqual([kind, after])
    expect([kind, await takenBack(n + 3, n)]).toEqual([kind, before])
  }
})

/** How many rows there are of all that goes out of sight and stays. */
async function rowCounts(): Promise<unknown> {
  const record = await wholeRecord(db)
  return Object.entries(RECORD_TABLES).flatMap(([name, table]) =>
    'mark' in table ? [[name, record[name as TableName].length]] : [],
  )
}

test('what something later stands on is not taken back, in words that name it', async () => {
  const house = await aHouse(db)
  const commands = await listCommands(db, house.visitId)
  const of = (kind: KindName, n = 0): string => commands.filter((each) => each.kind === kind)[n]!.id
  const undoing = (commandId: string, n: number): Command =>
    command(n, 'undo', { visitId: house.visitId, commandId })
  // The kitchen was entered before the hall.
  expect(await said(db, undoing(of('keep-room', 1), 1))).toBe(
    'It cannot be taken back while this stands: Oneling at 75 % proposed for Kitchen, walls.',
  )
  await done(db, 'keep-look', look(house, idOf(5)))
  expect(await said(db, undoing(of('take-up'), 2))).toBe(
    'It cannot be taken back while this stands: Oneling at 75 % beside Stone, vein in Kitchen: no: too green, muddied, leans yellow-green.',
  )
  await done(db, 'keep-room', room(house.visitId, house.hallId, 'Long hall'))
  expect(await said(db, undoing(of('keep-room', 0), 3))).toBe(
    'It cannot be taken back while this stands: Room: Long hall.',
  )
})

test('taken back from the top down, each change lets go of the one before', async () => {
  const house = await aHouse(db)
  await done(db, 'keep-look', look(house, idOf(5)))
  const commands = await listCommands(db, house.visitId)
  for (const [n, { id, kind }] of commands.entries())
    expect([
      kind,
      await said(db, command(n + 1, 'undo', { visitId: house.visitId, commandId: id })),
    ]).toEqual([kind, 'kept'])
  expect(await liveView(db, house.visitId)).toEqual({
    visit: null,
    boards: [],
    roomPaint: [],
    schemes: [],
    placings: [],
    whatIfs: [],
    rooms: [],
    keepers: [],
    candidates: [],
    looks: [],
    rulings: [],
    finishLooks: [],
    sweeps: [],
    readings: [],
  })
})

test('once is enough: taken back twice, another visit’s, or what does not exist is refused', async () => {
  const [house, other] = [await aHouse(db, 1), await aHouse(db, 2)]
  const { id } = await done(db, 'keep-look', look(house, idOf(5)))
  const undoing = (n: number, visitId: string, commandId: string): Command =>
    command(n, 'undo', { visitId, commandId })
  expect(await said(db, undoing(1, other.visitId, id))).toMatch(/no such change in this visit/)
  expect(await said(db, undoing(2, house.visitId, idOf(4711)))).toMatch(/no such change/)
  expect(await said(db, undoing(3, house.visitId, id))).toBe('kept')
  expect(await said(db, undoing(3, house.visitId, id))).toBe('kept')
  expect(await said(db, undoing(4, house.visitId, id))).toBe('It was taken back already.')
})

test('two taking back the same thing at once: one is kept, the other told', async () => {
  const house = await aHouse(db)
  const { id } = await done(db, 'keep-look', look(house, idOf(5)))
  const answers = await Promise.all(
    [1, 2].map((n) =>
      apply(db, command(n, 'undo', { visitId: house.visitId, commandId: id }), NOW),
    ),
  )
  expect(answers.map(({ ok }) => ok).sort()).toEqual([false, true])
})

test('settings are taken back too, the latest of the device; a photo or a deck is none of them', async () => {
  const house = await aHouse(db)
  const settings = {
    who: 'Mira Holl',
    lengths: 'feet' as const,
    volumes: 'litres' as const,
    houseRules: DEFAULT_HOUSE_RULES as never,
  }
  await done(db, 'keep-settings', settings)
  const { id, device } = await done(db, 'keep-settings', { ...settings, lengths: 'metric' })
  await done(db, 'keep-photo', {
    hash: 'ab'.repeat(32),
    widthPx: 600,
    heightPx: 400,
    byteLength: 9_000,
  })
  expect((await latestOfDevice(db, null, device))?.id).toBe(id)
  expect(await said(db, command(1, 'undo', { visitId: house.visitId, commandId: id }))).toMatch(
    /no such change in this visit/,
  )
  expect(await said(db, command(2, 'undo', { visitId: null, commandId: id }))).toBe('kept')
  expect((await findSettings(db))?.lengths).toBe('feet')
})
