import { screenColour, type PreparedLight } from '../colour/appearance'
import type { Reflectance } from '../colour/spectrum'
import { bytesOfHex, decode, hexFromLinearRgb, type LinearRgb } from '../colour/srgb'
import { reflectanceOfReading } from '../paint/reading'
import { ImpossibleColourError } from '../paint/smoothest-reflectance'
import { latticeOf, type Bytes3 } from './lattice'
import type { PhotoBytes } from './pixels'

// A glare or a noise that no surface shows is brought towards its own grey until one does.
const STEPS_TO_GREY = 8

/** The smoothest reflectance with a colour of a corrected picture, or with the nearest to it that a surface can have. */
function surfaceOf(bytes: Bytes3): Reflectance {
  const linear = bytes.map((byte) => decode(byte / 255))
  const grey = (linear[0]! + linear[1]! + linear[2]!) / 3
  for (let step = 0; step < STEPS_TO_GREY; step++) {
    const share = step / STEPS_TO_GREY
    const rgb = linear.map((v) => v + share * (grey - v)) as unknown as LinearRgb
    try {
      return reflectanceOfReading({ kind: 'srgb', hex: hexFromLinearRgb(rgb) })
    } catch (error) {
      if (!(error instanceof ImpossibleColourError)) throw error
    }
  }
  return reflectanceOfReading({ kind: 'srgb', hex: hexFromLinearRgb([grey, grey, grey]) })
}

/**
 * A patch of a finish, corrected to daylight, ready to be seen in any light: each of its colours becomes a surface, each
 * surface is lit and seen as every swatch is, and the pixels between follow. Nothing is laid over the picture.
 *
 * Accuracy: see docs/model.md.
 *
 * @param corrected sRGB under D65; see `correctedPicture`
 * @returns the same picture in a light, as an sRGB screen shows it
 * @throws RangeError for bytes that are not those of its size
 */
export function relitPatch(corrected: PhotoBytes): (light: PreparedLight) => PhotoBytes {
  const lattice = latticeOf(corrected)
  const surfaces = lattice.nodes.map(surfaceOf)
  return (light) =>
    lattice.through(
      Float64Array.from(
        surfaces.flatMap((surface) => bytesOfHex(screenColour(light, surface).hex)),
      ),
    )
}
