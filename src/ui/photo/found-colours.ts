import { prepareLight, screenColour, type ScreenColour } from '@/core/colour/appearance'
import { ILLUMINANT_SPECTRA } from '@/core/colour/illuminant'
import type { Lab } from '@/core/colour/lab'
import type { LinearRgb } from '@/core/colour/srgb'
import type { PaletteColour } from '@/core/photo/palette'
import { reflectanceOfPixel, type PhotoLight } from '@/core/photo/white-card'
import { labD65, reflectanceOfReading } from '@/core/paint/reading'

/** A colour found in a photo, corrected by its light. */
export interface FoundColour extends PaletteColour {
  readonly lab: Lab
  /** Whether it is one of the finish's. */
  readonly counts: boolean
}

const DAYLIGHT = prepareLight(ILLUMINANT_SPECTRA.D65, 500)

/** A cluster of pixels as a colour of the finish; none where no surface looks so in that light (glare, a lamp). */
export function corrected(photo: PhotoLight, { rgb, sharePercent }: PaletteColour): FoundColour[] {
  try {
    const lab = labD65(reflectanceOfPixel(photo, rgb))
    return [{ rgb, sharePercent, lab, counts: true }]
  } catch (error) {
    if (error instanceof RangeError) return []
    throw error
  }
}

/** Two colours found apart that are one: their mean by share, corrected anew. */
export function merged(photo: PhotoLight, p: FoundColour, q: FoundColour): FoundColour[] {
  const sharePercent = p.sharePercent + q.sharePercent
  const rgb = p.rgb.map(
    (channel, i) => (channel * p.sharePercent + q.rgb[i]! * q.sharePercent) / sharePercent,
  ) as unknown as LinearRgb
  return corrected(photo, { rgb, sharePercent })
}

/** How a reading looks by daylight on the screen. */
export const colourOfLab = (lab: Lab): ScreenColour =>
  screenColour(DAYLIGHT, reflectanceOfReading({ kind: 'lab', lab }))
