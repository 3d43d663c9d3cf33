import type { Lab } from '../core/colour/lab'
import { labD65, reflectanceOfReading } from '../core/paint/reading'
import { readCgats } from './cgats'
import {
  refusedFile,
  type MeasuredColour,
  type RefusedMeasuredFile,
  type SaidOfFile,
  type WholeMeasuredFile,
} from './measured-colour'
import { readReadingsCsv } from './readings-csv'

/** A measurement file with what each of its colours is under D65. */
export type MeasurementResult =
  | RefusedMeasuredFile
  | (Omit<WholeMeasuredFile, 'colours'> & {
      readonly colours: readonly (MeasuredColour & { readonly lab: Lab })[]
    })

/** Reads a measurement file, CGATS.17 text or CSV: whole, or what was expected and what came. */
export function readMeasurement(text: string, said: SaidOfFile): MeasurementResult {
  const read = /^[ \t]*BEGIN_DATA_FORMAT/m.test(text)
    ? readCgats(text, said)
    : readReadingsCsv(text, said)
  if (!read.ok) return read
  const colours = []
  for (const [i, { name, reading }] of read.colours.entries())
    try {
      colours.push({ name, reading, lab: labD65(reflectanceOfReading(reading)) })
    } catch (error) {
      if (!(error instanceof RangeError)) throw error
      return refusedFile(i + 1, `Colour ${i + 1}, “${name}”: ${error.message}.`)
    }
  return { ...read, colours }
}
