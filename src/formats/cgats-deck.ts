import type { DeckRow, DeckTable, LineError } from '../core/deck/deck-file'
import { keywordsOf, namedIn } from './cgats-keywords'
import { linesOf, tablesOf } from './cgats-tables'

/**
 * A CGATS.17 file (ISO 28178) as one table of cells, every field a column: for a deck, whose columns a person maps. Of several tables
 * each row has the cells of its own.
 */
export function cgatsTable(
  text: string,
):
  | { readonly ok: true; readonly table: DeckTable }
  | { readonly ok: false; readonly errors: readonly LineError[] } {
  const lines = linesOf(text)
  const found = tablesOf(lines)
  if (!('tables' in found))
    return 'errors' in found
      ? { ok: false, errors: found.errors }
      : { ok: false, errors: [{ line: 1, message: 'Expected a CGATS file.' }] }
  const keywords = keywordsOf(lines.slice(0, found.headTo))
  const columns = [...new Set(found.tables.flatMap(({ format }) => format.fields))]
  const rows = found.tables.flatMap(({ format, rows }) =>
    rows.map(({ line, fields }): DeckRow => {
      // A row that is not as wide as its table says is told so where it is read.
      if (fields.length !== format.width || found.tables.length === 1)
        return { line, cells: fields }
      const cells = columns.map((column) => fields[format.fields.indexOf(column)] ?? '')
      return { line, cells }
    }),
  )
  if (rows.length === 0)
    return {
      ok: false,
      errors: [{ line: found.headTo, message: 'Expected at least one colour, got none.' }],
    }
  const named = namedIn(keywords)
  if (named && typeof named !== 'string')
    return { ok: false, errors: [{ line: 1, message: named.message }] }
  return {
    ok: true,
    table: { format: 'CGATS', columns, rows, measuredFor: named, scale: keywords.scale },
  }
}
