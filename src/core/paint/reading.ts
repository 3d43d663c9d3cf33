import { D65_WEIGHTS } from '../colour/illuminant'
import { labFromXyz, xyzFromLab, type Lab } from '../colour/lab'
import { xyzUnder } from '../colour/observer'
import type { Reflectance } from '../colour/spectrum'
import { linearRgbFromHex, xyzFromLinearRgb } from '../colour/srgb'
import { smoothestReflectance } from './smoothest-reflectance'

/** A colour as it was read: L*a*b* under D65 for the 2° observer, or one sRGB number. */
export type Reading =
  { readonly kind: 'lab'; readonly lab: Lab } | { readonly kind: 'srgb'; readonly hex: string }

/**
 * The reflectance behind a reading, 36 bands.
 *
 * Accuracy, measured on CIE test colour samples 1–8: see docs/model.md.
 *
 * @throws RangeError for numbers outside the scale, ImpossibleColourError for a colour no paint has
 */
export function reflectanceOfReading(reading: Reading): Reflectance {
  if (reading.kind === 'lab') return smoothestReflectance(xyzFromLab(checkedLab(reading.lab)))
  const xyz = xyzFromLinearRgb(linearRgbFromHex(reading.hex))
  return smoothestReflectance(withinPaint(xyz))
}

// Screens reach pure black and pure white, paint does not: the two ends are pulled in to the
// darkest and lightest surface the solver takes, a change under ΔE 0.5.
function withinPaint(xyz: readonly [number, number, number]): readonly [number, number, number] {
  const [x, y, z] = xyz
  const top = Math.min(1, 99.5 / Math.max(y, 1e-9))
  return [x * top + 0.06 * 0.95, y * top + 0.06, z * top + 0.06 * 1.09]
}

function checkedLab(lab: Lab): Lab {
  const [l, a, b] = lab
  if (!(l >= 0 && l <= 100)) throw new RangeError(`L* must be 0 to 100, got ${l}`)
  for (const [name, value] of [
    ['a*', a],
    ['b*', b],
  ] as const)
    if (!(value >= -128 && value <= 128))
      throw new RangeError(`${name} must be −128 to 128, got ${value}`)
  return lab
}

/** Light reflectance value: Y under D65, 2° observer, per cent. */
export function lrvPercent(reflectance: Reflectance): number {
  return xyzUnder(D65_WEIGHTS, reflectance)[1]
}

/** CIE L*a*b* under D65, 2° observer. */
export function labD65(reflectance: Reflectance): Lab {
  return labFromXyz(xyzUnder(D65_WEIGHTS, reflectance))
}
