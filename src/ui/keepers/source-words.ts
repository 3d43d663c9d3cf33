import type { ReadingSource } from '@/core/paint/reading'

/** How a reading came about, in words. */
export const SOURCE_WORDS: Record<ReadingSource, string> = {
  spectral: 'spectrum',
  reader: 'L*a*b* reading',
  maker: 'maker’s figure',
  screen: 'one screen number',
  eye: 'by eye, from the deck',
  uncalibrated: 'spectrum, reader not calibrated',
  photo: 'from a photo',
}
