import { z } from 'zod'
import { CODEC_VERSION, keyOf, insertRow, rowNow, type JsonRow } from '../db/codec'
import { many, sqlState, type Db } from '../db/db'
import { makeDeckReady } from '../db/decks'
import { VISIT_ROW_SHAPES } from '../db/row-shapes'
import { beginReplay, endReplay, VISIT_TABLES, visitRows, type VisitTable } from '../db/visit-rows'
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
  // Its rows stand in its events, from which journal and backup lay them in.
  keeps: (payload) => ({ ...payload, tables: {} }),
  begins: true,
  async write(tx, { visitId, household, rows, tables, decks, merge }) {
    if (rows > CODEC_VERSION)
      throw new Refusal(
        `The file was written by a newer Elm Swatch (rows ${rows}, this one knows ${CODEC_VERSION}). Nothing was imported.`,
      )
    // Those of an older program were brought up to date before: `store/old-visit.ts`.
    if (rows < CODEC_VERSION)
      throw new Refusal(`Expected rows of version ${CODEC_VERSION}, got ${rows}.`)
    const file = readRows(visitId, tables)
    const isHere = (await rowNow(tx, 'visit', file.visit[0]!)) !== null
    if (isHere && !merge)
      throw new Refusal(
        `The visit of ${household} is here already. Nothing was imported; what the file has and this store lacks can be added.`,
      )
    const { fresh, differ } = await whatIsNew(tx, visitId, file)
    await checkDeckColours(tx, fresh)
    await beginReplay(tx)
    // A room names the keeper that leads, which comes after it.
    const leads: JsonRow[] = []
    for (const [name, row] of fresh) {
      const isLed = name === 'room' && row.lead_keeper_id != null
      if (isLed) leads.push(row)
      await put(tx, name, isLed ? { ...row, lead_keeper_id: null } : row)
    }
    await endReplay(tx)
    for (const { id: roomId, lead_keeper_id } of leads)
      await tx.query('update room set lead_keeper_id = $2 where id = $1', [roomId, lead_keeper_id])
    for (const deckId of decks) await makeDeckReady(tx, deckId)
    return isHere
      ? `${fresh.length} rows were added; ${differ} that differ stay as they are here.`
      : `${fresh.length} rows were read.`
  },
  sentence: ({ household, merge }) =>
    merge
      ? `What a file of ${household} had was added`
      : `The visit of ${household} was read from its file`,
})

type FileRows = Readonly<Record<VisitTable, readonly JsonRow[]>>

const NOTHING = 'Nothing was imported.'

/** Writes a row that is not there yet; what no row of that table may be is refused in words. */
async function put(tx: Db, name: VisitTable, row: JsonRow): Promise<void> {
  try {
    await insertRow(tx, name, row)
  } catch (error) {
    const state = sqlState(error)
    // 22: a value that is none; 23: one that the record does not allow.
    if (!state?.startsWith('22') && !state?.startsWith('23')) throw error
    const { constraint, column } = error as { constraint?: string; column?: string }
    throw new Refusal(
      `${name}: a row of the file is none (${constraint ?? column ?? 'a value of it'}). ${NOTHING}`,
    )
  }
}

/** What a column of a visit's rows names: something of the same file. */
const NAMES: readonly (readonly [column: string, tables: readonly VisitTable[]])[] = [
  ['room_id', ['room']],
  ['seen_room_id', ['room']],
  ['plan_order', ['room']],
  ['keeper_id', ['keeper']],
  ['lead_keeper_id', ['keeper']],
  ['arriving_id', ['keeper']],
  ['beside_id', ['keeper']],
  ['candidate_id', ['candidate']],
  ['beside_candidate_id', ['candidate']],
  ['best_of', ['candidate']],
  ['thing_id', ['keeper', 'lamp']],
  ['photo_hash', ['photo']],
  ['patch_hash', ['photo']],
]

/** The rows of a file, each looked at before anything is written: of this one visit, and none of them twice. */
function readRows(visitId: string, tables: Readonly<Record<string, readonly JsonRow[]>>): FileRows {
  const unknown = Object.keys(tables).find(
    (name) => !(VISIT_TABLES as readonly string[]).includes(name),
  )
  if (unknown !== undefined)
    throw new Refusal(`Expected the tables of a visit, got “${unknown.slice(0, 60)}”.`)
  if (tables.visit?.length !== 1 || tables.visit[0]!.id !== visitId)
    throw new Refusal(`Expected one visit, got ${tables.visit?.length ?? 0}.`)
  const file = Object.fromEntries(
    VISIT_TABLES.map((name) => [
      name,
      (tables[name] ?? []).map((row, at) => shaped(name, row, at)),
    ]),
  ) as unknown as FileRows
  const coloured = new Set(file.keeper_colour.map(({ keeper_id }) => keeper_id))
  const named = Object.fromEntries(
    VISIT_TABLES.map((name) => [name, new Set(file[name].map((row) => row.id ?? row.hash))]),
  )
  for (const name of VISIT_TABLES) {
    const keys = new Set<string>()
    for (const [at, row] of file[name].entries()) {
      const where = `${name}, row ${at + 1}`
      const key = keyTextOf(name, row)
      if (keys.has(key)) throw new Refusal(`${where}: it is in the file twice. ${NOTHING}`)
      keys.add(key)
      if ('visit_id' in row && row.visit_id !== visitId)
        throw new Refusal(`${where}: it is of another visit. ${NOTHING}`)
      for (const [column, of] of NAMES)
        for (const one of [row[column] ?? []].flat())
          if (!of.some((table) => named[table]!.has(one)))
            throw new Refusal(`${where}: its ${column} is not in the file. ${NOTHING}`)
      if (name === 'keeper' && !coloured.has(row.id))
        throw new Refusal(`${where}: it has no colour in the file. ${NOTHING}`)
      if (name === 'scheme' && !partsOf(row).every((one) => named.candidate!.has(one)))
        throw new Refusal(`${where}: a candidate of its parts is not in the file. ${NOTHING}`)
    }
  }
  return file
}

const partsOf = ({ parts }: JsonRow): readonly string[] =>
  (parts as readonly { readonly candidateId: string }[]).map(({ candidateId }) => candidateId)

/** A row as its table may have it. */
function shaped(name: VisitTable, row: JsonRow, at: number): JsonRow {
  const read = VISIT_ROW_SHAPES[name].safeParse(row)
  if (read.success) return read.data as JsonRow
  const [issue] = read.error.issues
  const what = issue!.code === 'unrecognized_keys' ? issue!.keys.join(', ') : ''
  throw new Refusal(
    `${name}, row ${at + 1}${[issue!.path.join('.')].filter(Boolean).map((path) => `, ${path}`)}: ` +
      `${what ? `there is no column “${what.slice(0, 60)}”` : issue!.message}. ${NOTHING}`,
  )
}

const keyTextOf = (name: VisitTable, row: JsonRow): string => JSON.stringify(keyOf(name, row))

/**
 * The rows of a file that this store does not have, in an order in which they can be written. What it has must be of this very
 * visit: it stays as it is here.
 */
async function whatIsNew(tx: Db, visitId: string, file: FileRows) {
  const here = await visitRows(tx, visitId)
  const fresh: (readonly [VisitTable, JsonRow])[] = []
  let differ = 0
  for (const name of VISIT_TABLES) {
    const own = new Set(here[name].map((row) => keyTextOf(name, row)))
    for (const [at, row] of file[name].entries()) {
      const now = await rowNow(tx, name, row)
      if (!now) fresh.push([name, row])
      // A photo is what its bytes are, whoever has it; the file has the bytes.
      else if (name === 'photo') continue
      else if (!own.has(keyTextOf(name, row)))
        throw new Refusal(
          `${name}, row ${at + 1}: its id stands for something of another visit here. ${NOTHING}`,
        )
      else if (!now.isEqual) differ += 1
    }
  }
  return { fresh, differ }
}

/** Refuses rows that name a colour of no deck. */
async function checkDeckColours(
  tx: Db,
  rows: readonly (readonly [VisitTable, JsonRow])[],
): Promise<void> {
  const named = new Set(
    rows.flatMap(([name, row]) =>
      [row.deck_colour_id, row.beside_deck_colour_id, name === 'scheme' ? row.accents : null]
        .flat()
        .filter((one): one is string => one != null),
    ),
  )
  const found = await many(
    tx,
    z.object({ id: z.uuid() }),
    'select id from deck_colour where id = any($1::uuid[])',
    [[...named]],
  )
  if (found.length < named.size)
    throw new Refusal(`A colour of a deck that its rows name is not in the file. ${NOTHING}`)
}
