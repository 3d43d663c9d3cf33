// What others wait while somebody takes a visit's file or a backup: a page's questions to the store, one after another, alone and
// meanwhile, in one process as in the server. A deck of 20,000 spectra, a record of 40,000 rows and more. Invented data.
import { rmSync, mkdirSync, mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout } from 'node:timers/promises'
import { aHouse, done, idOf } from '../../src/commands/house.fixture'
import { seededRandom } from '../../src/core/seeded-random'
import { CODEC_VERSION } from '../../src/db/codec'
import { layDeckIn, type NewDeckColour } from '../../src/db/decks'
import { listLooks } from '../../src/db/looks'
import { migrate } from '../../src/db/migrate'
import { dbOver, openPglite } from '../../src/db/pglite'
import { decksOfVisitAsText, visitRowsAsText } from '../../src/db/visit-rows'
import { listVisits } from '../../src/db/visits'
import { VISIT_FILE_VERSION } from '../../src/formats/visit-file'
import { writeBackup } from '../../src/store/backup'
import { databaseDir } from '../../src/store/boot-note'
import { visitFileOf } from '../../src/workers/visit-file-client'

process.env.ELM_VISITS ??= '100'
const { fill } = await import('./full-record')
const COLOURS = Number(process.env.ELM_COLOURS ?? 20_000)
const PAUSE_MS = 10
const ALONE = 150

const dir = mkdtempSync(join(tmpdir(), 'elm-waits-'))
mkdirSync(join(dir, 'photos'), { recursive: true })
const database = await openPglite(databaseDir(dir))
const db = dbOver(database)
try {
  await migrate(db)
  await fill(db)
  const house = await aHouse(db, 7000)
  const random = seededRandom(4)
  const wavelengthsNm = Array.from({ length: 36 }, (_, n) => 380 + 10 * n)
  const colours = Array.from({ length: COLOURS }, (_, n): NewDeckColour => ({
    ...{ code: `W${n}`, name: `Waitly ${n}`, strip: `S${n % 900}`, base: 'white' },
    reading: {
      kind: 'spectral',
      ...{ wavelengthsNm, reflectance: wavelengthsNm.map(() => 0.1 + 0.8 * random()) },
    },
  }))
  const deckId = idOf(7_999_999)
  await layDeckIn(db, deckId, { maker: 'Waits', name: 'Long', whiteBase: [96, 0, 1] }, colours)
  await done(db, 'open-deck', { deckId, maker: 'Waits', name: 'Long', colours: COLOURS })
  const [first] = (await db.query(
    `select id from deck_colour where deck_id = '${deckId}' order by code limit 1`,
  )) as { id: string }[]
  await done(db, 'take-up', {
    ...{ visitId: house.visitId, roomId: house.kitchenId, deckColourId: first!.id },
    ...{ candidateId: idOf(7_999_998), proposalId: idOf(7_999_997) },
    ...{ strengthPercent: 100, surface: 'walls', sheen: 'matt' },
  })

  const page = async (): Promise<number> => {
    const start = performance.now()
    await listVisits(db)
    await listLooks(db, house.visitId)
    return performance.now() - start
  }
  /** Pages asked one after another until something is done. */
  async function meanwhile(work: () => Promise<unknown>): Promise<{ times: number[]; ms: number }> {
    const times: number[] = []
    const start = performance.now()
    let isDone = false
    const working = work().finally(() => (isDone = true))
    while (!isDone) {
      times.push(await page())
      await setTimeout(PAUSE_MS)
    }
    await working
    return { times, ms: performance.now() - start }
  }
  const p95 = (times: readonly number[]): number =>
    times.toSorted((p, q) => p - q)[Math.floor(0.95 * times.length)]!
  const alone: number[] = []
  for (let n = 0; n < ALONE; n++) {
    alone.push(await page())
    await setTimeout(PAUSE_MS)
  }
  const rows = (await db.query('select count(*)::int as n from event')) as { n: number }[]
  console.log(
    `Nobody waits for a file: a deck of ${COLOURS} spectra, ${rows[0]!.n} events; a page's questions alone ${p95(alone).toFixed(1)} ms at the 95th percentile`,
  )
  const head: Parameters<typeof visitFileOf>[0]['head'] = {
    ...{ format: 'elm-swatch-visit', version: VISIT_FILE_VERSION, rows: CODEC_VERSION },
    ...{ household: 'Waits', exportedAt: new Date(0).toISOString() },
  }
  const works: Readonly<Record<string, () => Promise<unknown>>> = {
    'a visit’s file': async () => {
      const tables = await visitRowsAsText(db, house.visitId)
      const decks = await decksOfVisitAsText(db, house.visitId)
      return visitFileOf({ head, tables, decks, photos: new Map() })
    },
    'a backup': () => writeBackup(db, dir, join(dir, 'backup.zip'), '2026-12-01T10:00:00Z'),
  }
  for (const [name, work] of Object.entries(works)) {
    await work()
    const { times, ms } = await meanwhile(work)
    console.log(
      `  while ${name} is made (${(ms / 1000).toFixed(1)} s, ${times.length} pages): ${p95(times).toFixed(1)} ms, ${(p95(times) / p95(alone)).toFixed(2)} times as long`,
    )
  }
} finally {
  await database.close()
  rmSync(dir, { recursive: true, force: true })
}
process.exit(0)
