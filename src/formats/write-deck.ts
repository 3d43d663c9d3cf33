import Papa from 'papaparse'
import type { KeptReading } from '../core/paint/reading'
import type { Sheen } from '../core/paint/sheen'
import type { Base } from '../core/paint/strength'
import { spectrumCell } from './readings-csv'

/** A colour as it goes out. */
export interface WrittenColour {
  readonly code: string
  readonly name: string
  readonly strip: string
  readonly base: Base
  readonly reading: KeptReading
  readonly printedLrvPercent?: number | null
  readonly sheens?: readonly Sheen[] | null
  readonly mayBeRefused?: boolean
}

/**
 * Writes a deck as CSV that is read back the same: L*a*b* (D65, 2°), hex, or a spectrum, and of what its maker prints only
 * the columns that it uses.
 */
export function writeDeckCsv(colours: readonly WrittenColour[]): string {
  const some = (is: (colour: WrittenColour) => boolean): boolean => colours.some(is)
  const kinds = new Set(colours.map(({ reading }) => reading.kind))
  if (kinds.size > 1)
    throw new RangeError(`a deck is read one way, this one is read as ${[...kinds].join(' and ')}`)
  const hasLrv = some(({ printedLrvPercent }) => (printedLrvPercent ?? null) !== null)
  const hasSheens = some(({ sheens }) => (sheens ?? null) !== null)
  const hasRefused = some(({ mayBeRefused }) => mayBeRefused === true)
  const rows = colours.map(
    ({ code, name, strip, base, reading, printedLrvPercent, sheens, mayBeRefused }) => ({
      code,
      name,
      ...readingCells(reading),
      strip,
      base,
      ...(hasLrv && { LRV: printedLrvPercent ?? '' }),
      ...(hasSheens && { sheens: (sheens ?? []).join('/') }),
      ...(hasRefused && { refused: mayBeRefused ? 'yes' : '' }),
    }),
  )
  return Papa.unparse(rows, { newline: '\n' }) + '\n'
}

function readingCells(reading: KeptReading): Record<string, string> {
  switch (reading.kind) {
    case 'lab': {
      const [L, a, b] = reading.lab.map((value) => value.toFixed(2))
      return { L: L!, a: a!, b: b! }
    }
    case 'srgb':
      return { hex: reading.hex }
    case 'spectral':
      return { spectrum: spectrumCell(reading) }
  }
}
