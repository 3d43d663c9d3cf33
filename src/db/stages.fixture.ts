import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { gunzipSync } from 'node:zlib'
import { layingRowsIn, putRows, STORED_TABLES, takeAllRowsAway } from './all-rows'
import type { JsonRow } from './codec'
import type { Db } from './db'
import { migrate } from './migrate'

// Stores of the demo, each made by the program as it was when the schema was at that migration (`npm run keep-stage`).
const DIR = join(process.cwd(), 'tests/stages')

/** The migrations that there is a store of. */
export const STAGES: readonly number[] = readdirSync(DIR)
  .filter((file) => file.endsWith('.ndjson.gz'))
  .map((file) => Number(file.slice(0, 4)))

/** The rows of a stage's store, by table. */
export function rowsOfStage(stage: number): ReadonlyMap<string, readonly JsonRow[]> {
  const file = join(DIR, `${String(stage).padStart(4, '0')}.ndjson.gz`)
  const rows = new Map<string, JsonRow[]>()
  for (const line of gunzipSync(readFileSync(file)).toString().trim().split('\n')) {
    const { table, row } = JSON.parse(line) as { readonly table: string; readonly row: JsonRow }
    if (!rows.has(table)) rows.set(table, [])
    rows.get(table)!.push(row)
  }
  return rows
}

/** Lays a stage's store into an empty database, as its program left it: at its migration, nothing after. */
export async function layStageIn(db: Db, stage: number): Promise<void> {
  await migrate(db, undefined, stage)
  const rows = rowsOfStage(stage)
  await db.transaction((tx) =>
    layingRowsIn(tx, async () => {
      await takeAllRowsAway(tx)
      for (const table of STORED_TABLES)
        if (rows.has(table)) await putRows(tx, { table, rows: rows.get(table)! })
    }),
  )
}
