import {
  MOST_ERRORS,
  MOST_MEASURED,
  refusedFile,
  type MeasuredColour,
  type MeasuredFile,
} from './measured-colour'
import type { LineError } from './deck-csv'

const BAND = /^(?:SPECTRAL_NM_?|NM_?|R_?)(\d{3})(?:_?NM)?$/i
const NAME_FIELDS = ['SAMPLE_NAME', 'SAMPLE_ID', 'SAMPLEID', 'NAME']

/** The fields of a line: quoted or parted by blanks. */
function fieldsOf(line: string): string[] {
  return [...line.matchAll(/"([^"]*)"|(\S+)/g)].map(([, quoted, plain]) => quoted ?? plain!)
}

/**
 * Reads a CGATS.17 text file (ISO 28178), one table or several: spectral reflectance or L*a*b*, each row a colour.
 * Either the whole file is taken or nothing, with what was expected and what came by line.
 */
export function readCgats(text: string): MeasuredFile {
  const lines = text.replace(/^\uFEFF/, '').split(/\r\n|\n|\r/)
  const after = (keyword: string, from: number): number =>
    lines.findIndex((line, i) => i >= from && line.trim().toUpperCase() === keyword)
  const colours: MeasuredColour[] = []
  const errors: LineError[] = []
  let next = 0
  for (;;) {
    const formatFrom = after('BEGIN_DATA_FORMAT', next)
    if (formatFrom < 0) break
    const formatTo = after('END_DATA_FORMAT', formatFrom)
    const dataFrom = formatTo < 0 ? -1 : after('BEGIN_DATA', formatTo)
    const dataTo = dataFrom < 0 ? -1 : after('END_DATA', dataFrom)
    if (dataTo < 0)
      return refusedFile(
        lines.length,
        'Expected END_DATA_FORMAT, then BEGIN_DATA … END_DATA after the format, found none.',
      )
    if (dataTo - dataFrom - 1 + colours.length > MOST_MEASURED)
      return refusedFile(
        dataFrom + 2 + MOST_MEASURED - colours.length,
        `Expected at most ${MOST_MEASURED} colours, got ${dataTo - dataFrom - 1 + colours.length}.`,
      )
    const format = formatOf(lines.slice(formatFrom + 1, formatTo))
    if (typeof format === 'string') return refusedFile(formatFrom + 2, format)
    const rows = lines
      .slice(dataFrom + 1, dataTo)
      .map((line, i): Row => ({ line: dataFrom + 2 + i, fields: fieldsOf(line) }))
      .filter(({ fields }) => fields.length > 0)
    readRows(rows, format, colours, errors)
    next = dataTo + 1
  }
  if (next === 0)
    return refusedFile(
      1,
      'Expected BEGIN_DATA_FORMAT … END_DATA_FORMAT, found none: this is no CGATS file.',
    )
  if (errors.length > 0) return { ok: false, errors: errors.slice(0, MOST_ERRORS) }
  if (colours.length === 0) return refusedFile(next, 'Expected at least one colour, got none.')
  return { ok: true, colours }
}

interface Format {
  readonly width: number
  readonly name: number
  /** Columns of L*, a* and b*; null for a table that goes by its bands. */
  readonly lab: readonly number[] | null
  readonly bands: readonly { readonly nm: number; readonly column: number }[]
}

interface Row {
  readonly line: number
  readonly fields: readonly string[]
}

/** What stands in which column, or what is missing. */
function formatOf(lines: readonly string[]): Format | string {
  const fields = lines.flatMap(fieldsOf).map((field) => field.toUpperCase())
  const column = (name: string): number => fields.indexOf(name)
  const lab = ['LAB_L', 'LAB_A', 'LAB_B'].map(column)
  const bands = fields
    .flatMap((field, i) => {
      const [, nm] = BAND.exec(field) ?? []
      return nm ? [{ nm: Number(nm), column: i }] : []
    })
    .sort((p, q) => p.nm - q.nm)
  const hasLab = lab.every((i) => i >= 0)
  if (!hasLab && bands.length < 3)
    return `Expected LAB_L, LAB_A, LAB_B or spectral bands, got ${fields.slice(0, 6).join(', ') || 'nothing'}.`
  const twice = bands.find(({ nm }, i) => nm === bands[i - 1]?.nm)
  if (twice) return `Expected each wavelength once, got ${twice.nm} nm twice.`
  return {
    width: fields.length,
    name: NAME_FIELDS.map(column).find((i) => i >= 0) ?? -1,
    // A spectrum says more than the number that was made of it.
    lab: bands.length >= 3 ? null : lab,
    bands,
  }
}

function readRows(
  rows: readonly Row[],
  format: Format,
  colours: MeasuredColour[],
  errors: LineError[],
): void {
  const { bands, lab } = format
  const isPercent = rows.some(({ fields }) =>
    bands.some(({ column }) => Number(fields[column]) > 1.5),
  )
  for (const { line, fields } of rows) {
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
    if (fields.length !== format.width)
      errors.push({ line, message: `Expected ${format.width} fields, got ${fields.length}.` })
    const name = (format.name >= 0 && fields[format.name]) || `Colour ${colours.length + 1}`
    if (lab) {
      const [l, a, b] = lab as [number, number, number]
      const value = [
        number(l, 'L*', 0, 100),
        number(a, 'a*', -128, 128),
        number(b, 'b*', -128, 128),
      ] as const
      colours.push({ name, reading: { kind: 'lab', lab: value } })
    } else
      colours.push({
        name,
        reading: {
          kind: 'spectral',
          wavelengthsNm: bands.map(({ nm }) => nm),
          reflectance: bands.map(({ nm, column }) =>
            isPercent
              ? number(column, `% at ${nm} nm`, 0, 100) / 100
              : number(column, `reflectance at ${nm} nm`, 0, 1),
          ),
        },
      })
  }
}

/**
 * Writes readings as CGATS.17 text: a table of the L*a*b* (D65, 2°), and one for every range of wavelengths. What is read
 * back and written again is the same, byte by byte. A screen's number goes out as its L*a*b*, which the caller knows.
 */
export function writeCgats(colours: readonly MeasuredColour[]): string {
  const tables = new Map<string, { columns: string[]; rows: string[] }>()
  for (const { name, reading } of colours) {
    if (reading.kind === 'srgb') throw new RangeError('CGATS has no field for a screen’s number')
    const isLab = reading.kind === 'lab'
    const columns = isLab
      ? ['LAB_L', 'LAB_A', 'LAB_B']
      : reading.wavelengthsNm.map((nm) => `SPECTRAL_NM${nm}`)
    const values = isLab
      ? reading.lab.map((value) => value.toFixed(4))
      : reading.reflectance.map((value) => value.toFixed(6))
    const key = columns.join(' ')
    const table = tables.get(key) ?? { columns, rows: [] }
    tables.set(key, table)
    table.rows.push(
      `${table.rows.length + 1} "${name.replace(/["\r\n]/g, "'")}" ${values.join(' ')}`,
    )
  }
  return [...tables.values()]
    .flatMap(({ columns, rows }, i) => [
      ...(i === 0 ? ['CGATS.17', 'ORIGINATOR "Elm Swatch"'] : []),
      'WEIGHTING_FUNCTION "ILLUMINANT, D65"',
      'WEIGHTING_FUNCTION "OBSERVER, 2 degree"',
      `NUMBER_OF_FIELDS ${columns.length + 2}`,
      'BEGIN_DATA_FORMAT',
      `SAMPLE_ID SAMPLE_NAME ${columns.join(' ')}`,
      'END_DATA_FORMAT',
      `NUMBER_OF_SETS ${rows.length}`,
      'BEGIN_DATA',
      ...rows,
      'END_DATA',
      '',
    ])
    .join('\r\n')
}
