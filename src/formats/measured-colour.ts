import type { KeptReading } from '../core/paint/reading'
import type { LineError } from './deck-csv'

/** One colour of a measurement file. */
export interface MeasuredColour {
  readonly name: string
  readonly reading: KeptReading
}

/** A whole file, or what was expected and what came by line. */
export type MeasuredFile =
  | { readonly ok: true; readonly colours: readonly MeasuredColour[] }
  | { readonly ok: false; readonly errors: readonly LineError[] }

export const MOST_MEASURED = 25_000
export const MOST_ERRORS = 20

export const refusedFile = (line: number, message: string): MeasuredFile => ({
  ok: false,
  errors: [{ line, message }],
})
