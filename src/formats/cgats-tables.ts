import { MOST_MEASURED, refusedFile, type MeasuredFile } from './measured-colour'

// nm400, SPEC_400, SPECTRAL_NM400, SPECTRAL_NM_400, R_400NM, 400NM, 400.0: common practice.
const BAND = /^(?:SPECTRAL_?|SPEC_?|S_?|R_?|NM_?)*(\d{3}(?:\.\d+)?)(?:_?NM)?$/
const NAME_FIELDS = ['SAMPLE_NAME', 'SAMPLE_ID', 'SAMPLEID', 'NAME', 'SAMPLE_LOC', 'STRING']
const LEAST_BANDS = 3

/** The fields of a line: quoted or parted by blanks. */
function fieldsOf(line: string): string[] {
  return [...line.matchAll(/"([^"]*)"|(\S+)/g)].map(([, quoted, plain]) => quoted ?? plain!)
}

export interface CgatsRow {
  readonly line: number
  readonly fields: readonly string[]
}

interface Table {
  readonly format: TableFormat
  readonly rows: readonly CgatsRow[]
}

/** The lines of a file, without its comments, which run to the end of theirs. */
export const linesOf = (text: string): readonly string[] =>
  text
    .replace(/^\uFEFF/, '')
    .split(/\r\n|\n|\r/)
    .map((line) => line.replace(/^\s*#.*$/, ''))

export interface TableFormat {
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
function formatOf(lines: readonly string[]): TableFormat | string {
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

/** The tables of a file and where its first head ends, or why it has none. */
export function tablesOf(
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
          .map((line, i): CgatsRow => ({ line: dataFrom + 2 + i, fields: fieldsOf(line) }))
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
