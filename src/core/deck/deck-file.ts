import type { MeasuredForName } from '../paint/measured-for'

/** One thing wrong with a file: the line as an editor counts it (the heading is line 1), and what. */
export interface LineError {
  readonly line: number
  readonly message: string
}

export interface DeckRow {
  readonly line: number
  readonly cells: readonly string[]
}

/** A file of colours as a table, before anybody said what stands in which column. */
export interface DeckTable {
  readonly format: 'CSV' | 'CGATS' | 'GIMP palette'
  readonly columns: readonly string[]
  readonly rows: readonly DeckRow[]
  /** What the file says of itself; null where it does not. */
  readonly measuredFor: MeasuredForName | null
  /** Whether spectra are shares or per cent. */
  readonly scale: 'share' | 'percent' | null
}

/** What a person changed in a file: lines that were mended, as cells, and lines that stay out. */
export interface Mended {
  readonly lines: ReadonlyMap<number, readonly string[]>
  readonly leftOut: ReadonlySet<number>
}

export const AS_IT_IS: Mended = { lines: new Map(), leftOut: new Set() }
