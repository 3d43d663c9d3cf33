import type { Lab } from '@/core/colour/lab'

/** One colour of a measurement file: spectral where the file has bands, L*a*b* where it has those. */
export interface MeasuredColour {
  readonly name: string
  readonly lab: Lab | null
  /** Reflectance, 0 to 1, at wavelengths in nanometres, rising. */
  readonly spectrum: {
    readonly wavelengthsNm: readonly number[]
    readonly reflectance: readonly number[]
  } | null
}

export type CgatsResult =
  | { readonly ok: true; readonly colours: readonly MeasuredColour[] }
  | {
      readonly ok: false
      readonly errors: readonly { readonly line: number; readonly message: string }[]
    }

const MOST_ROWS = 25_000
const MOST_ERRORS = 20

const BAND = /^(?:SPECTRAL_NM_?|NM_?|R_?)(\d{3})(?:_?NM)?$/i
const NAME_FIELDS = ['SAMPLE_NAME', 'SAMPLE_ID', 'SAMPLEID', 'NAME']

/** The fields of a line: quoted or parted by blanks. */
function fieldsOf(line: string): string[] {
  return [...line.matchAll(/"([^"]*)"|(\S+)/g)].map(([, quoted, plain]) => quoted ?? plain!)
}

/**
 * Reads a CGATS.17 text file (ISO 28178): spectral reflectance or L*a*b*, each row a colour. Either the whole file is
 * taken or nothing, with what was expected and what came by line.
 */
export function readCgats(text: string): CgatsResult {
  const lines = text.replace(/^\uFEFF/, '').split(/\r\n|\n|\r/)
  const at = (keyword: string): number =>
    lines.findIndex((line) => line.trim().toUpperCase() === keyword)
  const [formatFrom, formatTo] = [at('BEGIN_DATA_FORMAT'), at('END_DATA_FORMAT')]
  const [dataFrom, dataTo] = [at('BEGIN_DATA'), at('END_DATA')]
  const refused = (line: number, message: string): CgatsResult => ({
    ok: false,
    errors: [{ line, message }],
  })
  if (formatFrom < 0 || formatTo < formatFrom)
    return refused(
      1,
      'Expected BEGIN_DATA_FORMAT … END_DATA_FORMAT, found none: this is no CGATS file.',
    )
  if (dataFrom < formatTo || dataTo < dataFrom)
    return refused(lines.length, 'Expected BEGIN_DATA … END_DATA after the format, found none.')
  const fields = lines
    .slice(formatFrom + 1, formatTo)
    .flatMap(fieldsOf)
    .map((field) => field.toUpperCase())
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
    return refused(
      formatFrom + 2,
      `Expected LAB_L, LAB_A, LAB_B or spectral bands, got ${fields.slice(0, 6).join(', ') || 'nothing'}.`,
    )
  const nameColumn = NAME_FIELDS.map(column).find((i) => i >= 0) ?? -1
  const rows = lines
    .slice(dataFrom + 1, dataTo)
    .map((line, i) => ({ line: dataFrom + 2 + i, fields: fieldsOf(line) }))
    .filter(({ fields: found }) => found.length > 0)
  if (rows.length > MOST_ROWS)
    return refused(
      dataFrom + 2 + MOST_ROWS,
      `Expected at most ${MOST_ROWS} colours, got ${rows.length}.`,
    )
  const errors: { line: number; message: string }[] = []
  const isPercent =
    bands.length > 0 &&
    rows.some(({ fields: found }) => bands.some(({ column: i }) => Number(found[i]) > 1.5))
  const colours = rows.map(({ line, fields: found }, i): MeasuredColour => {
    const complain = (message: string): void => {
      if (errors.length < MOST_ERRORS) errors.push({ line, message })
    }
    if (found.length !== fields.length)
      complain(`Expected ${fields.length} fields, got ${found.length}.`)
    const number = (of: number, what: string, least: number, most: number): number => {
      const value = Number(found[of]?.replace(',', '.') ?? '')
      if (found[of] === undefined || found[of] === '' || !(value >= least && value <= most))
        complain(`Expected ${what} from ${least} to ${most}, got “${found[of] ?? ''}”.`)
      return value
    }
    return {
      name: (nameColumn >= 0 && found[nameColumn]) || `Colour ${i + 1}`,
      lab: hasLab
        ? [
            number(lab[0]!, 'L*', 0, 100),
            number(lab[1]!, 'a*', -128, 128),
            number(lab[2]!, 'b*', -128, 128),
          ]
        : null,
      spectrum:
        bands.length >= 3
          ? {
              wavelengthsNm: bands.map(({ nm }) => nm),
              reflectance: bands.map(({ nm, column: of }) =>
                isPercent
                  ? number(of, `% at ${nm} nm`, 0, 150) / 100
                  : number(of, `reflectance at ${nm} nm`, 0, 1.5),
              ),
            }
          : null,
    }
  })
  if (errors.length > 0) return { ok: false, errors }
  if (colours.length === 0) return refused(dataFrom + 1, 'Expected at least one colour, got none.')
  return { ok: true, colours }
}

/** Writes L*a*b* (D65, 2°) readings as CGATS.17 text; what is read back and written again is the same, byte by byte. */
export function writeCgats(
  colours: readonly { readonly name: string; readonly lab: Lab }[],
): string {
  return [
    'CGATS.17',
    'ORIGINATOR "Elm Swatch"',
    'WEIGHTING_FUNCTION "ILLUMINANT, D65"',
    'WEIGHTING_FUNCTION "OBSERVER, 2 degree"',
    'NUMBER_OF_FIELDS 5',
    'BEGIN_DATA_FORMAT',
    'SAMPLE_ID SAMPLE_NAME LAB_L LAB_A LAB_B',
    'END_DATA_FORMAT',
    `NUMBER_OF_SETS ${colours.length}`,
    'BEGIN_DATA',
    ...colours.map(
      ({ name, lab }, i) =>
        `${i + 1} "${name.replace(/["\r\n]/g, "'")}" ${lab.map((value) => value.toFixed(4)).join(' ')}`,
    ),
    'END_DATA',
    '',
  ].join('\r\n')
}
