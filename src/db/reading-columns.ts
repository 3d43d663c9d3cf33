import type { KeptReading, PlainReading } from '../core/paint/reading'
import { z } from 'zod'

/** Columns a deck's reading is stored in, as selected by every query that has one. */
export const ReadingColumns = z.object({
  readingKind: z.enum(['lab', 'srgb']),
  labL: z.number().nullable(),
  labA: z.number().nullable(),
  labB: z.number().nullable(),
  hex: z.string().nullable(),
})

/** The same for a finish, which may have been read by its spectrum. */
export const KeptReadingColumns = ReadingColumns.extend({
  readingKind: z.enum(['lab', 'srgb', 'spectral']),
  wavelengthsNm: z.array(z.number()).nullable(),
  reflectances: z.array(z.number()).nullable(),
})

export function readingFromColumns(row: z.infer<typeof ReadingColumns>): PlainReading {
  if (row.readingKind === 'srgb' && row.hex !== null) return { kind: 'srgb', hex: row.hex }
  if (row.labL !== null && row.labA !== null && row.labB !== null)
    return { kind: 'lab', lab: [row.labL, row.labA, row.labB] }
  throw new RangeError('a stored reading has neither L*a*b* nor hex')
}

export function keptReadingFromColumns({
  readingKind,
  ...row
}: z.infer<typeof KeptReadingColumns>): KeptReading {
  if (readingKind !== 'spectral') return readingFromColumns({ ...row, readingKind })
  if (!row.wavelengthsNm || !row.reflectances)
    throw new RangeError('a stored spectrum has no bands')
  return { kind: 'spectral', wavelengthsNm: row.wavelengthsNm, reflectance: row.reflectances }
}
