import { putRows, tablePagesOf, type TablePage } from '../db/all-rows'
import { FOREIGN_KEY_VIOLATION, sqlState } from '../db/db'
import type { JsonRow } from '../db/codec'
import { refusedInWords } from '../db/refused-words'
import { decksOfVisit, visitRows, type DeckRowsOf } from '../db/visit-rows'
import { broughtUpToDate } from './scratch'

/** What a visit's file holds, but its photos. */
export interface VisitInFile {
  readonly visitId: string
  /** The migration that its rows were written after. */
  readonly rows: number
  readonly tables: Readonly<Record<string, readonly JsonRow[]>>
  readonly decks: readonly DeckRowsOf[]
}

export type VisitUpToDate =
  | { readonly ok: true; readonly visit: Omit<VisitInFile, 'rows'> }
  | { readonly ok: false; readonly message: string }

/** A visit from a file of an earlier version, with rows as this one writes them; in words why not. */
export async function visitUpToDate({
  visitId,
  rows,
  tables,
  decks,
}: VisitInFile): Promise<VisitUpToDate> {
  const pages: TablePage[] = [
    { table: 'deck', rows: decks.map(({ deck }) => ({ ...deck, status: 'ready' })) },
    ...decks.flatMap(({ colours }) => tablePagesOf('deck_colour', colours)),
    ...Object.entries(tables).flatMap(([table, own]) => tablePagesOf(table, own)),
  ]
  try {
    const visit = await broughtUpToDate(
      rows,
      async (tx) => {
        for (const page of pages) await putRows(tx, page)
      },
      async (db) => ({
        ...{ visitId, tables: await visitRows(db, visitId) },
        decks: await decksOfVisit(db, visitId),
      }),
    )
    return { ok: true, visit }
  } catch (error) {
    const words =
      sqlState(error) === FOREIGN_KEY_VIOLATION
        ? 'Something that its rows name is not in the file.'
        : refusedInWords(error)
    if (words === null) throw error
    return { ok: false, message: `A file of an earlier version (rows ${rows}): ${words}` }
  }
}
