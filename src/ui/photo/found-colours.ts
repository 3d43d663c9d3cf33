import { prepareLight, screenColour, type ScreenColour } from '@/core/colour/appearance'
import { ILLUMINANT_SPECTRA } from '@/core/colour/illuminant'
import type { Lab } from '@/core/colour/lab'
import type { LinearRgb } from '@/core/colour/srgb'
import { isOfASurface, reflectanceOfReading } from '@/core/paint/reading'
import type { PaletteColour } from '@/core/photo/palette'
import {
  colourOfShown,
  shownOf,
  type PhotoColour,
  type ReadablePhoto,
} from '@/core/photo/read-photo'

/** A colour found in a photo, by daylight. */
export interface FoundColour extends PaletteColour, PhotoColour {
  /** Whether it is one of the finish's. */
  readonly counts: boolean
}

/** How readings are drawn where no room's light is. */
export const DAYLIGHT = prepareLight(ILLUMINANT_SPECTRA.D65, 500)

/** A mean of pixels as a colour of the finish; none where no surface looks so in that light. */
export function foundIn(photo: ReadablePhoto, { rgb, sharePercent }: PaletteColour): FoundColour[] {
  const found = { rgb, sharePercent, counts: true, ...colourOfShown(photo, shownOf(rgb)) }
  return isOfASurface(found.lab) ? [found] : []
}

/** Two colours found apart that are one: their mean by share, read anew. */
export function merged(photo: ReadablePhoto, p: FoundColour, q: FoundColour): FoundColour[] {
  const sharePercent = p.sharePercent + q.sharePercent
  const rgb = p.rgb.map(
    (channel, i) => (channel * p.sharePercent + q.rgb[i]! * q.sharePercent) / sharePercent,
  ) as unknown as LinearRgb
  return foundIn(photo, { rgb, sharePercent })
}

/** How a reading looks by daylight on the screen. */
export const colourOfLab = (lab: Lab): ScreenColour =>
  screenColour(DAYLIGHT, reflectanceOfReading({ kind: 'lab', lab }))
