import { typedNumber } from './typed-number'

export const LENGTH_UNITS = ['metric', 'feet'] as const
/** Metres, or feet and inches. What is kept is millimetres either way. */
export type LengthUnits = (typeof LENGTH_UNITS)[number]

export const VOLUME_UNITS = ['litres', 'us-gallons'] as const
export type VolumeUnits = (typeof VOLUME_UNITS)[number]

// International yard and pound agreement of 1959: exact.
const INCH_MM = 25.4
const FOOT_MM = 12 * INCH_MM
const PER_INCH = 16

/** A length as people of these units say it: 4.42 m, or 14′ 6″ to the sixteenth of an inch. */
export function lengthWords(mm: number, units: LengthUnits): string {
  if (!Number.isFinite(mm)) throw new RangeError(`a length must be a number of mm, got ${mm}`)
  if (units === 'metric') return `${Number((mm / 1000).toFixed(3))} m`
  const sixteenths = Math.round((Math.abs(mm) / INCH_MM) * PER_INCH)
  const feet = Math.floor(sixteenths / (12 * PER_INCH))
  const inches = inchWords(sixteenths - feet * 12 * PER_INCH)
  const words = [feet > 0 ? `${feet}′` : '', inches === '0' && feet > 0 ? '' : `${inches}″`]
  return `${mm < 0 && sixteenths > 0 ? '−' : ''}${words.filter(Boolean).join(' ')}`
}

function inchWords(sixteenths: number): string {
  const whole = Math.floor(sixteenths / PER_INCH)
  let [part, of] = [sixteenths % PER_INCH, PER_INCH]
  while (part > 0 && part % 2 === 0) [part, of] = [part / 2, of / 2]
  if (part === 0) return String(whole)
  return whole > 0 ? `${whole} ${part}/${of}` : `${part}/${of}`
}

const METRIC: Readonly<Record<string, number>> = { m: 1000, cm: 10, mm: 1 }
const SIGNS = {
  feet: /′|’|‘|´|'|feet|foot|ft\.?/g,
  inches: /″|”|“|"|''|inches|inch|in\.?/g,
} as const
const FRACTIONS: Readonly<Record<string, string>> = {
  '¼': ' 1/4',
  '½': ' 1/2',
  '¾': ' 3/4',
  '⅛': ' 1/8',
  '⅜': ' 3/8',
  '⅝': ' 5/8',
  '⅞': ' 7/8',
}

/**
 * A length that somebody typed, in whole millimetres: `4.42 m`, `442 cm`, `14' 6"`, `14 ft 6 1/2 in`, `14.5 ft`, `6½"`. A
 * number by itself is metres, or feet.
 *
 * @returns null for anything else
 */
export function typedLengthMm(text: string, units: LengthUnits): number | null {
  const plain = text.trim().toLowerCase()
  const metric = /^(.*?)\s*(mm|cm|m|metres?|meters?)$/.exec(plain)
  if (metric) {
    const value = typedNumber(metric[1]!)
    return value === null ? null : Math.round(value * METRIC[metric[2]!.replace(/^met.*/, 'm')]!)
  }
  const bare = typedNumber(plain)
  if (bare !== null) return Math.round(bare * (units === 'metric' ? 1000 : FOOT_MM))
  const marked = plain
    .replace(/''/g, '"')
    .replace(SIGNS.inches, '"')
    .replace(SIGNS.feet, "'")
    .replace(/[¼½¾⅛⅜⅝⅞]/g, (sign) => FRACTIONS[sign]!)
  const [, feet, inches] = /^(?:([^'"]+)')?\s*(?:([^'"]+)"?)?$/.exec(marked) ?? []
  if (feet === undefined && inches === undefined) return null
  // What follows feet is inches, with or without their sign; without feet the sign is needed.
  if (feet === undefined && !marked.endsWith('"')) return null
  const [inFeet, inInches] = [
    feet === undefined ? 0 : typedNumber(feet.trim()),
    inches === undefined ? 0 : inchesOf(inches.trim()),
  ]
  if (inFeet === null || inInches === null) return null
  if (inInches < 0 || (feet !== undefined && (inFeet < 0 || inInches >= 12))) return null
  return Math.round(inFeet * FOOT_MM + inInches * INCH_MM)
}

/** `6`, `6.5`, `6 1/2` or `1/2`. */
function inchesOf(text: string): number | null {
  const [, whole, part, of] = /^(?:(\d+)[\s-]+)?(\d+)\/(\d+)$/.exec(text) ?? []
  if (part === undefined) return typedNumber(text)
  return Number(of) > Number(part) ? Number(whole ?? 0) + Number(part) / Number(of) : null
}

const FT2_M2 = (FOOT_MM / 1000) ** 2
// 231 cubic inches: NIST Handbook 44, appendix C.
const US_GALLON_L = 231 * (INCH_MM / 100) ** 3

/** An area as people of these units say it: 14.2 m², or 153 sq ft. */
export function areaWords(m2: number, units: LengthUnits): string {
  if (!Number.isFinite(m2)) throw new RangeError(`an area must be a number of m², got ${m2}`)
  return units === 'metric' ? `${m2.toFixed(1)} m²` : `${Math.round(m2 / FT2_M2)} sq ft`
}

/** A number of square metres, or of square feet, in square metres. */
export const areaM2 = (value: number, units: LengthUnits): number =>
  units === 'metric' ? value : value * FT2_M2

/** Square metres in the units people of these lengths count in. */
export const areaIn = (m2: number, units: LengthUnits): number =>
  units === 'metric' ? m2 : m2 / FT2_M2

export const AREA_UNIT: Readonly<Record<LengthUnits, string>> = { metric: 'm²', feet: 'sq ft' }

/** A volume as people of these units say it: 4.3 l, or 1.14 gal. */
export function volumeWords(litres: number, units: VolumeUnits): string {
  if (!Number.isFinite(litres)) throw new RangeError(`a volume must be litres, got ${litres}`)
  return units === 'litres' ? `${litres.toFixed(1)} l` : `${(litres / US_GALLON_L).toFixed(2)} gal`
}

export const litresOfGallons = (gallons: number): number => gallons * US_GALLON_L

/** How far paint goes, from square metres a litre to square feet a gallon. */
export const ft2PerGallon = (m2PerLitre: number): number => (m2PerLitre * US_GALLON_L) / FT2_M2

/** The other way round. */
export const m2PerLitre = (ft2PerGal: number): number => (ft2PerGal * FT2_M2) / US_GALLON_L
