import { ILLUMINANT_SPECTRA, ILLUMINANTS } from '../core/colour/illuminant'
import { whitePoint } from '../core/colour/observer'
import {
  isMeasuredFor,
  MEASURED_FOR,
  partsOfName,
  type MeasuredForName,
} from '../core/paint/measured-for'
import type { Scale } from './measured-colour'

/** What the head of a CGATS table says of its numbers; null where it says nothing. */
export interface Keywords {
  readonly illuminant: string | null
  readonly observer: '2deg' | '10deg' | null
  readonly scale: Scale | null
  /** What a full reflectance is written as, where that is neither 1 nor 100. */
  readonly otherNorm: string | null
}

/**
 * Reads the head of a table: WEIGHTING_FUNCTION "ILLUMINANT, D50" and "OBSERVER, 2 degree", MEASUREMENT_SOURCE
 * "Illumination=D50 ObserverAngle=2", ILLUMINANT, OBSERVER, and SPECTRAL_NORM (ISO 28178 and common practice).
 *
 * @param lines before BEGIN_DATA_FORMAT
 */
export function keywordsOf(lines: readonly string[]): Keywords {
  const values = lines
    .map((line) => /^\s*(?!KEYWORD)([A-Z][A-Z0-9_]*)\s+(.+?)\s*$/i.exec(line))
    .filter((match) => match !== null)
    .map(([, keyword, value]) => [keyword!.toUpperCase(), value!.replace(/^"|"$/g, '')] as const)
  const said = values
    .filter(([keyword]) =>
      /^(WEIGHTING_FUNCTION|MEASUREMENT_SOURCE|ILLUMINANT|ILLUMINATION|OBSERVER)/.test(keyword),
    )
    .map(([keyword, value]) => `${keyword} ${value}`)
    .join('; ')
  const illuminant = /ILLUMIN(?:ANT|ATION)(?:_NAME)?[\s,=:"]+([A-Z][0-9]{0,2})\b/i.exec(said)?.[1]
  const degrees = /OBSERVER(?:_?ANGLE)?[\s,=:"]+(2|10)\b/i.exec(said)?.[1]
  const norm = values.find(([keyword]) => keyword === 'SPECTRAL_NORM')?.[1]
  const scale: Scale | null = Number(norm) === 1 ? 'share' : Number(norm) === 100 ? 'percent' : null
  return {
    illuminant: illuminant?.toUpperCase() ?? null,
    observer: degrees === '2' ? '2deg' : degrees === '10' ? '10deg' : null,
    scale,
    otherNorm: norm === undefined || scale ? null : norm,
  }
}

/** The light and the eye that the head names, or why this program does not know them; null where it names neither. */
export function namedIn({
  illuminant,
  observer,
}: Keywords): MeasuredForName | { readonly message: string } | null {
  if (illuminant === null && observer === null) return null
  if (illuminant === null || observer === null) return null
  const name = `${illuminant} ${observer}`
  return isMeasuredFor(name)
    ? name
    : {
        message: `Expected an illuminant of ${ILLUMINANTS.join(', ')}, the file says ${illuminant}.`,
      }
}

const kappa = 24389 / 27
const backward = (f: number): number => (f ** 3 > 216 / 24389 ? f ** 3 : (116 * f - 16) / kappa)

/**
 * The light that L*a*b* and XYZ of the same samples were given for: their white is what parts them. Null where none of
 * ours fits.
 */
export function nameByWhite(
  samples: readonly { readonly lab: readonly number[]; readonly xyz: readonly number[] }[],
): MeasuredForName | null {
  const clear = samples.filter(({ xyz }) => Math.min(...xyz) > 2)
  if (clear.length === 0) return null
  const white = [0, 1, 2].map((k) => {
    const all = clear.map(({ lab: [l, a, b], xyz }) => {
      const fy = (l! + 16) / 116
      return xyz[k]! / backward([fy + a! / 500, fy, fy - b! / 200][k]!)
    })
    return all.sort((p, q) => p - q)[all.length >> 1]!
  })
  const scale = 100 / white[1]!
  const near = MEASURED_FOR.map((name) => {
    const { illuminant, observer } = partsOfName(name)
    const own = whitePoint(ILLUMINANT_SPECTRA[illuminant], observer)
    return { name, away: Math.hypot(own[0] - white[0]! * scale, own[2] - white[2]! * scale) }
  }).sort((p, q) => p.away - q.away)
  return near[0]!.away < WHITE_WITHIN ? near[0]!.name : null
}

// Tables round, and whites of D50 and D65 are 15 apart in Z.
const WHITE_WITHIN = 0.6
