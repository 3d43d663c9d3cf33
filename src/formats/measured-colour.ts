import { isMeasuredFor, type MeasuredForName } from '../core/paint/measured-for'
import type { KeptReading } from '../core/paint/reading'
import type { LineError } from '../core/deck/deck-file'

/** One colour of a measurement file, as this application keeps it. */
export interface MeasuredColour {
  readonly name: string
  readonly reading: KeptReading
}

/** Whether shares of light are written 0 to 1 or in per cent. */
export const SCALES = ['share', 'percent'] as const
export type Scale = (typeof SCALES)[number]

/** What a person says of a file that does not say it itself. */
export interface SaidOfFile {
  readonly measuredFor?: MeasuredForName
  readonly scale?: Scale
}

/** What was said of a file in an address: `for` and `scale`; what is neither is left out. */
export function saidOfFile(parameters: URLSearchParams): SaidOfFile {
  const [measuredFor, scale] = [parameters.get('for') ?? '', parameters.get('scale')]
  return {
    ...(isMeasuredFor(measuredFor) && { measuredFor }),
    ...((scale === 'share' || scale === 'percent') && { scale }),
  }
}

/** A whole file. */
export interface WholeMeasuredFile {
  readonly ok: true
  readonly colours: readonly MeasuredColour[]
  /** The light and the eye its numbers were given for; null for spectra, and for numbers of a screen. */
  readonly measuredFor: MeasuredForName | null
  /** Colours that no surface has, left out: their names. */
  readonly leftOut: readonly string[]
}

/** What a file must be asked; or what was expected and what came by line. */
export type RefusedMeasuredFile =
  | { readonly ok: false; readonly asks: keyof SaidOfFile; readonly words: string }
  | { readonly ok: false; readonly errors: readonly LineError[] }

export type MeasuredFile = WholeMeasuredFile | RefusedMeasuredFile

export const MOST_MEASURED = 25_000
export const MOST_ERRORS = 20

export const refusedFile = (line: number, message: string): RefusedMeasuredFile => ({
  ok: false,
  errors: [{ line, message }],
})

export const askedFor = (asks: keyof SaidOfFile, words: string): RefusedMeasuredFile => ({
  ok: false,
  asks,
  words,
})

// Nothing but what glows sends back more than all of the light; per cent of a dark thing may stay below it.
const SURELY_PERCENT_FROM = 1.5

/**
 * Whether shares of light are per cent: where a value is too large for a share they are. Where none is, nobody can tell:
 * 0.9 is nine tenths, or nearly black.
 *
 * @param largest of the values
 * @returns null where it has to be asked
 */
export const isPercent = (largest: number, said: Scale | undefined): boolean | null =>
  said ? said === 'percent' : largest > SURELY_PERCENT_FROM ? true : null

export const scaleQuestion = (largest: number): string =>
  `The largest value is ${Number(largest.toPrecision(3))}: a share of the light (0 to 1), or per cent?`
export const LIGHT_QUESTION =
  'The file does not say which light and which eye its numbers are for. The device, or who wrote it, knows.'
