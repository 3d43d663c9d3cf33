import Papa from 'papaparse'
import type { KeptReading } from '../core/paint/reading'
import type { Sheen } from '../core/paint/sheen'
import type { Base } from '../core/paint/strength'
import { spectrumCell } from './readings-csv'
import { harmless } from './spreadsheet'
import { writeCgats } from './write-cgats'

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

/** What stands beside a colour's reading, of what its maker prints only the columns that the deck uses. */
function sayingsOf(colours: readonly WrittenColour[]) {
  const some = (is: (colour: WrittenColour) => boolean): boolean => colours.some(is)
  const hasLrv = some(({ printedLrvPercent }) => (printedLrvPercent ?? null) !== null)
  const hasSheens = some(({ sheens }) => (sheens ?? null) !== null)
  const hasRefused = some(({ mayBeRefused }) => mayBeRefused === true)
  return ({ strip, base, printedLrvPercent, sheens, mayBeRefused }: WrittenColour) => ({
    strip,
    base,
    ...(hasLrv && { LRV: String(printedLrvPercent ?? '') }),
    ...(hasSheens && { sheens: (sheens ?? []).join('/') }),
    ...(hasRefused && { refused: mayBeRefused ? 'yes' : '' }),
  })
}

/** Writes a deck as CSV that is read back the same: L*a*b* (D65, 2°), hex, or a spectrum. */
export function writeDeckCsv(colours: readonly WrittenColour[]): string {
  const kinds = new Set(colours.map(({ reading }) => reading.kind))
  if (kinds.size > 1)
    throw new RangeError(`a deck is read one way, this one is read as ${[...kinds].join(' and ')}`)
  const sayings = sayingsOf(colours)
  const rows = colours.map((colour) => ({
    code: harmless(colour.code),
    name: harmless(colour.name),
    ...readingCells(colour.reading),
    ...sayings(colour),
    strip: harmless(colour.strip),
  }))
  return Papa.unparse(rows, { newline: '\n' }) + '\n'
}

/** Writes a deck as CGATS.17 that is read back the same; none of its readings may be a screen's number. */
export function writeDeckCgats(colours: readonly WrittenColour[]): string {
  const sayings = sayingsOf(colours)
  return writeCgats(
    colours.map((colour) => ({
      id: colour.code,
      name: colour.name,
      reading: colour.reading,
      also: Object.fromEntries(
        Object.entries(sayings(colour)).map(([field, said]) => [field.toUpperCase(), said]),
      ),
    })),
  )
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
