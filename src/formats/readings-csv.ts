import Papa from 'papaparse'
import type { KeptReading } from '../core/paint/reading'
import { isMeasuredFor, OWN } from '../core/paint/measured-for'
import { readTyped } from '../core/paint/typed-reading'
import type { LineError } from '../core/deck/deck-file'
import {
  askedFor,
  LIGHT_QUESTION,
  MOST_ERRORS,
  MOST_MEASURED,
  refusedFile,
  type MeasuredColour,
  scaleQuestion,
  type MeasuredFile,
  type SaidOfFile,
} from './measured-colour'
import { asTyped, harmless } from './spreadsheet'

/** One reading of a visit as it goes out. */
export interface ExportedReading extends MeasuredColour {
  readonly room: string
  readonly part: string
  readonly source: string
}

// `read for` says what L, a, b are for; a file that has it writes spectra as shares, too.
const READ_FOR = 'read for'
const HEADING = [
  'name',
  'room',
  'part',
  'source',
  READ_FOR,
  'L',
  'a',
  'b',
  'hex',
  'spectrum',
] as const

/** Readings as CSV, L*a*b* under D65, 2°; a spectrum as wavelengths and reflectances, parted by semicolons. */
export function writeReadingsCsv(readings: readonly ExportedReading[]): string {
  return Papa.unparse({
    fields: [...HEADING],
    data: readings.map(({ name, room, part, source, reading }) => [
      harmless(name),
      harmless(room),
      harmless(part),
      source,
      reading.kind === 'lab' ? OWN : '',
      ...(reading.kind === 'lab' ? reading.lab.map((value) => value.toFixed(4)) : ['', '', '']),
      reading.kind === 'srgb' ? reading.hex : '',
      reading.kind === 'spectral' ? spectrumCell(reading) : '',
    ]),
  })
}

/** A spectrum in one cell: "400 0.310000; 410 0.320000". */
export const spectrumCell = ({
  wavelengthsNm,
  reflectance,
}: Extract<KeptReading, { kind: 'spectral' }>): string =>
  wavelengthsNm.map((nm, i) => `${nm} ${reflectance[i]!.toFixed(6)}`).join('; ')

/**
 * Reads a CSV of readings back, or one from elsewhere: a heading with name, and L, a, b or hex or spectrum; comma or
 * semicolon. Either the whole file is taken or nothing, with what was expected and what came by line.
 */
export function readReadingsCsv(text: string, said: SaidOfFile = {}): MeasuredFile {
  const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, '').trimEnd())
  const [heading = [], ...rows] = parsed.data
  const names = heading.map((cell) => cell.trim().toLowerCase().replace(/\*$/, ''))
  const column = (name: string): number => names.indexOf(name)
  const has = (...wanted: string[]): boolean => wanted.every((name) => column(name) >= 0)
  if (!has('name') || !(has('l', 'a', 'b') || has('hex') || has('spectrum')))
    return refusedFile(
      1,
      `Expected a heading with name, and L, a, b or hex or spectrum; got ${heading.slice(0, 6).join(', ') || 'nothing'}.`,
    )
  if (rows.length > MOST_MEASURED)
    return refusedFile(
      MOST_MEASURED + 2,
      `Expected at most ${MOST_MEASURED} colours, got ${rows.length}.`,
    )
  if (rows.length === 0) return refusedFile(1, 'Expected at least one colour, got none.')
  // What the file says of itself stands over what is said of it.
  const readFor = rows.map((row) => row[column(READ_FOR)]?.trim() ?? '')
  const own = readFor.find((name) => name !== '')
  if (own !== undefined && !isMeasuredFor(own))
    return refusedFile(
      readFor.indexOf(own) + 2,
      `Expected a light and an eye such as “${OWN}”, got “${own}”.`,
    )
  const isOwn = column(READ_FOR) >= 0
  const measuredFor = own ?? said.measuredFor
  if (!measuredFor && rows.some((row) => (row[column('l')]?.trim() ?? '') !== ''))
    return askedFor('measuredFor', LIGHT_QUESTION)
  const errors: LineError[] = []
  const colours: MeasuredColour[] = []
  for (const [i, row] of rows.entries()) {
    const line = i + 2
    const cell = (name: string): string => row[column(name)]?.trim() ?? ''
    if (row.length !== heading.length) {
      errors.push({ line, message: `Expected ${heading.length} fields, got ${row.length}.` })
      continue
    }
    const read = readTyped({
      by: cell('spectrum') ? 'spectral' : cell('l') || !cell('hex') ? 'lab' : 'hex',
      l: cell('l'),
      a: cell('a'),
      b: cell('b'),
      hex: cell('hex'),
      spectrum: cell('spectrum'),
      measuredFor: measuredFor ?? OWN,
      scale: isOwn ? 'share' : (said.scale ?? ''),
    })
    if (!read.ok) {
      if (read.largest !== undefined) return askedFor('scale', scaleQuestion(read.largest))
      const [{ field, message }] = read.problems as [(typeof read.problems)[number]]
      errors.push({ line, message: `${field === 'l' ? 'L' : field}: ${message}` })
      continue
    }
    const part = asTyped(cell('part'))
    const name = asTyped(cell('name')) || `Colour ${i + 1}`
    colours.push({ name: part ? `${name}, ${part}` : name, reading: read.reading })
  }
  return errors.length > 0
    ? { ok: false, errors: errors.slice(0, MOST_ERRORS) }
    : { ok: true, colours, measuredFor: measuredFor ?? null, leftOut: [] }
}
