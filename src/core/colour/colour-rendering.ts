import { colourTemperature } from './cct'
import { daylightSpectrum } from './daylight'
import { xyzOfSpectrum } from './observer'
import { planckianSpectrum } from './planckian'
import { SPECTRUM_LENGTH, type Spectrum } from './spectrum'
import * as samples from './tables/test-colour-samples'

const SAMPLES = Object.values(samples)

// CIE 13.3: below this the reference is a Planckian radiator, from here on a phase of daylight.
const DAYLIGHT_FROM_K = 5000

type Uv = readonly [u: number, v: number]

/**
 * CIE general colour rendering index Ra of a light, 100 for its reference and less for others.
 *
 * Source: CIE 13.3-1995, samples 1–8, von Kries adaptation in CIE 1960 u, v and CIE 1964 W*U*V*.
 *
 * @throws RangeError when the light is too far from white to have a reference
 */
export function colourRenderingIndex(spectrum: Spectrum): number {
  const { cctK, duv } = colourTemperature(xyzOfSpectrum(spectrum))
  if (Math.abs(duv) > 0.05)
    throw new RangeError(`colour rendering is defined near white only, Duv is ${duv.toFixed(3)}`)
  const reference =
    cctK < DAYLIGHT_FROM_K ? planckianSpectrum(cctK) : daylightSpectrum(Math.min(25_000, cctK))
  const white = uvOf(xyzOfSpectrum(spectrum))
  const referenceWhite = uvOf(xyzOfSpectrum(reference))
  const shifts = SAMPLES.map((sample) => {
    const under = wuv(lit(sample, spectrum), referenceWhite, (uv) =>
      adapted(uv, white, referenceWhite),
    )
    const truth = wuv(lit(sample, reference), referenceWhite, (uv) => uv)
    return Math.hypot(under[0] - truth[0], under[1] - truth[1], under[2] - truth[2])
  })
  return shifts.reduce((sum, shift) => sum + 100 - 4.6 * shift, 0) / shifts.length
}

/** XYZ of a sample, Y of a perfect white 100. */
function lit(sample: readonly number[], spectrum: ArrayLike<number>) {
  const product = new Float64Array(SPECTRUM_LENGTH).map((_, i) => sample[i]! * spectrum[i]!)
  const [x, y, z] = xyzOfSpectrum(product)
  const scale = 100 / xyzOfSpectrum(spectrum)[1]
  return [x * scale, y * scale, z * scale] as const
}

function uvOf([x, y, z]: readonly [number, number, number]): Uv {
  const sum = x + 15 * y + 3 * z
  return [(4 * x) / sum, (6 * y) / sum]
}

// CIE 13.3's von Kries coefficients c and d.
const cOf = ([u, v]: Uv): number => (4 - u - 10 * v) / v
const dOf = ([u, v]: Uv): number => (1.708 * v + 0.404 - 1.481 * u) / v

function adapted(uv: Uv, white: Uv, referenceWhite: Uv): Uv {
  const c = (cOf(referenceWhite) / cOf(white)) * cOf(uv)
  const d = (dOf(referenceWhite) / dOf(white)) * dOf(uv)
  const below = 16.518 + 1.481 * c - d
  return [(10.872 + 0.404 * c - 4 * d) / below, 5.52 / below]
}

function wuv(
  xyz: readonly [number, number, number],
  white: Uv,
  adapt: (uv: Uv) => Uv,
): readonly [number, number, number] {
  const [u, v] = adapt(uvOf(xyz))
  const w = 25 * Math.cbrt(xyz[1]) - 17
  return [w, 13 * w * (u - white[0]), 13 * w * (v - white[1])]
}
