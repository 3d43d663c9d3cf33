import type { ReadingSource } from '@/core/paint/reading'
import { evidenceWords, type ReadingEvidence } from '@/core/paint/reading-evidence'

/** How a reading came about, in words. */
export const SOURCE_WORDS: Record<ReadingSource, string> = {
  spectral: 'spectrum',
  reader: 'L*a*b* reading',
  maker: 'maker’s figure',
  screen: 'one screen number',
  eye: 'by eye',
  uncalibrated: 'spectrum, reader not calibrated',
  photo: 'from a photo',
}

/** How a reading came about, with what it was read by. */
export const readByWords = (source: string, evidence: ReadingEvidence | null): string =>
  [source, evidence && evidenceWords(evidence)].filter(Boolean).join(' ')
