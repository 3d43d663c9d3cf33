import { prepareLight, screenColour, type ScreenColour } from '@/core/colour/appearance'
import { ILLUMINANT_SPECTRA } from '@/core/colour/illuminant'
import type { Lab } from '@/core/colour/lab'
import type { PaletteColour } from '@/core/photo/palette'
import { reflectanceOfPixel, type PhotoLight } from '@/core/photo/white-card'
import { labD65, reflectanceOfReading } from '@/core/paint/reading'

/** A colour found in a photo, corrected by its light. */
export interface FoundColour {
  readonly lab: Lab
  readonly sharePercent: number
}

const DAYLIGHT = prepareLight(ILLUMINANT_SPECTRA.D65, 500)

/** A cluster of pixels as a colour of the finish; none where no surface looks so in that light (glare, a lamp). */
export function corrected(photo: PhotoLight, { rgb, sharePercent }: PaletteColour): FoundColour[] {
  try {
    return [{ lab: labD65(reflectanceOfPixel(photo, rgb)), sharePercent }]
  } catch (error) {
    if (error instanceof RangeError) return []
    throw error
  }
}

/** How a reading looks by daylight on the screen. */
export const colourOfLab = (lab: Lab): ScreenColour =>
  screenColour(DAYLIGHT, reflectanceOfReading({ kind: 'lab', lab }))
