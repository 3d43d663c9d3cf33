import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { keepChange } from '../../src/commands/keep-change'
import { apply } from '../../src/commands/apply'
import { aHouse, command, idOf, look, NOW } from '../../src/commands/house.fixture'
import { seededRandom } from '../../src/core/seeded-random'
import { listAllCandidates } from '../../src/db/candidates'
import { lastSeq, listCommands, namesInVisit } from '../../src/db/commands'
import type { Db } from '../../src/db/db'
import { listDeckColours, listDecks } from '../../src/db/decks'
import { listKeepers } from '../../src/db/keepers'
import { listLooks } from '../../src/db/looks'
import { listMeterReadings } from '../../src/db/meter-readings'
import { listRooms } from '../../src/db/rooms'
import { openStore, type Store } from '../../src/store/store'
import { findVisit, listVisits } from '../../src/db/visits'

// What the record costs with many visits in it: each page's time in the store, a verdict, the start. Invented data.

const VISITS = 3000
const ASKED = 60
const VERDICTS = 60

// The version before, whose record was kept by server actions: the list as it was found when the change was asked for, the
// verdict measured on this kind of machine.
const BEFORE = {
  list: 'the list of visits 3.6 s with 500, 99 s with 3,000; the start 8 s with 500',
  verdict: '20 statements with the page rendered anew, 27 requests, 38 kB back, 245 to 980 ms',
}

interface Counted {
  readonly db: Db
  statements: number
}

/** The same store, counting what it is asked; a transaction's beginning and end count too. */
function counted(db: Db): Counted {
  const counting = (over: Omit<Db, 'transaction'>): Omit<Db, 'transaction'> => ({
    isOneSession: over.isOneSession,
    query: (sql, parameters) => {
      counter.statements++
      return over.query(sql, parameters)
    },
    exec: (sql) => {
      counter.statements++
      return over.exec(sql)
    },
  })
  const counter: Counted = {
    statements: 0,
    db: {
      ...counting(db),
      transaction: (work) => {
        counter.statements += 2
        return db.transaction((tx) => work({ ...counting(tx), transaction: tx.transaction }))
      },
    },
  }
  return counter
}

const at = (times: readonly number[], share: number): number =>
  times.toSorted((p, q) => p - q)[Math.min(times.length - 1, Math.floor(times.length * share))]!

async function timed(work: () => Promise<unknown>): Promise<number> {
  const start = performance.now()
  await work()
  return performance.now() - start
}

/** A visit copied many times over, with its rooms, keepers, candidates, proposals and looks. */
async function fill(db: Db): Promise<void> {
  const { visitId, colourIds, ...house } = await aHouse(db)
  for (let n = 0; n < 15; n++)
    await apply(
      db,
      command(n + 1, 'keep-look', look({ visitId, colourIds, ...house }, idOf(100 + n))),
      NOW,
    )
  await db.transaction(async (tx) => {
    const id = '00000000-0000-4000-8000-00000000be9c'
    await tx.query(
      `insert into command (id, seq, kind, payload, payload_hash, actor, device, made_at, received_at, answer)
       values ($1, nextval('command_seq'), 'bench', '{}', '', 'bench', 'bench', now(), now(), '{"ok": true}')`,
      [id],
    )
    await tx.query(
      `select set_config('elm.command', $1, true), set_config('elm.replaying', 'on', true)`,
      [id],
    )
    for (const [table, ids] of [
      ['visit', ['id']],
      ['room', ['id', 'visit_id']],
      ['room_window', ['id', 'room_id']],
      ['lamp', ['id', 'room_id']],
      ['keeper', ['id', 'room_id']],
      ['keeper_colour', ['keeper_id']],
      ['keeper_room', ['keeper_id', 'room_id']],
      ['candidate', ['id', 'visit_id']],
      ['proposal', ['id', 'room_id', 'candidate_id']],
      ['look', ['id', 'visit_id', 'room_id', 'candidate_id', 'keeper_id']],
    ] as const) {
      // The n-th copy of a row has the n-th copies of the ids in it.
      const copied = ids.map(
        (column) =>
          `'${column}', overlay(overlay(md5(n || (t.${column})::text) placing '8' from 13) placing '8' from 17)::uuid`,
      )
      const whole =
        table === 'visit' ? `, 'household', 'House ' || n, 'visit_date', date '2019-01-01' + n` : ''
      await tx.query(
        `insert into ${table} select copy.* from ${table} t, generate_series(1, ${VISITS}) as n,
           lateral jsonb_populate_record(null::${table}, to_jsonb(t) || jsonb_build_object(${copied.join(', ')}${whole})) as copy`,
      )
    }
    // A look is found by the event that brought it.
    await tx.query(
      `insert into event (what, subject, subject_id, after, visit_id) select 'insert', 'look', id, '{}', visit_id from look`,
    )
  })
  await db.exec('analyze')
}

const PAGES: Readonly<Record<string, (db: Db, visitId: string) => Promise<unknown>>> = {
  'the list of visits': (db) => listVisits(db),
  'a search in it': (db) => listVisits(db, 'house 27'),
  'its last page': (db) => listVisits(db, '', 99),
  'the bench (as light, keepers, trial, grid and sheet)': async (db, visitId) => {
    await findVisit(db, visitId)
    await listRooms(db, visitId)
    await listKeepers(db, visitId)
    await listMeterReadings(db, visitId)
    await listAllCandidates(db, visitId)
    await listLooks(db, visitId)
    await listDecks(db)
    await lastSeq(db, visitId)
  },
  'the shortlist’s own part': async (db) => {
    const [deck] = await listDecks(db)
    await listDeckColours(db, deck!.id)
  },
  'the history': async (db, visitId) => {
    await listCommands(db, visitId)
    await namesInVisit(db, visitId)
  },
}

async function printPages({ db }: Store): Promise<void> {
  const visits = await listVisits(db)
  const random = seededRandom(3)
  for (const [name, page] of Object.entries(PAGES)) {
    const counter = counted(db)
    const times: number[] = []
    for (let n = 0; n < ASKED; n++) {
      const visit = visits[Math.floor(random() * visits.length)]!
      times.push(await timed(() => page(counter.db, visit.id)))
    }
    console.log(
      `  ${name}: ${counter.statements / ASKED} statements, ${at(times, 0.5).toFixed(1)} ms median, ` +
        `${at(times, 0.95).toFixed(1)} ms at the 95th percentile`,
    )
  }
}

const AT_ONCE = 20

async function printVerdict(store: Store): Promise<void> {
  const { db } = store
  const counter = counted(db)
  const house = await houseOf(db)
  const times: number[] = []
  let bytes = 0
  for (let n = 0; n < VERDICTS; n++) {
    const sent = command(900_000 + n, 'keep-look', look(house, idOf(800_000 + n)))
    times.push(
      await timed(async () => {
        bytes = JSON.stringify(await apply(counter.db, sent, NOW)).length
      }),
    )
  }
  console.log(
    `  a verdict: 1 request, ${counter.statements / VERDICTS} statements with begin and commit, ${bytes} bytes back, ` +
      `${at(times, 0.5).toFixed(1)} ms median, ${at(times, 0.95).toFixed(1)} ms at the 95th percentile (before: ${BEFORE.verdict})`,
  )
  // The same, safe from a power cut before it is answered: one at a time, and a burst that shares its writes.
  await store.settle()
  const keep = (n: number) =>
    keepChange(store, command(n, 'keep-look', look(house, idOf(n - 50_000))), NOW)
  const safe: number[] = []
  for (let n = 0; n < VERDICTS; n++) safe.push(await timed(() => keep(1_000_000 + n)))
  const bursts: number[] = []
  for (let first = 1_010_000; first < 1_010_000 + VERDICTS; first += AT_ONCE)
    bursts.push(
      (await timed(() => Promise.all(Array.from({ length: AT_ONCE }, (_, n) => keep(first + n))))) /
        AT_ONCE,
    )
  console.log(
    `  a verdict in the journal: ${(at(safe, 0.5) / at(times, 0.5)).toFixed(2)} times as long (${at(safe, 0.5).toFixed(1)} ms median), ` +
      `${AT_ONCE} at once ${(at(bursts, 0.5) / at(times, 0.5)).toFixed(2)} times each`,
  )
}

/** The ids of the house that all others are copies of. */
async function houseOf(db: Db) {
  const n = 1000
  const deckColours = await listDeckColours(db, idOf(n + 6))
  return {
    ...{
      visitId: idOf(n),
      kitchenId: idOf(n + 1),
      stoneId: idOf(n + 5),
      candidateId: idOf(n + 10),
    },
    colourIds: deckColours.map(({ deckColourId }) => deckColourId),
  }
}

const scratch = mkdtempSync(join(tmpdir(), 'elm-record-'))
try {
  const [emptyDir, fullDir] = [join(scratch, 'empty'), join(scratch, 'full')]
  await (await openStore(emptyDir)).close()
  const filled = await openStore(fullDir)
  await fill(filled.db)
  await filled.close()
  const start = async (dir: string): Promise<number> => {
    let store: Store | null = null
    const ms = await timed(async () => {
      store = await openStore(dir)
      await listVisits((store as Store).db)
    })
    await (store as Store | null)?.close()
    return ms
  }
  const [empty, full] = [await start(emptyDir), await start(fullDir)]
  console.log(`The record with ${VISITS} visits (before: ${BEFORE.list})`)
  console.log(
    `  start and first list: ${(full / 1000).toFixed(1)} s, of an empty store ${(empty / 1000).toFixed(1)} s`,
  )
  const store = await openStore(fullDir)
  await printPages(store)
  await printVerdict(store)
  await store.close()
} finally {
  rmSync(scratch, { recursive: true, force: true })
}
