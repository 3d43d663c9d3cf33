import Papa from 'papaparse'
import type { DeckRow, DeckTable, LineError } from '../core/deck/deck-file'
import { cgatsTable } from './cgats-deck'
import { MOST_MEASURED } from './measured-colour'

export type OpenedDeck =
  | { readonly ok: true; readonly table: DeckTable }
  | { readonly ok: false; readonly errors: readonly LineError[] }

export const MOST_DECK_BYTES = 32_000_000
export const MOST_DECK_LINES = MOST_MEASURED
const MOST_COLUMNS = 400

/** Opens a file by what stands in it, whatever it is called: CSV, CGATS or a GIMP palette. */
export function openDeckTable(bytes: Uint8Array): OpenedDeck {
  if (bytes.length > MOST_DECK_BYTES)
    return refuse(
      1,
      `Expected a file of at most ${MOST_DECK_BYTES / 1e6} MB, got ${Math.ceil(bytes.length / 1e6)} MB.`,
    )
  const text = decode(bytes)
  if (text === null)
    return refuse(1, 'The file is not UTF-8 text. Save it as “CSV UTF-8” and try again.')
  if (/^GIMP Palette\b/.test(text)) return openPalette(text)
  if (/^\s*BEGIN_DATA_FORMAT\s*$/im.test(text.slice(0, HEAD))) return cgatsTable(text)
  if (/^(CGATS|IT8|ISO28178)/.test(text)) return cgatsTable(text)
  return openCsv(text)
}

// A table's format stands in its head.
const HEAD = 20_000

const refuse = (line: number, message: string): OpenedDeck => ({
  ok: false,
  errors: [{ line, message }],
})

function decode(bytes: Uint8Array): string | null {
  try {
    const text = new TextDecoder('utf-8', { fatal: true }).decode(bytes)
    return text.includes('\0') ? null : text
  } catch {
    return null
  }
}

/** By the heading, which has no text of its own to mislead. */
function delimiterOf(text: string): string {
  const heading = text.slice(0, text.indexOf('\n'))
  return heading.includes('\t') ? '\t' : heading.includes(';') ? ';' : ','
}

function openCsv(text: string): OpenedDeck {
  const whole = text.trimEnd()
  // No more is parsed than may come in.
  const parsed = Papa.parse<string[]>(whole, {
    delimiter: delimiterOf(text),
    preview: MOST_DECK_LINES + 2,
  })
  const all = parsed.data
  while (all.length > 0 && all.at(-1)!.every((cell) => cell.trim() === '')) all.pop()
  if (all.length < 2) return refuse(1, 'Expected a heading line and at least one colour, got none.')
  if (all.length - 1 > MOST_DECK_LINES)
    return refuse(
      MOST_DECK_LINES + 2,
      `A deck has at most ${MOST_DECK_LINES.toLocaleString('en-GB')} lines, this file has ${(whole.match(/\n/g) ?? []).length.toLocaleString('en-GB')}.`,
    )
  const quoteError = parsed.errors.find((error) => error.type === 'Quotes')
  if (quoteError) return refuse((quoteError.row ?? 0) + 1, 'A quotation mark is not closed.')
  const [heading, ...rows] = all as [string[], ...string[][]]
  if (heading.length > MOST_COLUMNS)
    return refuse(1, `Expected at most ${MOST_COLUMNS} columns, got ${heading.length}.`)
  return {
    ok: true,
    table: {
      format: 'CSV',
      columns: heading.map((cell) => cell.trim()),
      rows: rows.map((cells, i) => ({ line: i + 2, cells: cells.map((cell) => cell.trim()) })),
      measuredFor: null,
      scale: null,
    },
  }
}

/** A GIMP palette: three numbers of a screen and a name on each line. */
function openPalette(text: string): OpenedDeck {
  const rows: DeckRow[] = []
  text.split(/\r\n|\n|\r/).forEach((written, i) => {
    const line = i + 1
    const trimmed = written.trim()
    if (line === 1 || trimmed === '' || trimmed.startsWith('#')) return
    if (rows.length === 0 && /^(Name|Columns):/.test(trimmed)) return
    const [, r, g, b, name] = /^(\S+)\s+(\S+)\s+(\S+)\s*(.*)$/.exec(trimmed) ?? [
      '',
      trimmed,
      '',
      '',
      '',
    ]
    rows.push({ line, cells: [r!, g!, b!, name!.trim()] })
  })
  if (rows.length === 0) return refuse(1, 'Expected at least one colour, got none.')
  if (rows.length > MOST_DECK_LINES)
    return refuse(
      rows[MOST_DECK_LINES]!.line,
      `A deck has at most ${MOST_DECK_LINES.toLocaleString('en-GB')} lines, this file has ${rows.length.toLocaleString('en-GB')}.`,
    )
  return {
    ok: true,
    table: {
      format: 'GIMP palette',
      columns: ['red', 'green', 'blue', 'name'],
      rows,
      measuredFor: null,
      scale: null,
    },
  }
}
