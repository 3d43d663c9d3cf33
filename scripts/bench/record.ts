import { mkdirSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { keepChange } from '../../src/commands/keep-change'
import { apply } from '../../src/commands/apply'
import { command, idOf, look, NOW } from '../../src/commands/house.fixture'
import { seededRandom } from '../../src/core/seeded-random'
import { listAllCandidates } from '../../src/db/candidates'
import { lastSeq, listCommands, namesInVisit } from '../../src/db/commands'
import type { Db } from '../../src/db/db'
import { listDeckColours, listDecks } from '../../src/db/decks'
import { listEyeLooks } from '../../src/db/eye-looks'
import { listKeepers, listLatestKeepers } from '../../src/db/keepers'
import { listLooks } from '../../src/db/looks'
import { listMeterReadings } from '../../src/db/meter-readings'
import { listLearners } from '../../src/db/practice'
import { listRooms } from '../../src/db/rooms'
import { migrate } from '../../src/db/migrate'
import { dbOver, openPglite } from '../../src/db/pglite'
import { openPostgres } from '../../src/db/postgres'
import { databaseDir } from '../../src/store/boot-note'
import { openStore, type Store } from '../../src/store/store'
import { startPostgres } from '../lib/postgres.mjs'
import { fill, LOOKS, ROOMS, VISITS } from './full-record'
import { tablesReadWhole } from './plans'
import { findVisit, listVisits } from '../../src/db/visits'

// What the record costs with many visits in it: each page's time in the store, a verdict, the start. Invented data.

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
  'eye and model': (db) => listEyeLooks(db),
  practice: async (db) => {
    await listLearners(db)
    await listLatestKeepers(db, 80)
    await listEyeLooks(db, 300)
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
    const whole = await tablesReadWhole(db, (over) => page(over, visits[0]!.id))
    console.log(
      `  ${name}: ${counter.statements / ASKED} statements, ${at(times, 0.5).toFixed(1)} ms median, ` +
        `${at(times, 0.95).toFixed(1)} ms at the 95th percentile; large tables read whole: ${whole.join(', ') || 'none'}`,
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

const RECORD = ['visit', 'look', 'event', 'command'] as const
const VISITS_A_WEEK = 10
const A_GIGABYTE = 1e9

/** What a look takes with all that is kept of it, and how long a store has room. */
async function printRoom(db: Db): Promise<void> {
  const [row] = (await db.query(
    `select ${RECORD.map((table) => `pg_total_relation_size('${table}')`).join(' + ')} as bytes,
       (select count(*) from look) as looks`,
  )) as { bytes: number; looks: number }[]
  const aLook = Number(row!.bytes) / Number(row!.looks)
  const years = A_GIGABYTE / (aLook * LOOKS * VISITS_A_WEEK * 52)
  console.log(
    `  a look with its change and events: ${Math.round(aLook)} bytes; a gigabyte at ${VISITS_A_WEEK} visits of ${LOOKS} looks a week lasts ${years.toFixed(1)} years`,
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

/** Where a store is: a directory, and a database on a server or in it. */
interface Place {
  readonly dir: string
  readonly url: string | null
}

function storeAt({ dir, url }: Place): Promise<Store> {
  process.env.DATABASE_URL = url ?? ''
  return openStore(dir)
}

async function start(place: Place): Promise<number> {
  let store: Store | null = null
  const ms = await timed(async () => {
    store = await storeAt(place)
    await listVisits((store as Store).db)
  })
  await (store as Store | null)?.close()
  return ms
}

/** The database of a store that was not opened yet. */
async function databaseAt({ dir, url }: Place) {
  const { db, close } = url ? openPostgres(url) : await embeddedAt(dir)
  await migrate(db)
  return { db, close }
}

async function embeddedAt(dir: string) {
  mkdirSync(dir, { recursive: true })
  const database = await openPglite(databaseDir(dir))
  return { db: dbOver(database), close: () => database.close() }
}

async function print(empty: Place, full: Place): Promise<void> {
  const filling = await timed(async () => {
    const { db, close } = await databaseAt(full)
    await fill(db)
    await close()
  })
  console.log(
    `The record of ${VISITS} visits, ${VISITS * ROOMS} rooms, ${VISITS * LOOKS} looks on ${full.url ? 'a PostgreSQL server' : 'the embedded engine'}, filled in ${(filling / 1000).toFixed(0)} s (before: ${BEFORE.list})`,
  )
  // The first time its journal begins.
  for (const place of [empty, full]) await start(place)
  console.log(
    `  start and first list: ${((await start(full)) / 1000).toFixed(2)} s, of an empty store ${((await start(empty)) / 1000).toFixed(2)} s`,
  )
  const store = await storeAt(full)
  await printPages(store)
  await printVerdict(store)
  await printRoom(store.db)
  console.log(`  memory of the process: ${Math.round(process.memoryUsage().rss / 1e6)} MB`)
  await store.close()
}

const scratch = mkdtempSync(join(tmpdir(), 'elm-record-'))
const [emptyDir, fullDir] = [join(scratch, 'empty'), join(scratch, 'full')]
const postgres = process.argv[2] === 'server' ? startPostgres() : null
try {
  await print(
    { dir: emptyDir, url: postgres?.urlOf('postgres') ?? null },
    { dir: fullDir, url: postgres?.urlOf('template1') ?? null },
  )
} finally {
  postgres?.stop()
  rmSync(scratch, { recursive: true, force: true })
}
