import Papa from 'papaparse'
import { z } from 'zod'
import { reflectanceOfReading, type PlainReading } from '../core/paint/reading'
import { BASES, type Base } from '../core/paint/strength'

export interface DeckCsvColour {
  readonly code: string
  readonly name: string
  readonly strip: string
  readonly base: Base
  readonly reading: PlainReading
}

/** One thing wrong with a file: the line as an editor counts it (the heading is line 1), and what. */
export interface LineError {
  readonly line: number
  readonly message: string
}

export type DeckCsv =
  | { readonly ok: true; readonly colours: DeckCsvColour[] }
  | { readonly ok: false; readonly errors: LineError[] }

export const MOST_DECK_LINES = 25_000
// Enough to see the pattern of what is wrong.
const MOST_ERRORS = 20

const IDENTITY_COLUMNS = ['code', 'name', 'strip', 'base'] as const
const LAB_COLUMNS = ['l', 'a', 'b'] as const

/**
 * Reads a deck from CSV: columns code, name, strip, base and either L, a, b (CIE L*a*b*, D65, 2°) or
 * hex (sRGB), in any order, comma or semicolon. Colours of a strip stand lightest first.
 *
 * @param bytes the file; UTF-8
 * @returns every colour, or what is wrong by line (at most 20 errors) and nothing else
 */
export function readDeckCsv(bytes: Uint8Array): DeckCsv {
  const text = decode(bytes)
  if (text === null)
    return refuse(1, 'The file is not UTF-8 text. Save it as “CSV UTF-8” and try again.')
  const whole = text.trimEnd()
  // No more is parsed than may come in.
  const parsed = Papa.parse<string[]>(whole, {
    delimiter: delimiterOf(text),
    preview: MOST_DECK_LINES + 2,
  })
  const rows = parsed.data
  while (rows.length > 0 && rows.at(-1)!.every((cell) => cell.trim() === '')) rows.pop()
  if (rows.length < 2)
    return refuse(1, 'Expected a heading line and at least one colour, got none.')
  if (rows.length - 1 > MOST_DECK_LINES)
    return refuse(
      MOST_DECK_LINES + 2,
      `A deck has at most ${MOST_DECK_LINES.toLocaleString('en-GB')} lines, this file has ${(whole.match(/\n/g) ?? []).length.toLocaleString('en-GB')}.`,
    )
  const columns = findColumns(rows[0]!)
  if ('missing' in columns) return refuse(1, columns.missing)
  const quoteError = parsed.errors.find((error) => error.type === 'Quotes')
  if (quoteError) return refuse((quoteError.row ?? 0) + 1, 'A quotation mark is not closed.')
  return readRows(rows, columns)
}

function readRows(rows: readonly string[][], columns: Columns): DeckCsv {
  const colours: DeckCsvColour[] = []
  const errors: LineError[] = []
  const lineOfCode = new Map<string, number>()
  for (let i = 1; i < rows.length && errors.length < MOST_ERRORS; i++) {
    const line = i + 1
    const row = readRow(rows[i]!, columns)
    if (typeof row === 'string') {
      errors.push({ line, message: row })
      continue
    }
    const earlier = lineOfCode.get(row.code)
    if (earlier !== undefined)
      errors.push({ line, message: `Code “${row.code}” stands on line ${earlier} already.` })
    lineOfCode.set(row.code, line)
    colours.push(row)
  }
  return errors.length > 0 ? { ok: false, errors } : { ok: true, colours }
}

const refuse = (line: number, message: string): DeckCsv => ({
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
const delimiterOf = (text: string): string =>
  text.slice(0, text.indexOf('\n')).includes(';') ? ';' : ','

interface Columns {
  readonly at: ReadonlyMap<string, number>
  readonly reading: 'lab' | 'srgb'
  readonly width: number
}

function findColumns(heading: readonly string[]): Columns | { missing: string } {
  const names = heading.map((cell) => cell.trim().toLowerCase().replace(/\*$/, ''))
  const at = new Map(names.map((name, i) => [name, i]))
  const has = (name: string): boolean => at.has(name)
  const reading = LAB_COLUMNS.every(has) ? 'lab' : has('hex') ? 'srgb' : null
  const missing = [
    ...IDENTITY_COLUMNS.filter((name) => !has(name)),
    ...(reading ? [] : ['L, a, b (or hex)']),
  ]
  if (missing.length > 0 || !reading)
    return {
      missing: `Missing column: ${missing.join(', ')}. The heading has: ${names.join(', ')}.`,
    }
  return { at, reading, width: names.length }
}

const textCell = (most: number) =>
  z
    .string()
    .min(1, 'is empty')
    .max(most, `is longer than ${most} characters`)
    .refine(
      (text) => !/^[=+\-@\t]/.test(text),
      'looks like a spreadsheet formula; expected plain text',
    )
// As long as the record has room for.
const TEXT_CELLS = { code: textCell(40), name: textCell(120), strip: textCell(40) } as const
const BaseCell = z.enum(BASES)

function readRow(cells: readonly string[], columns: Columns): DeckCsvColour | string {
  if (cells.length !== columns.width) return `Expected ${columns.width} cells, got ${cells.length}.`
  const cell = (name: string): string => cells[columns.at.get(name)!]!.trim()
  for (const name of ['code', 'name', 'strip'] as const) {
    const checked = TEXT_CELLS[name].safeParse(cell(name))
    if (!checked.success) return `${name} ${checked.error.issues[0]!.message}${said(cell(name))}.`
  }
  const base = BaseCell.safeParse(cell('base').toLowerCase())
  if (!base.success) return `base must be ${BASES.join(', ')}, got “${cell('base')}”.`
  const reading = readReading(cell, columns.reading)
  if (typeof reading === 'string') return reading
  try {
    reflectanceOfReading(reading)
  } catch (error) {
    if (error instanceof RangeError) return `${error.message}.`
    throw error
  }
  return { code: cell('code'), name: cell('name'), strip: cell('strip'), base: base.data, reading }
}

const said = (text: string): string => (text === '' ? '' : `, got “${text}”`)

function readReading(cell: (name: string) => string, kind: 'lab' | 'srgb'): PlainReading | string {
  if (kind === 'srgb') {
    const hex = cell('hex').toLowerCase()
    if (!/^#?[0-9a-f]{6}$/.test(hex)) return `hex must be six digits 0–9 a–f, got “${cell('hex')}”.`
    return { kind: 'srgb', hex: hex.startsWith('#') ? hex : `#${hex}` }
  }
  const numbers: number[] = []
  for (const name of LAB_COLUMNS) {
    const text = cell(name)
    if (!/^-?\d+([.,]\d+)?$/.test(text))
      return `${name.toUpperCase() === 'L' ? 'L' : name} must be a number, got “${text}”.`
    numbers.push(Number(text.replace(',', '.')))
  }
  return { kind: 'lab', lab: [numbers[0]!, numbers[1]!, numbers[2]!] }
}

/** Writes a deck in the columns that {@link readDeckCsv} reads; L*a*b* to two decimals. */
export function writeDeckCsv(colours: readonly DeckCsvColour[]): string {
  const rows = colours.map(({ code, name, strip, base, reading }) => {
    if (reading.kind !== 'lab') throw new RangeError('only L*a*b* decks are written')
    const [L, a, b] = reading.lab.map((value) => value.toFixed(2))
    return { code, name, L, a, b, strip, base }
  })
  return Papa.unparse(rows, { newline: '\n' }) + '\n'
}
