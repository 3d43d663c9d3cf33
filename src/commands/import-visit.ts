import { z } from 'zod'
import { CODEC_VERSION, putRow, rowNow, type JsonRow } from '../db/codec'
import { sqlState, type Db } from '../db/db'
import { makeDeckReady } from '../db/decks'
import { beginReplay, columnsOf, VISIT_TABLES, type VisitTable } from '../db/visit-rows'
import { kind, Refusal } from './kind'
import { id } from './values'

const Row = z.record(z.string().regex(/^[a-z_0-9]{1,60}$/), z.unknown())

/** A visit is read from its file: whole where it is not here, else what the file has and this store lacks, if that was asked for. */
export const importVisit = kind({
  payload: z.object({
    visitId: id,
    household: z.string().min(1).max(200),
    /** The codec that wrote the rows. */
    rows: z.int().min(1),
    tables: z.record(z.string(), z.array(Row)),
    /** Decks that came with it and wait to be opened. */
    decks: z.array(id).max(20),
    merge: z.boolean(),
  }),
  visitOf: ({ visitId }) => visitId,
  begins: true,
  async write(tx, { visitId, household, rows, tables, decks, merge }) {
    if (rows > CODEC_VERSION)
      throw new Refusal(
        `The file was written by a newer Elm Swatch (rows ${rows}, this one knows ${CODEC_VERSION}). Nothing was taken in.`,
      )
    const of = (name: VisitTable): readonly JsonRow[] => tables[name] ?? []
    await checkRows(tx, visitId, tables)
    const isHere = (await rowNow(tx, 'visit', of('visit')[0]!)) !== null
    if (isHere && !merge)
      throw new Refusal(
        `The visit of ${household} is here already. Nothing was taken in; what the file has and this store lacks can be added.`,
      )
    await beginReplay(tx)
    const counts = { added: 0, differ: 0 }
    // A room names the keeper that leads, which comes after it.
    const leads: JsonRow[] = []
    for (const name of VISIT_TABLES)
      for (const row of of(name)) {
        const now = isHere || name === 'photo' ? await rowNow(tx, name, row) : null
        if (now) {
          if (!now.isEqual && name !== 'photo') counts.differ += 1
          continue
        }
        const isLed = name === 'room' && row.lead_keeper_id != null
        if (isLed) leads.push(row)
        await put(tx, name, isLed ? { ...row, lead_keeper_id: null } : row)
        counts.added += 1
      }
    for (const row of leads) await put(tx, 'room', row)
    for (const deckId of decks) await makeDeckReady(tx, deckId)
    return isHere
      ? `${counts.added} rows were added; ${counts.differ} that differ stay as they are here.`
      : `${counts.added} rows were read.`
  },
  sentence: ({ household, merge }) =>
    merge
      ? `What a file of ${household} had was added`
      : `The visit of ${household} was read from its file`,
})

/** Writes a row; what no row of that table may be is refused in words. */
async function put(tx: Db, name: VisitTable, row: JsonRow): Promise<void> {
  try {
    await putRow(tx, name, row)
  } catch (error) {
    const state = sqlState(error)
    // 22: a value that is none; 23: one that the record does not allow.
    if (!state?.startsWith('22') && !state?.startsWith('23')) throw error
    const { constraint, column } = error as { constraint?: string; column?: string }
    throw new Refusal(
      `${name}: a row of the file is none (${constraint ?? column ?? 'a value of it'}). Nothing was taken in.`,
    )
  }
}

const IDS_IN: readonly (readonly [column: string, table: VisitTable])[] = [
  ['room_id', 'room'],
  ['seen_room_id', 'room'],
  ['keeper_id', 'keeper'],
  ['lead_keeper_id', 'keeper'],
  ['arriving_id', 'keeper'],
  ['beside_id', 'keeper'],
  ['candidate_id', 'candidate'],
  ['beside_candidate_id', 'candidate'],
]

/** Refuses a file whose rows are no rows of this one visit. */
async function checkRows(
  tx: Db,
  visitId: string,
  tables: Readonly<Record<string, readonly JsonRow[]>>,
): Promise<void> {
  const unknown = Object.keys(tables).find(
    (name) => !(VISIT_TABLES as readonly string[]).includes(name),
  )
  if (unknown !== undefined)
    throw new Refusal(`Expected the tables of a visit, got “${unknown.slice(0, 60)}”.`)
  if (tables.visit?.length !== 1 || tables.visit[0]!.id !== visitId)
    throw new Refusal(`Expected one visit, got ${tables.visit?.length ?? 0}.`)
  const idsOf = (name: string) => new Set((tables[name] ?? []).map((row) => row.id))
  const ids = Object.fromEntries(['room', 'keeper', 'candidate'].map((name) => [name, idsOf(name)]))
  for (const name of VISIT_TABLES) {
    const columns = await columnsOf(tx, name)
    for (const [at, row] of (tables[name] ?? []).entries()) {
      const where = `${name}, row ${at + 1}`
      const strange = Object.keys(row).find((column) => !columns.has(column))
      if (strange !== undefined) throw new Refusal(`${where}: there is no column “${strange}”.`)
      if ('visit_id' in row && row.visit_id !== visitId)
        throw new Refusal(`${where}: it is of another visit.`)
      for (const [column, table] of IDS_IN)
        if (row[column] != null && !ids[table]!.has(row[column]))
          throw new Refusal(`${where}: its ${column} is not in the file.`)
    }
  }
}
