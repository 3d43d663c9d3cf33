import type { MeasuredColour } from './measured-colour'

/** A colour as CGATS writes it. */
export interface CgatsColour extends MeasuredColour {
  /** Its SAMPLE_ID; its place in the table where it has none. */
  readonly id?: string
  /** What else is said of it, by fields that CGATS does not know; the same fields of every colour. */
  readonly also?: Readonly<Record<string, string>>
}

const quoted = (text: string): string => `"${text.replace(/["\r\n]/g, "'")}"`

/**
 * Writes readings as CGATS.17 text: a table of the L*a*b* (D65, 2°), and one for every range of wavelengths. What is read
 * back and written again is the same, byte by byte. A screen's number goes out as its L*a*b*, which the caller knows.
 */
export function writeCgats(colours: readonly CgatsColour[]): string {
  const own = Object.keys(colours[0]?.also ?? {})
  const tables = new Map<string, { columns: string[]; rows: string[] }>()
  for (const { id, name, reading, also = {} } of colours) {
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
      [
        id === undefined ? table.rows.length + 1 : quoted(id),
        quoted(name),
        ...own.map((field) => quoted(also[field] ?? '')),
        ...values,
      ].join(' '),
    )
  }
  return [...tables.values()]
    .flatMap(({ columns, rows }, i) => [
      ...(i === 0 ? ['CGATS.17', 'ORIGINATOR "Elm Swatch"'] : []),
      'WEIGHTING_FUNCTION "ILLUMINANT, D65"',
      'WEIGHTING_FUNCTION "OBSERVER, 2 degree"',
      'KEYWORD "SPECTRAL_NORM"',
      'SPECTRAL_NORM "1"',
      ...own.map((field) => `KEYWORD "${field}"`),
      `NUMBER_OF_FIELDS ${columns.length + own.length + 2}`,
      'BEGIN_DATA_FORMAT',
      ['SAMPLE_ID', 'SAMPLE_NAME', ...own, ...columns].join(' '),
      'END_DATA_FORMAT',
      `NUMBER_OF_SETS ${rows.length}`,
      'BEGIN_DATA',
      ...rows,
      'END_DATA',
      '',
    ])
    .join('\r\n')
}
