import type { Lab } from '../core/colour/lab'
import type { Xyz } from '../core/colour/spectrum'
import { forDaylight, type MeasuredForName } from '../core/paint/measured-for'
import { reflectanceOfReading, type KeptReading } from '../core/paint/reading'
import { ImpossibleColourError } from '../core/paint/smoothest-reflectance'
import { keywordsOf, nameByWhite, namedIn, type Keywords } from './cgats-keywords'
import type { DeckRow, DeckTable, LineError } from '../core/deck/deck-file'
import {
  askedFor,
  isPercent,
  LIGHT_QUESTION,
  MOST_ERRORS,
  MOST_MEASURED,
  refusedFile,
  scaleQuestion,
  type MeasuredColour,
  type MeasuredFile,
  type SaidOfFile,
} from './measured-colour'

// nm400, SPEC_400, SPECTRAL_NM400, SPECTRAL_NM_400, R_400NM, 400NM, 400.0: common practice.
const BAND = /^(?:SPECTRAL_?|SPEC_?|S_?|R_?|NM_?)*(\d{3}(?:\.\d+)?)(?:_?NM)?$/
const NAME_FIELDS = ['SAMPLE_NAME', 'SAMPLE_ID', 'SAMPLEID', 'NAME', 'SAMPLE_LOC', 'STRING']
const LEAST_BANDS = 3

/** The fields of a line: quoted or parted by blanks. */
function fieldsOf(line: string): string[] {
  return [...line.matchAll(/"([^"]*)"|(\S+)/g)].map(([, quoted, plain]) => quoted ?? plain!)
}

interface Row {
  readonly line: number
  readonly fields: readonly string[]
}

interface Table {
  readonly format: Format
  readonly rows: readonly Row[]
}

/**
 * Reads a CGATS.17 text file (ISO 28178), one table or several: spectral reflectance at any spacing, L*a*b* or XYZ, each
 * row a colour; numbers for another light or eye are made those for D65 and 2°. Either the whole file is taken or nothing,
 * with what was expected and what came by line; what the file does not say is asked for.
 */
export function readCgats(text: string, said: SaidOfFile = {}): MeasuredFile {
  // A comment runs to the end of its line.
  const lines = text
    .replace(/^\uFEFF/, '')
    .split(/\r\n|\n|\r/)
    .map((line) => line.replace(/^\s*#.*$/, ''))
  const tables = tablesOf(lines)
  if (!('tables' in tables)) return tables
  const keywords = keywordsOf(lines.slice(0, tables.headTo))
  const errors: LineError[] = []
  const rows = tables.tables.flatMap(({ format, rows }) =>
    rows.map((row, i) => numbersOf(row, format, i, errors)),
  )
  if (errors.length > 0) return { ok: false, errors: errors.slice(0, MOST_ERRORS) }
  if (rows.length === 0)
    return refusedFile(tables.headTo, 'Expected at least one colour, got none.')
  return whatTheyMean(rows, keywords, said)
}

/** The tables of a file and where its first head ends, or why it has none. */
function tablesOf(
  lines: readonly string[],
): { readonly tables: readonly Table[]; readonly headTo: number } | MeasuredFile {
  const after = (keyword: string, from: number): number =>
    lines.findIndex((line, i) => i >= from && line.trim().toUpperCase() === keyword)
  const tables: Table[] = []
  let [next, headTo, count] = [0, 0, 0]
  let lacking: MeasuredFile | null = null
  for (;;) {
    const formatFrom = after('BEGIN_DATA_FORMAT', next)
    if (formatFrom < 0) break
    if (next === 0) headTo = formatFrom
    const formatTo = after('END_DATA_FORMAT', formatFrom)
    const dataFrom = formatTo < 0 ? -1 : after('BEGIN_DATA', formatTo)
    const dataTo = dataFrom < 0 ? -1 : after('END_DATA', dataFrom)
    if (dataTo < 0)
      return refusedFile(
        lines.length,
        'Expected END_DATA_FORMAT, then BEGIN_DATA … END_DATA after the format, found none.',
      )
    count += dataTo - dataFrom - 1
    if (count > MOST_MEASURED)
      return refusedFile(
        dataTo - count + MOST_MEASURED + 1,
        `Expected at most ${MOST_MEASURED} colours, got ${count}.`,
      )
    const format = formatOf(lines.slice(formatFrom + 1, formatTo))
    // A table without colours of surfaces is passed over where another has some.
    if (typeof format === 'string') lacking ??= refusedFile(formatFrom + 2, format)
    else
      tables.push({
        format,
        rows: lines
          .slice(dataFrom + 1, dataTo)
          .map((line, i): Row => ({ line: dataFrom + 2 + i, fields: fieldsOf(line) }))
          .filter(({ fields }) => fields.length > 0),
      })
    next = dataTo + 1
  }
  if (tables.length > 0) return { tables, headTo }
  return (
    lacking ??
    refusedFile(
      1,
      'Expected BEGIN_DATA_FORMAT … END_DATA_FORMAT, found none: this is no CGATS file.',
    )
  )
}

/**
 * The same file as one table of cells, every field a column: for a deck, whose columns a person maps. Of several tables
 * each row has the cells of its own.
 */
export function cgatsTable(
  text: string,
):
  | { readonly ok: true; readonly table: DeckTable }
  | { readonly ok: false; readonly errors: readonly LineError[] } {
  const lines = text
    .replace(/^\uFEFF/, '')
    .split(/\r\n|\n|\r/)
    .map((line) => line.replace(/^\s*#.*$/, ''))
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

interface Format {
  /** Its fields as they are written. */
  readonly fields: readonly string[]
  readonly width: number
  readonly name: number
  /** Columns of L*, a* and b*, and of X, Y and Z; null where there are none. */
  readonly lab: readonly number[] | null
  readonly xyz: readonly number[] | null
  readonly bands: readonly { readonly nm: number; readonly column: number }[]
}

/** What stands in which column, or what is missing. */
function formatOf(lines: readonly string[]): Format | string {
  const fields = lines.flatMap(fieldsOf).map((field) => field.toUpperCase())
  const columnsOf = (names: readonly string[]): readonly number[] | null => {
    const columns = names.map((name) => fields.indexOf(name))
    return columns.every((column) => column >= 0) ? columns : null
  }
  const lab = columnsOf(['LAB_L', 'LAB_A', 'LAB_B'])
  const xyz = columnsOf(['XYZ_X', 'XYZ_Y', 'XYZ_Z'])
  const bands = fields
    .flatMap((field, i) => {
      const nm = Number(BAND.exec(field)?.[1] ?? NaN)
      return nm >= 300 && nm <= 900 ? [{ nm, column: i }] : []
    })
    .sort((p, q) => p.nm - q.nm)
  if (!lab && !xyz && bands.length < LEAST_BANDS) return lackOf(fields)
  const twice = bands.find(({ nm }, i) => nm === bands[i - 1]?.nm)
  if (twice) return `Expected each wavelength once, got ${twice.nm} nm twice.`
  return {
    fields: lines.flatMap(fieldsOf),
    width: fields.length,
    name: NAME_FIELDS.map((name) => fields.indexOf(name)).find((i) => i >= 0) ?? -1,
    lab,
    xyz,
    bands: bands.length >= LEAST_BANDS ? bands : [],
  }
}

/** Why a table has no colour of a surface. */
function lackOf(fields: readonly string[]): string {
  const got = fields.slice(0, 6).join(', ') || 'nothing'
  const expected =
    'Expected L*a*b* (LAB_L, LAB_A, LAB_B), XYZ (XYZ_X, XYZ_Y, XYZ_Z) or reflectances by wavelength'
  return fields.some((field) => /^(RGB|CMYK?|CMY|K|GRAY)_/.test(field))
    ? `${expected}: this table has what a device was told (${got}), not what was measured.`
    : `${expected}, got ${got}.`
}

/** A row in numbers. */
interface Numbers {
  readonly name: string
  readonly lab: Lab | null
  readonly xyz: Xyz | null
  readonly spectrum: { readonly nm: readonly number[]; readonly values: readonly number[] } | null
}

function numbersOf(
  { line, fields }: Row,
  { width, name, lab, xyz, bands }: Format,
  place: number,
  errors: LineError[],
): Numbers {
  if (fields.length !== width)
    errors.push({ line, message: `Expected ${width} fields, got ${fields.length}.` })
  const number = (column: number, what: string, least: number, most: number): number => {
    const found = fields[column]
    const value = Number(found?.replace(',', '.') ?? '')
    if (found === undefined || found === '' || !(value >= least && value <= most))
      errors.push({
        line,
        message: `Expected ${what} from ${least} to ${most}, got “${found ?? ''}”.`,
      })
    return value
  }
  return {
    name: (name >= 0 && fields[name]) || `Colour ${place + 1}`,
    // A spectrum says more than the numbers that were made of it.
    spectrum: bands.length
      ? {
          nm: bands.map(({ nm }) => nm),
          values: bands.map(({ nm, column }) => number(column, `% at ${nm} nm`, 0, 200)),
        }
      : null,
    lab: lab
      ? [
          number(lab[0]!, 'L*', 0, 100),
          number(lab[1]!, 'a*', -128, 128),
          number(lab[2]!, 'b*', -128, 128),
        ]
      : null,
    xyz: xyz
      ? [number(xyz[0]!, 'X', 0, 150), number(xyz[1]!, 'Y', 0, 150), number(xyz[2]!, 'Z', 0, 200)]
      : null,
  }
}

/** The numbers as colours, once it is known what they are for; else what has to be asked. */
function whatTheyMean(
  rows: readonly Numbers[],
  keywords: Keywords,
  said: SaidOfFile,
): MeasuredFile {
  const scale = said.scale ?? keywords.scale ?? undefined
  const spectra = rows.flatMap(({ spectrum }) => spectrum?.values ?? [])
  const largest = spectra.reduce((p, q) => Math.max(p, q), 0)
  if (spectra.length > 0 && keywords.otherNorm !== null && !said.scale)
    return refusedFile(
      1,
      `Expected reflectances with SPECTRAL_NORM 1 or 100, got ${keywords.otherNorm}: this may be the spectrum of a light, not of a surface.`,
    )
  const percent = spectra.length > 0 ? isPercent(largest, scale) : true
  if (percent === null) return askedFor('scale', scaleQuestion(largest))
  if (!percent && largest > 1.5)
    return refusedFile(1, `Expected shares from 0 to 1, got ${largest}.`)
  const plain = rows.filter(({ spectrum }) => !spectrum)
  const bright = plain.flatMap(({ xyz, lab }) => (xyz && !lab ? [xyz[1]] : []))
  const brightest = bright.reduce((p, q) => Math.max(p, q), 0)
  const xyzPercent = bright.length > 0 ? isPercent(brightest, scale) : true
  if (xyzPercent === null) return askedFor('scale', scaleQuestion(brightest))
  let measuredFor: MeasuredForName | null = null
  if (plain.length > 0) {
    const named = namedIn(keywords)
    if (named && typeof named !== 'string') return refusedFile(1, named.message)
    measuredFor =
      named ??
      nameByWhite(plain.flatMap(({ lab, xyz }) => (lab && xyz ? [{ lab, xyz }] : []))) ??
      said.measuredFor ??
      null
    if (!measuredFor) return askedFor('measuredFor', LIGHT_QUESTION)
  }
  const colours: MeasuredColour[] = []
  const leftOut: string[] = []
  for (const { name, spectrum, lab, xyz } of rows)
    try {
      const reading: KeptReading = spectrum
        ? {
            kind: 'spectral',
            wavelengthsNm: spectrum.nm,
            reflectance: spectrum.values.map((value) => (percent ? value / 100 : value)),
          }
        : forDaylight(
            lab
              ? { kind: 'lab', lab }
              : { kind: 'xyz', xyz: xyz!.map((v) => (xyzPercent ? v : 100 * v)) as unknown as Xyz },
            measuredFor!,
          )
      reflectanceOfReading(reading)
      colours.push({ name, reading })
    } catch (error) {
      if (error instanceof ImpossibleColourError) leftOut.push(name)
      else if (error instanceof RangeError) return refusedFile(1, `“${name}”: ${error.message}.`)
      else throw error
    }
  if (colours.length === 0)
    return refusedFile(
      1,
      'Expected colours that a surface can have; every one of these is outside of that.',
    )
  return { ok: true, colours, measuredFor, leftOut }
}
