import Papa from 'papaparse'
import type { Lab } from '@/core/colour/lab'

/** One reading of a visit as it goes out. */
export interface ExportedReading {
  readonly name: string
  readonly room: string
  readonly part: string
  readonly source: string
  readonly lab: Lab
  readonly hex: string
}

// A spreadsheet must never run what somebody typed: leading signs are quoted, also behind blanks.
const FORMULA = /^\s*[=+\-@\t\r]/

const harmless = (text: string): string => (FORMULA.test(text) ? `'${text}` : text)

/** Readings as CSV, L*a*b* under D65, 2°. */
export function writeReadingsCsv(readings: readonly ExportedReading[]): string {
  return Papa.unparse(
    readings.map(({ name, room, part, source, lab, hex }) => ({
      name: harmless(name),
      room: harmless(room),
      part: harmless(part),
      source,
      L: lab[0].toFixed(4),
      a: lab[1].toFixed(4),
      b: lab[2].toFixed(4),
      hex,
    })),
  )
}

/** Colours as a GIMP palette file, red, green and blue of the screen by daylight. */
export function writeGimpPalette(title: string, readings: readonly ExportedReading[]): string {
  return [
    'GIMP Palette',
    `Name: ${title.replace(/[\r\n]/g, ' ')}`,
    'Columns: 4',
    '#',
    ...readings.map(({ hex, name, part }) => {
      const rgb = [1, 3, 5].map((i) => String(parseInt(hex.slice(i, i + 2), 16)).padStart(3))
      return `${rgb.join(' ')}\t${`${name}, ${part}`.replace(/[\r\n\t]/g, ' ')}`
    }),
    '',
  ].join('\n')
}
